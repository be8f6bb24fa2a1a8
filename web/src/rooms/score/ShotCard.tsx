import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import {
  takeFrameUrl,
  type Film,
  type Framing,
  type Material,
  type Placed,
  type Production,
} from "../../api/client";
import { framingMeaning, framingName, plural } from "../../parts/words";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import { Head } from "./JointView";
import { MaterialStrip } from "./MaterialStrip";
import type { ScoreActions } from "./useScoreActions";

interface Props {
  production: Production;
  film: Film;
  shot: Placed;
  material: Material | undefined;
  actions: ScoreActions;
}

/** The selected shot: its material, its cuts, its takes. */
export function ShotCard({ production, film, shot, material, actions }: Props) {
  const takes = material?.shots.find((s) => s.id === shot.shotId)?.takes ?? [];
  const take = takes.find((t) => t.id === shot.takeId);
  const problems = film.problems.filter((p) => p.place === shot.place);
  return (
    <Box component="section" aria-label={`Shot ${shot.label}`} sx={{ px: 4, py: 2 }}>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, mb: 1 }}>
        <Box sx={{ fontWeight: 600, color: ink.thistleDeep }}>{shot.label}</Box>
        <Box
          component="h2"
          sx={{
            typography: "h1",
            m: 0,
            flex: 1,
            whiteSpace: "nowrap",
            overflow: "hidden",
            textOverflow: "ellipsis",
          }}
        >
          {shot.title}
        </Box>
        <Box sx={{ fontWeight: 600, color: ink.thistleDeep }}>
          take {take?.number ?? "?"} of {takes.length}
        </Box>
      </Box>
      <MaterialStrip
        key={`${shot.takeId}-${shot.in}-${shot.start}`}
        production={production}
        shot={shot}
        actions={actions}
      />
      {problems.map((p) => (
        <Box
          key={p.kind}
          sx={{
            display: "flex",
            gap: 2,
            alignItems: "center",
            color: ink.rust,
            py: 1,
            borderTop: `1px solid ${ink.rule}`,
          }}
        >
          <Box sx={{ flex: 1 }}>{p.text}</Box>
          {p.kind === "OUT_OF_MATERIAL" && shot.in > 0 && (
            <Button onClick={() => actions.slipTo(shot.place, Math.max(0, shot.in - p.frames))}>
              {shot.in >= p.frames ? "Slip it to fit" : `Slip it by ${shot.in} f`}
            </Button>
          )}
          {p.kind === "OUT_OF_MATERIAL" &&
            shot.place + 1 < film.joints.length - 1 &&
            shot.in < p.frames && (
              <Button onClick={() => actions.step(-1, shot.place + 1)}>Cut a beat sooner</Button>
            )}
          {p.kind === "INSIDE_WORD" && (
            <Button onClick={() => actions.tie("word", shot.place + 1)}>To the word’s end</Button>
          )}
          {(p.kind === "TIE_NOT_HONOURED" ||
            p.kind === "BEAT_MISSING" ||
            p.kind === "WORD_MISSING") && (
            <Button onClick={() => actions.tie("beat", shot.place + 1)}>
              Tie to the nearest beat
            </Button>
          )}
        </Box>
      ))}
      <CutRow film={film} shot={shot} end="in" actions={actions} />
      <CutRow film={film} shot={shot} end="out" actions={actions} />
      <Box
        sx={{
          display: "flex",
          alignItems: "center",
          gap: 2,
          py: 2,
          borderTop: `1px solid ${ink.rule}`,
        }}
      >
        <ToggleButtonGroup
          exclusive
          value={shot.framing}
          aria-label="Framing"
          onChange={(_, to: Framing | null) => to && actions.setFraming(shot.place, to)}
        >
          {(["FIT", "FILL", "SOFT"] as const).map((f) => (
            <ToggleButton key={f} value={f} title={framingMeaning[f]}>
              {framingName[f]}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <Box sx={{ flex: 1 }} />
        <ToggleButton
          value="lock"
          selected={shot.locked}
          onChange={() => actions.toggleLock(shot.place)}
          title="A locked shot stays when the film is cut again"
        >
          {shot.locked ? "locked" : "lock"}
        </ToggleButton>
        <Button onClick={() => void actions.remove(shot.place)}>Remove</Button>
      </Box>
      <Box
        sx={{
          display: "flex",
          justifyContent: "space-between",
          typography: "body2",
          color: ink.ink2,
          borderTop: `1px solid ${ink.rule}`,
          pt: 1,
          pb: 1,
        }}
      >
        <span>{plural(takes.length, "take")}</span>
        {takes.length > 1 && <span>T for the next</span>}
      </Box>
      <Box sx={{ display: "grid", gridTemplateColumns: "repeat(4, 1fr)", gap: 2 }}>
        {takes.map((t) => {
          const used = t.id === shot.takeId;
          return (
            <Box
              key={t.id}
              component="button"
              aria-pressed={used}
              aria-label={`Take ${t.number}`}
              disabled={t.state !== "READY"}
              onClick={() => void actions.chooseTake(shot.place, shot.shotId, t.id)}
              sx={{
                p: 0,
                border: 0,
                bgcolor: "transparent",
                font: "inherit",
                textAlign: "left",
                cursor: "pointer",
              }}
            >
              <Box
                sx={{
                  height: 45,
                  bgcolor: ink.well,
                  outline: used ? `2px solid ${ink.thistle}` : "none",
                }}
              >
                {t.state === "READY" && (
                  <img
                    src={takeFrameUrl(production.id, t.id, t.frames * 0.4, 144)}
                    alt=""
                    style={{ width: "100%", height: "100%", objectFit: "cover", display: "block" }}
                  />
                )}
              </Box>
              <Box
                sx={{
                  typography: "body2",
                  color: used ? ink.thistleDeep : ink.ink2,
                  fontWeight: used ? 600 : 400,
                  pt: 0.5,
                }}
              >
                take {t.number}
                {used ? ", used" : ""}
              </Box>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

function CutRow({
  film,
  shot,
  end,
  actions,
}: {
  film: Film;
  shot: Placed;
  end: "in" | "out";
  actions: ScoreActions;
}) {
  const index = end === "in" ? shot.place : shot.place + 1;
  const joint = film.joints[index];
  const moves = useRoom((s) => s.end) === end;
  const set = useRoom((s) => s.set);
  if (!joint) return null;
  const fixed = index === 0;
  return (
    <Box
      onClick={() => !fixed && set({ end })}
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 2,
        minHeight: 34,
        mx: -2,
        px: 2,
        borderTop: `1px solid ${ink.rule}`,
        bgcolor: moves && !fixed ? ink.thistleWash : "transparent",
        cursor: fixed ? "default" : "pointer",
      }}
    >
      <Box sx={{ width: 26, color: ink.ink2 }}>{end === "in" ? "In" : "Out"}</Box>
      <svg width={14} height={14} aria-hidden>
        <Head x={7} y={7} joint={joint} colour={ink.ink} />
      </svg>
      <Box data-testid="reason" sx={{ flex: 1, lineHeight: "15px" }}>
        {joint.reason}
      </Box>
      {!fixed && (
        <>
          <Button
            aria-label={`${end} cut to the beat before`}
            title="To the beat before (,)"
            onClick={() => actions.step(-1, index)}
          >
            ‹
          </Button>
          <Button
            aria-label={`${end} cut to the beat after`}
            title="To the beat after (.)"
            onClick={() => actions.step(1, index)}
          >
            ›
          </Button>
          {joint.tie !== "FREE" ? (
            <Button
              title="Set free where it is (0)"
              onClick={() => actions.tie("free", index)}
              sx={{ width: 48 }}
            >
              Free
            </Button>
          ) : (
            <Button
              title="Tie to the nearest beat (2)"
              onClick={() => actions.tie("beat", index)}
              sx={{ width: 48 }}
            >
              Tie
            </Button>
          )}
        </>
      )}
    </Box>
  );
}
