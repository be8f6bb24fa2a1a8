import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Select from "@mui/material/Select";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import type { Film, Passing, PassingKind, Placed, Production } from "../../api/client";
import { useMaterial, useTransitions } from "../../api/queries";
import { NumberField } from "../../parts/NumberField";
import { chosenPlaces, useRoom } from "../../store";
import { ink } from "../../theme";
import { OverlapStrip } from "./OverlapStrip";
import { PassingTile } from "./PassingTile";
import { PATTERN, PLAIN, patternOf, usualSpan } from "./passings";
import { OfferedRemedies } from "./Remedies";
import type { ScoreActions } from "./useScoreActions";

interface Props {
  production: Production;
  film: Film;
  shot: Placed;
  actions: ScoreActions;
}

/** How the selected cut's two shots become one another. */
export function TransitionPanel({ production, film, shot, actions }: Props) {
  const end = useRoom((s) => s.end);
  const also = useRoom((s) => s.also);
  const kinds = useTransitions().data ?? [];
  const joint = end === "in" ? shot.place : shot.place + 1;
  const before = film.shots[joint - 1];
  const after = film.shots[joint];
  const place = film.joints[joint]?.passing ?? null;
  if (!before || !after) return <NoNeighbour end={end} film={film} shot={shot} />;
  const now = place?.how ?? PLAIN;
  const inside = chosenPlaces({ place: shot.place, also }).filter(
    (p, i, all) => i > 0 && all[i - 1] === p - 1,
  );
  const joints = also.length > 1 && inside.length > 0 ? inside : [joint];
  const lay = (to: Passing) => void actions.setTransition(joints, to);
  const problems = film.problems.filter(
    (p) =>
      (p.place === joint - 1 && (p.kind === "ENDS_SHORT" || p.kind === "TRANSITION_CROWDED")) ||
      (p.place === joint && p.kind === "STARTS_SHORT"),
  );
  return (
    <Box component="section" aria-label="Transition">
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, py: 1 }}>
        <Box component="h3" sx={{ typography: "h2", m: 0, flex: 1 }}>
          {joints.length > 1
            ? `On ${joints.length} cuts between the selected shots`
            : `From ${before.label} into ${after.label}`}
        </Box>
        <EndChoice />
      </Box>
      <Box
        role="group"
        aria-label="Kinds of transition"
        sx={{
          display: "grid",
          gridTemplateColumns: "repeat(auto-fill, minmax(62px, 1fr))",
          gap: 2,
        }}
      >
        {kinds.map((kind) => (
          <PassingTile
            key={kind.kind}
            production={production}
            film={film}
            joint={joint}
            how={as(kind, now, film)}
            used={now.kind === kind.kind}
            onChoose={lay}
          />
        ))}
      </Box>
      {place && (
        <>
          <Length film={film} how={now} frames={place.end - place.start} onSet={lay} />
          <Manner
            production={production}
            parts={kinds.find((k) => k.kind === now.kind)?.parts ?? []}
            how={now}
            onSet={lay}
          />
          <OverlapStrip before={before} after={after} place={place} cut={after.start} />
          {problems.map((p) => (
            <Box key={p.text} sx={{ borderTop: `1px solid ${ink.rule}`, pt: 1 }}>
              <Box sx={{ color: ink.rust, pb: 1 }}>{p.text}</Box>
              <OfferedRemedies problem={p} actions={actions} />
            </Box>
          ))}
          <Box sx={{ display: "flex", gap: 2, py: 2, borderTop: `1px solid ${ink.rule}` }}>
            <Button
              title="On every cut where a section of the song or a break begins"
              onClick={() => void actions.onBorders(now)}
            >
              On all section borders
            </Button>
            <Box sx={{ flex: 1 }} />
            <Button title="Shift+Y" onClick={() => lay(PLAIN)}>
              Plain cut
            </Button>
          </Box>
        </>
      )}
    </Box>
  );
}

/** A kind as it would be laid: as long as what is there, in its own usual manner. */
function as(kind: PassingKind, now: Passing, film: Film): Passing {
  if (kind.kind === now.kind) return now;
  if (kind.kind === "CUT") return PLAIN;
  const span = now.kind === "CUT" ? usualSpan(film) : { amount: now.amount, unit: now.unit };
  return { ...kind.usual, ...span, lies: now.lies, holds: now.holds };
}

function EndChoice() {
  const end = useRoom((s) => s.end);
  const set = useRoom((s) => s.set);
  return (
    <ToggleButtonGroup
      exclusive
      value={end}
      aria-label="Which cut of the shot"
      onChange={(_, to: "in" | "out" | null) => to && set({ end: to })}
    >
      <ToggleButton value="in" title="The cut it begins with (X for the other)">
        in
      </ToggleButton>
      <ToggleButton value="out">out</ToggleButton>
    </ToggleButtonGroup>
  );
}

function NoNeighbour({ end, film, shot }: { end: "in" | "out"; film: Film; shot: Placed }) {
  return (
    <Box sx={{ py: 2 }}>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, pb: 2 }}>
        <Box sx={{ flex: 1 }}>
          {end === "in"
            ? `The film begins with ${shot.label}.`
            : film.fade > 0
              ? `The film ends with ${shot.label} and fades over ${film.fade} frames.`
              : `The film ends with ${shot.label}.`}
        </Box>
        <EndChoice />
      </Box>
      <Box sx={{ color: ink.ink2 }}>
        A transition lies between two shots. How the film ends is set on its own card (Esc).
      </Box>
    </Box>
  );
}

interface Setting {
  how: Passing;
  onSet: (to: Passing) => void;
}

/** Beats that are offered, in quarters. */
const BEATS = [
  { quarters: 2, name: "½" },
  { quarters: 4, name: "1 beat" },
  { quarters: 8, name: "2" },
  { quarters: 16, name: "4" },
];

function Length({ film, how, frames, onSet }: Setting & { film: Film; frames: number }) {
  const beats = film.clock.frames.length > 1;
  return (
    <Box sx={{ display: "flex", alignItems: "center", flexWrap: "wrap", gap: 2, pt: 3, pb: 1 }}>
      {beats && (
        <ToggleButtonGroup
          exclusive
          value={how.unit === "QUARTER_BEATS" ? how.amount : 0}
          aria-label="Length in beats"
          onChange={(_, amount: number | null) =>
            amount && onSet({ ...how, amount, unit: "QUARTER_BEATS" })
          }
        >
          {BEATS.map(({ quarters, name }) => (
            <ToggleButton key={quarters} value={quarters}>
              {name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      )}
      <NumberField
        label="lasts"
        unit="f"
        digits={0}
        value={frames}
        hint="Typed frames stay as many, whatever the tempo does"
        onChange={(v) => onSet({ ...how, amount: Math.round(v), unit: "FRAMES" })}
      />
      <ToggleButtonGroup
        exclusive
        value={how.lies}
        aria-label="Where it lies"
        onChange={(_, lies: Passing["lies"] | null) => lies && onSet({ ...how, lies })}
      >
        <ToggleButton value="END" title="It is over where the cut is">
          before
        </ToggleButton>
        <ToggleButton value="MIDDLE" title="Its middle is where the cut is">
          about
        </ToggleButton>
        <ToggleButton value="START" title="It begins where the cut is">
          after
        </ToggleButton>
      </ToggleButtonGroup>
    </Box>
  );
}

const DIRECTIONS = [
  { angle: 0, name: "→ to the right" },
  { angle: 45, name: "↘ right and down" },
  { angle: 90, name: "↓ down" },
  { angle: 135, name: "↙ left and down" },
  { angle: 180, name: "← to the left" },
  { angle: 225, name: "↖ left and up" },
  { angle: 270, name: "↑ up" },
  { angle: 315, name: "↗ right and up" },
];

/** What else can be said of the transition. */
function Manner({
  production,
  parts,
  how,
  onSet,
}: Setting & { production: Production; parts: PassingKind["parts"] }) {
  if (parts.length === 0) return null;
  return (
    <Box sx={{ display: "flex", alignItems: "center", flexWrap: "wrap", gap: 2, py: 1 }}>
      {parts.map((part) => {
        switch (part) {
          case "ANGLE":
            return (
              <NumberField
                key={part}
                label="goes to"
                unit="°"
                digits={0}
                value={how.angle ?? 0}
                hint="0 to the right, 90 down, 180 to the left, 270 up"
                onChange={(v) => onSet({ ...how, angle: ((Math.round(v) % 360) + 360) % 360 })}
              />
            );
          case "DIRECTION":
            return (
              <Select
                key={part}
                size="small"
                value={how.angle ?? 180}
                inputProps={{ "aria-label": "Direction" }}
                sx={{ height: 26 }}
                onChange={(e) => onSet({ ...how, angle: Number(e.target.value) })}
              >
                {DIRECTIONS.map(({ angle, name }) => (
                  <MenuItem key={angle} value={angle}>
                    {name}
                  </MenuItem>
                ))}
              </Select>
            );
          case "SOFTNESS":
            return (
              <NumberField
                key={part}
                label="soft edge"
                unit="%"
                digits={0}
                value={how.softness ?? 0}
                hint="Of the way it goes; 0 is a hard edge"
                onChange={(v) => onSet({ ...how, softness: Math.round(v) })}
              />
            );
          case "COLOUR":
            return (
              <label key={part} style={{ display: "flex", alignItems: "center", gap: 6 }}>
                colour
                <input
                  type="color"
                  aria-label="Colour"
                  value={how.colour ?? "#000000"}
                  onChange={(e) => onSet({ ...how, colour: e.target.value })}
                />
              </label>
            );
          case "PATTERN":
            return <PatternChoice key={part} production={production} how={how} onSet={onSet} />;
        }
      })}
    </Box>
  );
}

/** Which part comes first: one of our patterns, or a still among the takes, dark first. */
function PatternChoice({ production, how, onSet }: Setting & { production: Production }) {
  const stills =
    useMaterial(production.id).data?.shots.flatMap((shot) =>
      shot.takes.filter((t) => t.still && t.state === "READY"),
    ) ?? [];
  const own = stills.find((t) => t.media === how.picture);
  return (
    <Select
      size="small"
      value={own?.media ?? how.pattern ?? "CLOUDS"}
      inputProps={{ "aria-label": "Pattern" }}
      sx={{ height: 26, maxWidth: 200 }}
      onChange={(e) => {
        const pattern = patternOf(e.target.value);
        onSet(pattern ? { ...how, pattern, picture: null } : { ...how, picture: e.target.value });
      }}
    >
      {Object.entries(PATTERN).map(([pattern, name]) => (
        <MenuItem key={pattern} value={pattern}>
          {name}
        </MenuItem>
      ))}
      {stills.map((t) => (
        <MenuItem key={t.id} value={t.media}>
          {t.fileName}
        </MenuItem>
      ))}
    </Select>
  );
}
