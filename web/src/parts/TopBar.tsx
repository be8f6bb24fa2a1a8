import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import LinearProgress from "@mui/material/LinearProgress";
import { Link, useLocation } from "react-router";
import type { Film, Master, Material, Production, Song, Story } from "../api/client";
import type { Heard } from "../api/events";
import { useFilm, useMasters, useMaterial, useSongs } from "../api/queries";
import { useStory } from "../api/story";
import { fraunces, ink } from "../theme";
import { History } from "./History";
import { useKeySheet } from "./keys";
import { plural, shapeName } from "./words";
import { tempoOf } from "./tempo";

/** The production's title and the rooms, each with where it stands. */
export function TopBar({ production, heard }: { production: Production; heard: Heard }) {
  const id = production.id;
  const material = useMaterial(id).data;
  const songs = useSongs(id).data;
  const film = useFilm(id).data;
  const masters = useMasters(id).data;
  const here = useLocation().pathname.split("/").at(-1);
  const looks = film?.problems.length ?? 0;
  const story = useStory(id).data;
  const steps = [
    { room: "story", name: "Story", state: storyState(story) },
    { room: "takes", name: "Takes", state: takesState(material) },
    { room: "cues", name: "Cues", state: cuesState(songs) },
    { room: "score", name: "Score", state: scoreState(film, production), wrong: looks > 0 },
    { room: "words", name: "Words", state: wordsState(film) },
    { room: "look", name: "Look", state: lookState(film) },
    { room: "mix", name: "Mix", state: mixState(film) },
    { room: "master", name: "Master", state: masterState(masters) },
  ];
  return (
    <Box
      component="header"
      sx={{
        height: 52,
        flex: "none",
        display: "flex",
        bgcolor: ink.band,
        // Where colour is judged nothing else has any.
        filter: here === "look" ? "grayscale(1)" : "none",
        borderBottom: `1px solid ${ink.rule2}`,
      }}
    >
      <Box
        component={Link}
        to="/"
        aria-label="Shelf"
        sx={{
          width: 200,
          pl: 4,
          display: "flex",
          alignItems: "center",
          gap: 3,
          color: ink.ink,
          textDecoration: "none",
          flex: "none",
        }}
      >
        <img src="/thistle.svg" width={26} height={26} alt="" />
        <Box sx={{ minWidth: 0 }}>
          <Box
            component="h1"
            sx={{
              ...fraunces,
              m: 0,
              fontSize: 20,
              fontWeight: 560,
              lineHeight: "24px",
              whiteSpace: "nowrap",
              overflow: "hidden",
              textOverflow: "ellipsis",
              maxWidth: 155,
            }}
          >
            {production.title}
          </Box>
          <Box sx={{ typography: "body2", color: ink.ink2, whiteSpace: "nowrap" }}>
            {Math.round(production.targetSeconds)} s ·{" "}
            {Number(production.framesPerSecond.toFixed(3))} fps ·{" "}
            {shapeName(production.width, production.height)}
          </Box>
        </Box>
      </Box>
      <Box component="nav" aria-label="Rooms" sx={{ display: "flex" }}>
        {steps.map((step) => {
          const current = here === step.room;
          return (
            <Box
              key={step.room}
              component={Link}
              to={`/productions/${id}/${step.room}`}
              aria-current={current ? "page" : undefined}
              sx={{
                px: 2.5,
                minWidth: 90,
                whiteSpace: "nowrap",
                display: "flex",
                flexDirection: "column",
                justifyContent: "center",
                textDecoration: "none",
                color: current ? ink.thistleDeep : ink.ink,
                borderLeft: `1px solid ${current ? ink.rule2 : "transparent"}`,
                borderRight: `1px solid ${current ? ink.rule2 : "transparent"}`,
                borderTop: `3px solid ${current ? ink.thistle : "transparent"}`,
                bgcolor: current ? ink.sheet : "transparent",
                mb: current ? "-1px" : 0,
                pb: "3px",
                "&:hover": { bgcolor: current ? ink.sheet : ink.paper },
                "&:focus-visible": { outlineOffset: -3 },
              }}
            >
              <Box sx={{ fontSize: 15, fontWeight: 600, lineHeight: "19px" }}>{step.name}</Box>
              <Box sx={{ typography: "body2", color: step.wrong ? ink.rust : ink.ink2 }}>
                {step.state}
              </Box>
            </Box>
          );
        })}
      </Box>
      <Box sx={{ flex: 1 }} />
      <History production={id} />
      <Work heard={heard} />
    </Box>
  );
}

function Work({ heard: { pulse, reached } }: { heard: Heard }) {
  const first = pulse?.work[0];
  return (
    <Box
      sx={{ width: 176, pl: 2, pr: 4, alignSelf: "center", typography: "body2", color: ink.ink2 }}
      aria-live="polite"
    >
      {!reached ? (
        <Box role="alert" sx={{ textAlign: "right", color: ink.rust }}>
          Late Thistle does not answer;
          <br />
          this goes on when it does
        </Box>
      ) : first ? (
        <>
          <Box sx={{ whiteSpace: "nowrap", overflow: "hidden", textOverflow: "ellipsis" }}>
            {first.what}
            {first.done > 0 && `, ${Math.floor(first.done * 100)} %`}
          </Box>
          <LinearProgress
            aria-label={first.what}
            variant={first.done > 0 ? "determinate" : "indeterminate"}
            value={first.done * 100}
            sx={{ mt: 1, height: 4, bgcolor: ink.rule }}
          />
        </>
      ) : (
        <Box sx={{ textAlign: "right" }}>
          saved
          <br />
          <ButtonBase
            onClick={() => useKeySheet.getState().show(true)}
            sx={{ font: "inherit", color: "inherit", textDecoration: "underline dotted" }}
          >
            ? shows the keys
          </ButtonBase>
        </Box>
      )}
    </Box>
  );
}

function storyState(story: Story | undefined): string {
  if (!story) return " ";
  if (story.text.trim() === "") return "nothing written yet";
  if (story.shots.length === 0) return plural(story.words, "word");
  return story.words > 0
    ? `${plural(story.words, "word")}, ${story.spokenSeconds.toFixed(0)} s`
    : `${plural(story.shots.length, "shot")}, no voice`;
}

function takesState(material: Material | undefined): string {
  if (!material) return " ";
  if (material.shots.length === 0) return "no clips yet";
  const takes = material.shots.reduce((n, s) => n + s.takes.length, 0);
  return `${plural(material.shots.length, "shot")}, ${plural(takes, "take")}`;
}

function cuesState(songs: readonly Song[] | undefined): string {
  if (!songs) return " ";
  const chosen = songs.find((s) => s.chosen);
  if (!chosen) return "no music yet";
  if (chosen.state === "PREPARING") return "listening";
  if (chosen.state === "REFUSED") return "song not usable";
  const bars = Math.ceil((chosen.beats.length - chosen.firstDownbeat) / chosen.beatsPerBar);
  return `${plural(bars, "bar")}, ${tempoOf(chosen.beats, chosen.bpm, 0)} BPM`;
}

function scoreState(film: Film | undefined, production: Production): string {
  if (!film) return " ";
  if (film.shots.length === 0) return "not cut yet";
  if (film.problems.length > 0) return `${film.problems.length} to look at`;
  return `${(film.length / production.framesPerSecond).toFixed(1)} s, ${plural(film.shots.length, "shot")}`;
}

function wordsState(film: Film | undefined): string {
  if (!film) return " ";
  if (film.shots.length === 0) return "no film yet";
  return film.titled === 0 ? "no titles yet" : plural(film.titled, "title");
}

function lookState(film: Film | undefined): string {
  if (!film) return " ";
  const shots = film.shots.filter((s) => s.takeId !== 0);
  const corrected = shots.filter((s) => s.corrected).length;
  if (shots.length === 0) return "no shots yet";
  return corrected === 0 ? "not begun" : `${corrected} of ${shots.length} corrected`;
}

function mixState(film: Film | undefined): string {
  if (!film) return " ";
  if (film.shots.length === 0) return "no film yet";
  return film.laid === 0 ? "no sounds yet" : `${plural(film.laid, "sound")} laid`;
}

function masterState(masters: readonly Master[] | undefined): string {
  if (!masters) return " ";
  if (masters.some((m) => ["WAITING", "RENDERING", "CHECKING"].includes(m.state)))
    return "rendering";
  const made = masters.filter((m) => m.bytes !== null).length;
  return made === 0 ? "not made yet" : `${made} made`;
}
