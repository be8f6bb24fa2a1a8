import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useState, type ReactNode } from "react";
import { api, type Film, type Production, type Treatment } from "../../api/client";
import { useChange, useSongs } from "../../api/queries";
import { NumberField } from "../../parts/NumberField";
import { timecode } from "../../parts/time";
import { plural } from "../../parts/words";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import { TreatmentPanel } from "./TreatmentPanel";
import { TREATMENT } from "./treatments";
import type { ScoreActions } from "./useScoreActions";
import { meansOf } from "./means";
import { stillest } from "./stillest";
import { goTo, select, setRange } from "./playing";

/** The film as a whole, while no shot is selected: what to look at, and which shots are out. */
export function FilmCard({
  production,
  film,
  actions,
}: {
  production: Production;
  film: Film;
  actions: ScoreActions;
}) {
  const fps = production.framesPerSecond;
  const song = useSongs(production.id).data?.find((s) => s.chosen);
  const lengths = film.shots.map((s) => s.end - s.start).sort((a, b) => a - b);
  const span = (frames: number | undefined) => `${((frames ?? 0) / fps).toFixed(2)} s`;
  const rows: [string, string][] = [
    [
      "Length",
      `${(film.length / fps).toFixed(2)} s of ${Math.round(production.targetSeconds)} s wanted`,
    ],
    ["Shots", `${film.shots.length}, ${span(lengths[0])} to ${span(lengths.at(-1))}`],
    ...meansOf(film, song, fps).map(({ name, mean, shots }): [string, string] => [
      name,
      `${mean.toFixed(2)} s a shot, ${plural(shots, "shot")}`,
    ]),
    ...(film.voice.length > 0
      ? ([
          ["In words", `${film.problems.filter((p) => p.kind === "INSIDE_WORD").length} cuts`],
        ] satisfies [string, string][])
      : []),
    ["Locked", `${film.shots.filter((s) => s.locked).length}`],
    ...(film.overlays.length > 0
      ? ([["Laid over", `${film.overlays.length}`]] satisfies [string, string][])
      : []),
  ];
  const quiet = stillest(film);
  return (
    <Box sx={{ p: 4 }} component="section" aria-label="The film">
      <Box component="h2" sx={{ typography: "h1", m: 0, mb: 2 }}>
        The whole film
      </Box>
      <TooShort film={film} production={production} />
      {rows.map(([name, value]) => (
        <Box key={name} sx={{ display: "flex", py: 1, borderTop: `1px solid ${ink.rule}` }}>
          <Box sx={{ width: 84, color: ink.ink2 }}>{name}</Box>
          <Box>{value}</Box>
        </Box>
      ))}
      <Box
        sx={{
          display: "flex",
          alignItems: "center",
          minHeight: 34,
          borderTop: `1px solid ${ink.rule}`,
        }}
      >
        <Box sx={{ width: 84, color: ink.ink2 }}>Nothing new</Box>
        <Box sx={{ flex: 1 }}>for {span(quiet.to - quiet.from)} at most</Box>
        <Button
          title="The longest stretch with nothing new to see or hear"
          onClick={() => {
            setRange(film, quiet.from, quiet.to);
            goTo(film, quiet.from);
          }}
        >
          Show
        </Button>
      </Box>
      <Box
        sx={{
          display: "flex",
          gap: 4,
          alignItems: "center",
          minHeight: 38,
          borderTop: `1px solid ${ink.rule}`,
        }}
      >
        {film.clock.song !== null && (
          <NumberField
            label="Song starts at"
            unit="s"
            digits={2}
            value={film.songStart}
            onChange={(to) => actions.setSong(to, film.fade)}
          />
        )}
        <NumberField
          label="fades over"
          unit="f"
          digits={0}
          value={film.fade}
          hint={`${(film.fade / fps).toFixed(2)} s at the end, picture and sound`}
          onChange={(to) => actions.setSong(film.songStart, Math.round(to))}
        />
      </Box>
      <InShapes production={production} film={film} actions={actions} />
      <OnWholeFilm production={production} film={film} actions={actions} />
      <Heading>
        {film.problems.length === 0 ? "Nothing to look at" : `${film.problems.length} to look at`}
      </Heading>
      {film.problems.map((p, i) => (
        <Line key={i}>
          <Box sx={{ flex: 1, color: ink.rust }}>{p.text}</Box>
          <Button onClick={() => select(film, p.place)}>Show</Button>
        </Line>
      ))}
      {film.markers.length > 0 && (
        <>
          <Heading>{plural(film.markers.length, "marker")}</Heading>
          {film.markers.map((m) => (
            <Line key={m.name}>
              <Box sx={{ width: 70, color: ink.ink2 }}>{timecode(m.at.frame, fps)}</Box>
              <Box sx={{ flex: 1, color: m.done ? ink.ink3 : ink.ink, overflowWrap: "anywhere" }}>
                {m.by !== "" && <b>{m.by}: </b>}
                {m.note || "no note"}
              </Box>
              <FormControlLabel
                label="done"
                control={
                  <Checkbox
                    checked={m.done}
                    onChange={(e) => actions.tickMarker(m.name, e.target.checked)}
                  />
                }
              />
              <Button onClick={() => goTo(film, m.at.frame)}>Go there</Button>
              <Button onClick={() => useRoom.getState().set({ noting: m.name })}>Change</Button>
            </Line>
          ))}
        </>
      )}
      {film.sounds.length > 0 && (
        <>
          <Heading>{plural(film.sounds.length, "detached sound")}</Heading>
          {film.sounds.map((s) => (
            <Line key={s.name}>
              <Box sx={{ flex: 1 }}>
                of <b>{s.label}</b> at {timecode(s.start.frame, fps)}, {span(s.length)}
              </Box>
              <NumberField
                label="gain"
                unit="dB"
                digits={0}
                value={s.gain}
                onChange={(to) => actions.setSound(s.name, s.length, Math.round(to))}
              />
              <Button onClick={() => actions.soundOut(s.name)}>Take it out</Button>
            </Line>
          ))}
        </>
      )}
      {film.outside.length > 0 && (
        <>
          <Heading>{plural(film.outside.length, "shot")} left out</Heading>
          {film.outside.map((s) => (
            <Line key={s.shotId}>
              <Box sx={{ flex: 1 }}>
                <b>{s.label}</b> {s.title}
              </Box>
              <Button onClick={() => actions.bringBack(s.shotId)}>Bring back</Button>
            </Line>
          ))}
        </>
      )}
    </Box>
  );
}

function Heading({ children }: { children: ReactNode }) {
  return (
    <Box component="h2" sx={{ typography: "h2", m: 0, mt: 4, mb: 1 }}>
      {children}
    </Box>
  );
}

/** One of several things, with what can be done about it. */
function Line({ children }: { children: ReactNode }) {
  return (
    <Box
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 2,
        py: 1,
        borderTop: `1px solid ${ink.rule}`,
      }}
    >
      {children}
    </Box>
  );
}

/** Cinema shapes that bars can leave of the picture, in hundredths: common practice, no source. */
const BARS = [185, 200, 239];

/** In which shape the film is watched, and which it has inside its own. */
function InShapes({
  production,
  film,
  actions,
}: {
  production: Production;
  film: Film;
  actions: ScoreActions;
}) {
  const shape = useRoom((s) => s.shape);
  const set = useRoom((s) => s.set);
  const own = film.shapes[0]?.name;
  const without = film.shots.filter((s) => s.takeId !== 0 && !s.focus).map((s) => s.place);
  const bars = film.treatments.find((t) => t.kind === "BARS")?.values[0]?.value ?? 0;
  return (
    <Box sx={{ borderTop: `1px solid ${ink.rule}`, py: 1, display: "grid", gap: 1 }}>
      <Box sx={{ display: "flex", alignItems: "center" }}>
        <Box sx={{ width: 84, color: ink.ink2 }}>Watched in</Box>
        <ToggleButtonGroup
          exclusive
          value={shape ?? own}
          aria-label="The shape the film is watched in"
          onChange={(_, to: string | null) => to && set({ shape: to === own ? null : to })}
        >
          {film.shapes.map((s) => (
            <ToggleButton key={s.name} value={s.name} title={`${s.width}×${s.height} (Z)`}>
              {s.name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </Box>
      {without.length > 0 && (
        <Box sx={{ display: "flex", alignItems: "center", pl: "84px", gap: 2 }}>
          <Box sx={{ flex: 1, color: ink.ink2 }}>
            {plural(without.length, "shot")} without a focus
          </Box>
          <Button
            title="By what stands out in them and what moves"
            onClick={() => actions.findFocus(without)}
          >
            Find it
          </Button>
        </Box>
      )}
      {production.width > production.height && (
        <Box sx={{ display: "flex", alignItems: "center" }}>
          <Box sx={{ width: 84, color: ink.ink2 }}>Bars</Box>
          <ToggleButtonGroup
            exclusive
            value={bars}
            aria-label="Cinema bars"
            onChange={(_, to: number | null) => {
              if (to === null) return;
              actions.setTreatments([""], (now) => [
                ...now.filter((t) => t.kind !== "BARS"),
                ...(to === 0 ? [] : [barsOf(to)]),
              ]);
            }}
          >
            <ToggleButton value={0}>none</ToggleButton>
            {BARS.map((b) => (
              <ToggleButton key={b} value={b}>
                {(b / 100).toFixed(2)}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        </Box>
      )}
    </Box>
  );
}

const barsOf = (value: number): Treatment => ({
  kind: "BARS",
  values: [{ value, follows: null }],
  bypassed: false,
  table: null,
});

/** What is done to the picture of the whole film. */
function OnWholeFilm({
  production,
  film,
  actions,
}: {
  production: Production;
  film: Film;
  actions: ScoreActions;
}) {
  const [open, setOpen] = useState(false);
  const frame = useRoom((s) => s.frame);
  const count = film.treatments.length;
  return (
    <Box sx={{ borderTop: `1px solid ${ink.rule}` }}>
      <Box sx={{ display: "flex", alignItems: "center", minHeight: 34 }}>
        <Box sx={{ width: 84, color: ink.ink2 }}>Treated</Box>
        <Box sx={{ flex: 1 }}>
          {count === 0 ? "shots by themselves" : film.treatments.map(nameOf).join(", ")}
        </Box>
        <Button aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? "Done" : "The whole film"}
        </Button>
      </Box>
      {open && (
        <TreatmentPanel
          production={production}
          film={film}
          items={[""]}
          treatments={film.treatments}
          frame={Math.min(frame, film.length - 1)}
          actions={actions}
        />
      )}
    </Box>
  );
}

const nameOf = (t: Treatment) => TREATMENT[t.kind];

/** A film under this part of its wanted length says what to do about it. */
const FAR_UNDER = 0.85;

/** Why a film is far under its wanted length, and what can be done. */
function TooShort({ film, production }: { film: Film; production: Production }) {
  const seconds = film.length / production.framesPerSecond;
  const aim = useChange<number>(production.id, (targetSeconds) =>
    api.PATCH("/api/productions/{id}", {
      params: { path: { id: production.id } },
      body: { title: production.title, targetSeconds },
    }),
  );
  const under = production.targetSeconds - seconds;
  if (seconds >= FAR_UNDER * production.targetSeconds) return null;
  const round = Math.max(5, Math.round(seconds));
  const outside = film.outside.filter((s) => s.pick !== null).length;
  const means = [
    outside > 0 ? `cut again with the ${plural(outside, "shot")} left out` : "",
    "bring in more clips",
    "let some run slower or back and forth (Speed, on a shot)",
  ].filter((m) => m !== "");
  return (
    <Box sx={{ py: 2, borderTop: `1px solid ${ink.rule}`, color: ink.rust }}>
      {under.toFixed(0)} s under the wanted length: {means.join(", ")}, or
      <Button sx={{ ml: 1 }} onClick={() => aim.mutate(round)}>
        aim at {round} s
      </Button>
    </Box>
  );
}
