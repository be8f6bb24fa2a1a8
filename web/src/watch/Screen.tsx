import Box from "@mui/material/Box";
import { useEffect, useRef, useState } from "react";
import { BareButton } from "../parts/BareButton";
import { face, ink } from "../theme";
import { clock, type Note, type Reel } from "./reels";
import { useReel } from "./useReel";

const STEP = 5;

/** The picture, a line of its time as wide as the screen, and three large buttons. */
export function Screen({
  source,
  reel,
  notes,
  jump,
  onSecond,
}: {
  source: string;
  reel: Reel;
  notes: readonly Note[];
  /** Where to go; another object each time. */
  jump: { to: number } | null;
  onSecond: (second: number) => void;
}) {
  const video = useRef<HTMLVideoElement>(null);
  const [playing, setPlaying] = useState(false);
  const [second, setSecond] = useState(0);
  const [trouble, setTrouble] = useState("");
  useReel(video, source, setTrouble);

  const go = (to: number) => {
    const element = video.current;
    if (!element) return;
    element.currentTime = Math.max(0, Math.min(reel.seconds - 0.05, to));
  };
  useEffect(() => {
    if (jump && video.current) {
      video.current.currentTime = jump.to;
      video.current.scrollIntoView({ block: "center" });
    }
  }, [jump]);
  const toggle = () => {
    const element = video.current;
    if (!element) return;
    if (element.paused) void element.play().catch(() => setTrouble("It cannot be played here."));
    else element.pause();
  };
  return (
    <Box sx={{ position: "sticky", top: 0, zIndex: 1, bgcolor: ink.sheet }}>
      <Box sx={{ bgcolor: "#000", display: "grid", placeItems: "center" }}>
        <Box
          component="video"
          ref={video}
          playsInline
          aria-label={reel.name}
          onClick={toggle}
          onPlay={() => setPlaying(true)}
          onPause={() => setPlaying(false)}
          onTimeUpdate={(e) => {
            const now = e.currentTarget.currentTime;
            setSecond(now);
            onSecond(now);
          }}
          onError={() => setTrouble("This file cannot be played here; choose another.")}
          sx={{
            width: "100%",
            maxHeight: "52dvh",
            aspectRatio: `${reel.width} / ${reel.height}`,
            display: "block",
          }}
        />
      </Box>
      {trouble !== "" && (
        <Box role="alert" sx={{ px: 4, pt: 2, color: ink.rust }}>
          {trouble}
        </Box>
      )}
      <Box sx={{ px: 4, pt: 1 }}>
        <TimeLine seconds={reel.seconds} second={second} notes={marks(notes, reel)} onGo={go} />
        <Box sx={{ display: "flex", alignItems: "center", gap: 2, pb: 2 }}>
          <Box sx={{ fontFamily: face.mono, flex: 1 }}>
            {clock(second)} / {clock(reel.seconds)}
          </Box>
          <BareButton onClick={() => go(second - STEP)} sx={round}>
            −{STEP} s
          </BareButton>
          <BareButton
            onClick={toggle}
            sx={{ ...round, width: 104, bgcolor: ink.thistle, color: "#fff" }}
          >
            {playing ? "Pause" : "Play"}
          </BareButton>
          <BareButton onClick={() => go(second + STEP)} sx={round}>
            +{STEP} s
          </BareButton>
        </Box>
      </Box>
    </Box>
  );
}

/** Large enough for a thumb. */
const round = {
  minWidth: 60,
  height: 48,
  borderRadius: "24px",
  border: `1px solid ${ink.edge}`,
  textAlign: "center",
  fontSize: 16,
} as const;

/** Where notes are in what is watched, 0 to 1. */
const marks = (notes: readonly Note[], reel: Reel) =>
  notes.map((n) => (n.second - reel.from) / reel.seconds).filter((at) => at >= 0 && at <= 1);

function TimeLine({
  seconds,
  second,
  notes,
  onGo,
}: {
  seconds: number;
  second: number;
  notes: readonly number[];
  onGo: (second: number) => void;
}) {
  return (
    <Box sx={{ position: "relative", height: 48 }}>
      {notes.map((at, i) => (
        <Box
          key={i}
          sx={{
            position: "absolute",
            left: `calc(${at} * (100% - 24px) + 11px)`,
            top: 4,
            width: 3,
            height: 14,
            bgcolor: ink.rust,
          }}
        />
      ))}
      <Box
        component="input"
        type="range"
        min={0}
        max={seconds}
        step={0.04}
        value={Math.min(second, seconds)}
        aria-label="Time"
        aria-valuetext={clock(second)}
        onChange={(e) => onGo(Number(e.target.value))}
        sx={{ width: "100%", height: 48, m: 0, accentColor: ink.thistle }}
      />
    </Box>
  );
}
