import Box from "@mui/material/Box";
import IconButton from "@mui/material/IconButton";
import Tooltip from "@mui/material/Tooltip";
import type { ReactNode } from "react";
import type { Film, Production } from "../../api/client";
import { barBeat, timecode } from "../../parts/time";
import { useRoom } from "../../store";
import { face, ink } from "../../theme";
import { PlayButton } from "./PlayButton";
import { goTo, loopRound, playTwoBars } from "./playing";
import { useScrubSound } from "./useScrubSound";

/** Timecode, bar and beat, and the buttons that play. */
export function Transport({ production, film }: { production: Production; film: Film }) {
  const frame = useRoom((s) => s.frame);
  const playing = useRoom((s) => s.playing);
  const looping = useRoom((s) => s.loop !== null);
  const speed = useRoom((s) => s.speed);
  const scrubSound = useRoom((s) => s.scrubSound);
  const set = useRoom((s) => s.set);
  const fps = production.framesPerSecond;
  useScrubSound(production, film);
  const cut = (direction: 1 | -1) => {
    const frames = film.joints.map((j) => j.frame);
    const to =
      direction > 0 ? frames.find((f) => f > frame) : frames.filter((f) => f < frame).at(-1);
    goTo(film, to ?? frame);
  };
  return (
    <Box
      sx={{
        height: 58,
        flex: "none",
        px: 3,
        display: "flex",
        alignItems: "center",
        borderBottom: `1px solid ${ink.rule2}`,
      }}
    >
      <Readout
        value={timecode(frame, production.framesPerSecond)}
        label="min:sec:frame"
        width={118}
        testid="timecode"
      />
      <Readout value={barBeat(film.clock, frame)} label="bar.beat" width={70} testid="barbeat" />
      <Box sx={{ flex: 1, color: ink.thistleDeep }}>
        {playing && speed !== 1 ? `${speed < 0 ? "−" : ""}${Math.abs(speed)}×` : ""}
      </Box>
      <Press title="Previous cut" onClick={() => cut(-1)}>
        <path d="M4 3v12M15 4l-7 5l7 5z" />
      </Press>
      <PlayButton />
      <Press title="Next cut" onClick={() => cut(1)}>
        <path d="M14 3v12M3 4l7 5l-7 5z" />
      </Press>
      <Press title="Play this bar and the next (Shift+Space)" onClick={() => playTwoBars(film)}>
        <path d="M3 3v12M15 3v12M9 3v3M9 8v3M9 13v2" />
      </Press>
      <Press
        title="Round the cut, or the chosen stretch, again and again (R)"
        pressed={looping}
        onClick={() => loopRound(film, fps)}
      >
        <path d="M4 7a5.500 5.500 0 0 1 10 0M14 11a5.500 5.500 0 0 1-10 0M14 3v4h-4M4 15v-4h4" />
      </Press>
      <Press
        title="Hear the film while the playhead is moved"
        pressed={scrubSound}
        onClick={() => set({ scrubSound: !scrubSound })}
      >
        <path d="M3 7v4h3l4 3V4L6 7zM12.500 6.500v5M15 5v8" />
      </Press>
    </Box>
  );
}

function Readout({
  value,
  label,
  width,
  testid,
}: {
  value: string;
  label: string;
  width: number;
  testid: string;
}) {
  return (
    <Box sx={{ width }}>
      <Box
        data-testid={testid}
        sx={{ fontFamily: face.mono, fontSize: 20, fontWeight: 500, lineHeight: "24px" }}
      >
        {value}
      </Box>
      <Box sx={{ typography: "body2", color: ink.ink2 }}>{label}</Box>
    </Box>
  );
}

function Press({
  title,
  onClick,
  pressed,
  children,
}: {
  title: string;
  pressed?: boolean;
  onClick: () => void;
  children: ReactNode;
}) {
  return (
    <Tooltip title={title}>
      <IconButton
        aria-label={title}
        aria-pressed={pressed}
        onClick={onClick}
        sx={pressed ? { bgcolor: ink.thistleWash, color: ink.thistleDeep } : undefined}
      >
        <svg
          width={18}
          height={18}
          fill="none"
          stroke="currentColor"
          strokeWidth={1.8}
          strokeLinejoin="round"
          aria-hidden
        >
          {children}
        </svg>
      </IconButton>
    </Tooltip>
  );
}
