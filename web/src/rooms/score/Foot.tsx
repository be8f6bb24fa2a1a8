import Box from "@mui/material/Box";
import type { ReactNode } from "react";
import type { Film, Production } from "../../api/client";
import { timecode } from "../../parts/time";
import { face, ink } from "../../theme";
import { isOffbeat } from "./cuts";
import { HeadSign } from "./Head";
import type { HeadKind } from "./heads";
import { nextProblem } from "./playing";

/** The film in numbers, which is also the legend of the heads; problems, each press to the next. */
export function Foot({ production, film }: { production: Production; film: Film }) {
  const cuts = film.joints.slice(1, -1);
  const off = cuts.filter((j) => isOffbeat(film.clock, j));
  const onBeat = cuts.filter((j) => j.tie === "BEAT" && !off.includes(j));
  const down = onBeat.filter((j) => j.downbeat).length;
  const beat = onBeat.length - down;
  const word = cuts.filter((j) => j.tie === "WORD").length;
  const free = cuts.length - onBeat.length - off.length - word;
  const exact = cuts.filter((j) => j.tie === "BEAT" && j.offset === 0).length;
  const over = film.length / production.framesPerSecond - production.targetSeconds;
  return (
    <Box
      component="footer"
      sx={{
        height: 30,
        flex: "none",
        display: "flex",
        alignItems: "center",
        px: 3,
        bgcolor: ink.band,
        borderTop: `1px solid ${ink.rule2}`,
        whiteSpace: "nowrap",
        "& > *": { px: 3 },
        "& > * + *": { borderLeft: `1px solid ${ink.rule2}` },
      }}
    >
      <Box>
        Length{" "}
        <Box component="b" sx={{ fontFamily: face.mono, fontWeight: 500, fontSize: 13 }}>
          {timecode(film.length, production.framesPerSecond)}
        </Box>{" "}
        <Box component="span" sx={{ color: ink.ink2 }}>
          {over === 0 ? "as wanted" : `${over > 0 ? "+" : "−"}${Math.abs(over).toFixed(1)} s`}
        </Box>
      </Box>
      <Box data-testid="on-beat">
        Cuts on a beat{" "}
        <b>
          {exact} of {cuts.length}
        </b>
      </Box>
      <Legend head="downbeat">{down} on downbeats</Legend>
      <Legend head="beat">{beat} on beats</Legend>
      {off.length > 0 && <Legend head="offbeat">{off.length} between</Legend>}
      {film.voice.length > 0 && <Legend head="word">{word} on words</Legend>}
      <Legend head="free">{free} free</Legend>
      {film.problems.length > 0 && (
        <Box
          component="button"
          onClick={() => nextProblem(film)}
          sx={{
            border: 0,
            bgcolor: "transparent",
            font: "inherit",
            color: ink.rust,
            cursor: "pointer",
            fontWeight: 600,
            overflow: "hidden",
            textOverflow: "ellipsis",
          }}
        >
          {film.problems.length} to look at: {film.problems[0]?.text}
        </Box>
      )}
    </Box>
  );
}

function Legend({ head, children }: { head: HeadKind; children: ReactNode }) {
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1.5 }}>
      <HeadSign kind={head} size={12} />
      <span>{children}</span>
    </Box>
  );
}
