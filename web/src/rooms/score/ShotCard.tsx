import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useState } from "react";
import {
  takeFrameUrl,
  type Film,
  type Material,
  type Placed,
  type Production,
} from "../../api/client";
import { plural } from "../../parts/words";
import { chosenPlaces, useRoom } from "../../store";
import { BareButton } from "../../parts/BareButton";
import { SubjectOfShot } from "../../subject/SubjectOfShot";
import { MarkWays } from "../takes/MarkWays";
import { ink } from "../../theme";
import { HeadSign } from "./Head";
import { headOf } from "./heads";
import { FramingPanel } from "./FramingPanel";
import { FramingChoice } from "./FramingChoice";
import { ClipSoundRow } from "./ClipSoundRow";
import { MaterialStrip } from "./MaterialStrip";
import { OfferedRemedies, Remedies } from "./Remedies";
import { RunRow } from "./RunRow";
import { ShapesPanel } from "./ShapesPanel";
import { ShotMenu, type Act } from "./ShotMenu";
import { TreatmentPanel } from "./TreatmentPanel";
import { middleOf } from "./treatments";
import { TransitionPanel } from "./TransitionPanel";
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
  const card = useRoom((s) => s.card);
  const also = useRoom((s) => s.also);
  const set = useRoom((s) => s.set);
  if (shot.takeId === 0) return <GapCard film={film} shot={shot} actions={actions} />;
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
      </Box>
      <ToggleButtonGroup
        exclusive
        value={card}
        aria-label="What of the shot"
        sx={{ display: "flex", mb: 2, "& button": { flex: "1 1 auto", px: 1 } }}
        onChange={(_, to: typeof card | null) => to && set({ card: to })}
      >
        <ToggleButton value="shot">shot</ToggleButton>
        <ToggleButton value="picture" title="Framing and the camera’s move (Shift+F)">
          picture
        </ToggleButton>
        <ToggleButton value="treatments" title="What is done to its picture (A)">
          treated
        </ToggleButton>
        <ToggleButton value="shapes" title="Its focus, and how it looks in other shapes (Q)">
          shapes
        </ToggleButton>
        <ToggleButton value="transition" title="How it and its neighbour become one another (I)">
          transition
        </ToggleButton>
      </ToggleButtonGroup>
      {card === "transition" && (
        <TransitionPanel production={production} film={film} shot={shot} actions={actions} />
      )}
      {card === "treatments" && (
        <TreatmentPanel
          production={production}
          film={film}
          items={chosenItems(film, shot, also)}
          treatments={shot.treatments}
          frame={middleOf(shot)}
          actions={actions}
        />
      )}
      {card === "shapes" && (
        <ShapesPanel
          key={shot.id}
          production={production}
          film={film}
          shot={shot}
          actions={actions}
        />
      )}
      {card === "picture" && <FramingPanel production={production} shot={shot} actions={actions} />}
      {card === "shot" && (
        <OfShot
          production={production}
          film={film}
          shot={shot}
          material={material}
          actions={actions}
        />
      )}
    </Box>
  );
}

/** What a subject is laid over the cut for. */
const LIFTS = [
  {
    name: "Lay it over the cut",
    says: "Something can come between it and what is behind it",
    behind: "AS_IT_IS",
  },
  { name: "Before a title", says: "Titles over the shot go behind it", behind: "TITLED" },
  { name: "Blur the rest", says: "What is behind it goes out of focus", behind: "BLURRED" },
  { name: "Grey the rest", says: "Colour stays only on it", behind: "GREY" },
] as const;

/** The ids of the selected shots. */
function chosenItems(film: Film, shot: Placed, also: readonly number[]): string[] {
  return chosenPlaces({ place: shot.place, also })
    .map((place) => film.shots[place])
    .filter((s) => s !== undefined && s.takeId !== 0)
    .map((s) => s?.id ?? "");
}

/** What the selected shot shows, its cuts, how it runs and sounds, and its takes. */
function OfShot({ production, film, shot, material, actions }: Props) {
  const itsShot = material?.shots.find((s) => s.id === shot.shotId);
  const takes = itsShot?.takes ?? [];
  const take = takes.find((t) => t.id === shot.takeId);
  const problems = film.problems.filter((p) => p.place === shot.place);
  const short = problems.find((p) => p.kind === "OUT_OF_MATERIAL");
  const also = useRoom((s) => s.also);
  const many = also.length > 1;
  const copied = useRoom((s) => s.copied.length);
  const [drawing, setDrawing] = useState(false);
  return (
    <>
      {drawing && take && (
        <SubjectOfShot
          production={production}
          shot={shot}
          take={take}
          uses={LIFTS.map(({ behind, ...use }) => ({
            ...use,
            act: () => actions.liftSubject(shot.id, behind),
          }))}
          onClose={() => setDrawing(false)}
        />
      )}
      <MaterialStrip
        key={`${shot.takeId}-${shot.in}-${shot.start}`}
        production={production}
        shot={shot}
        actions={actions}
      />
      {problems.map((p) => (
        <Box
          key={p.text}
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
          {p.kind === "INSIDE_WORD" && (
            <Button onClick={() => actions.tie("word", shot.place + 1)}>To the word’s end</Button>
          )}
          {(p.kind === "TIE_NOT_HONOURED" ||
            p.kind === "BEAT_MISSING" ||
            p.kind === "WORD_MISSING" ||
            p.kind === "TIED_IN_CIRCLE") && (
            <Button onClick={() => actions.tie("beat", shot.place + 1)}>
              Tie to the nearest beat
            </Button>
          )}
        </Box>
      ))}
      {problems
        .filter((p) => p.kind !== "OUT_OF_MATERIAL")
        .map((p) => (
          <OfferedRemedies key={p.text} problem={p} actions={actions} />
        ))}
      {short && (
        <Remedies
          production={production}
          shot={shot}
          problem={short}
          material={material}
          actions={actions}
        />
      )}
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
        <FramingChoice value={shot.framing} onChoose={(to) => actions.setFraming(shot.place, to)} />
        <Box sx={{ flex: 1 }} />
        <ToggleButton
          value="lock"
          selected={shot.locked}
          onChange={() => actions.toggleLock()}
          title="A locked shot stays where it is, whatever is edited or cut again"
        >
          {shot.locked ? "locked" : "lock"}
        </ToggleButton>
        <ShotMenu
          name={many ? `${also.length} shots` : "Shot"}
          acts={shotActs(film, shot, many, copied, actions, () => setDrawing(true))}
        />
      </Box>
      <RunRow run={shot.run} onRun={(run, stretch) => actions.setRun(run, stretch)} />
      <ClipSoundRow shot={shot} actions={actions} />
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
        <span>
          take {take?.number ?? "?"} of {takes.length}
        </span>
        {takes.length > 1 && <span>T for the next</span>}
      </Box>
      <Box sx={{ display: "grid", gridTemplateColumns: "repeat(4, 1fr)", gap: 2 }}>
        {takes.map((t) => {
          const used = t.id === shot.takeId;
          return (
            <BareButton
              key={t.id}
              aria-pressed={used}
              aria-label={`Take ${t.number}`}
              disabled={t.state !== "READY"}
              onClick={() => void actions.chooseTake(shot.place, t.id)}
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
            </BareButton>
          );
        })}
      </Box>
      {take?.facts && itsShot && take.facts.marks.length > 0 && (
        <MarkWays production={production} shot={itsShot} take={take} />
      )}
    </>
  );
}

/** What can be done with the selected shots. */
function shotActs(
  film: Film,
  shot: Placed,
  many: boolean,
  copied: number,
  actions: ScoreActions,
  onSubject: () => void,
): Act[] {
  const at = useRoom.getState().frame;
  const inside = film.shots.some((s) => at > s.start && at < s.end);
  return [
    ...(many
      ? []
      : [
          {
            name: "Take out; a neighbour takes its time",
            key: "Delete",
            act: () => void actions.remove(shot.place),
          },
        ]),
    {
      name: "Take out and close the gap",
      key: "Shift+Delete",
      act: () => void actions.takeOut(false),
    },
    { name: "Take out and leave a gap", key: "Alt+Delete", act: () => void actions.takeOut(true) },
    ...(inside ? [{ name: "Split at the playhead", key: "/", act: () => actions.split() }] : []),
    { name: "Copy", key: "Ctrl+C", act: () => actions.copy(film) },
    { name: "Cut out", key: "Ctrl+X", act: () => void actions.cutOut(film) },
    ...(copied > 0
      ? [
          {
            name: `Paste ${copied > 1 ? `${copied} shots ` : ""}after it`,
            key: "Ctrl+V",
            act: () => void actions.paste(false),
          },
          {
            name: "Paste without speed and sound",
            key: "Ctrl+Shift+V",
            act: () => void actions.paste(true),
          },
        ]
      : []),
    {
      name: "Lay a copy over the cut, from the playhead",
      key: "O",
      act: () => actions.layOver(shot, useRoom.getState().frame),
    },
    ...(many || shot.takeId === 0
      ? []
      : [{ name: "Cut its subject out, to lay over the cut", act: onSubject }]),
    ...(many ? [{ name: "Group", key: "Ctrl+G", act: () => actions.group(true) }] : []),
    ...(shot.group > 0
      ? [{ name: "Let the group go", key: "Ctrl+Shift+G", act: () => actions.group(false) }]
      : []),
    {
      name: "Move earlier with its time",
      key: "{",
      act: () => void actions.carry(shot.place, shot.place - 1),
    },
    {
      name: "Move later with its time",
      key: "}",
      act: () => void actions.carry(shot.place, shot.place + 1),
    },
  ];
}

/** A gap: how long it is, and how to close it. */
function GapCard({ film, shot, actions }: { film: Film; shot: Placed; actions: ScoreActions }) {
  return (
    <Box component="section" aria-label="A gap" sx={{ px: 4, py: 2 }}>
      <Box component="h2" sx={{ typography: "h1", m: 0, mb: 1 }}>
        A gap of {plural(shot.end - shot.start, "frame")}
      </Box>
      <Box sx={{ pb: 2 }}>Black is seen here.</Box>
      <CutRow film={film} shot={shot} end="in" actions={actions} />
      <CutRow film={film} shot={shot} end="out" actions={actions} />
      <Box sx={{ display: "flex", gap: 2, pt: 2, borderTop: `1px solid ${ink.rule}` }}>
        <Button onClick={() => void actions.takeOut(false)}>Close it</Button>
        {film.shots.length > 1 && (
          <Button onClick={() => void actions.remove(shot.place)}>
            Give its time to a neighbour
          </Button>
        )}
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
  const side = end === "in" ? "start" : "end";
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
      <HeadSign kind={headOf(joint, film.clock)} />
      <Box data-testid="reason" sx={{ flex: 1, lineHeight: "15px" }}>
        {joint.reason}
      </Box>
      {!fixed && (
        <>
          <Button
            aria-label={`${end} cut to the beat before`}
            title="To the beat before (,)"
            onClick={() => actions.step(-1, index, side)}
          >
            ‹
          </Button>
          <Button
            aria-label={`${end} cut to the beat after`}
            title="To the beat after (.)"
            onClick={() => actions.step(1, index, side)}
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
