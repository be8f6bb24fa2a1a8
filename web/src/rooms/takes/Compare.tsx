import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import Slider from "@mui/material/Slider";
import { useEffect, useState } from "react";
import { takeFrameUrl, type Production, type Shot, type Take } from "../../api/client";
import { Still } from "../../parts/Still";
import { fraunces, ink } from "../../theme";
import { faultName } from "./faults";

interface Props {
  production: Production;
  takes: readonly { shot: Shot; take: Take }[];
  onPick: (shot: Shot, take: Take) => void;
  onClose: () => void;
}

/** Two to four takes, large, on one scrub line. */
export function Compare({ production, takes, onPick, onClose }: Props) {
  const [seconds, setSeconds] = useState(0);
  const [playing, setPlaying] = useState(false);
  const fps = production.framesPerSecond;
  const longest = Math.max(...takes.map((t) => t.take.seconds));
  useEffect(() => {
    if (!playing) return;
    const started = performance.now() - seconds * 1000;
    const timer = setInterval(
      () => setSeconds(((performance.now() - started) / 1000) % longest),
      1000 / 12,
    );
    return () => clearInterval(timer);
    // The clock starts where the scrub line stands; it is not started again by its own steps.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [playing, longest]);
  return (
    <Dialog
      fullScreen
      open
      onClose={onClose}
      slotProps={{ paper: { sx: { bgcolor: ink.well, p: 4, color: "#fff" } } }}
      onKeyDown={(e) => {
        if (e.key === " ") {
          e.preventDefault();
          setPlaying(!playing);
        }
      }}
    >
      <Box
        aria-label="Compared takes"
        sx={{
          flex: 1,
          minHeight: 0,
          display: "grid",
          gap: 3,
          gridTemplateColumns: `repeat(${columnsFor(takes.length, production)}, 1fr)`,
        }}
      >
        {takes.map(({ shot, take }) => {
          const said = [...take.faults.map(faultName), ...(take.facts?.troubles ?? [])];
          return (
            <Box key={take.id} sx={{ minHeight: 0, display: "flex", flexDirection: "column" }}>
              <Box
                sx={{
                  flex: 1,
                  minHeight: 0,
                  ...(shot.pick === take.id && { boxShadow: `0 0 0 3px ${ink.thistle}` }),
                }}
              >
                <Still
                  src={takeFrameUrl(
                    production.id,
                    take.id,
                    Math.min(take.frames - 1, seconds * fps),
                    540,
                  )}
                  alt={`Shot ${shot.label}, take ${take.number}`}
                />
              </Box>
              <Box
                sx={{
                  display: "flex",
                  gap: 3,
                  alignItems: "center",
                  bgcolor: ink.sheet,
                  color: ink.ink,
                  px: 3,
                  minHeight: 34,
                }}
              >
                <Box sx={{ ...fraunces, fontSize: 17 }}>
                  {shot.label}, take {take.number}
                </Box>
                <Box
                  sx={{
                    flex: 1,
                    minWidth: 0,
                    overflow: "hidden",
                    textOverflow: "ellipsis",
                    whiteSpace: "nowrap",
                    color: said.length > 0 ? ink.rust : ink.moss,
                  }}
                  title={said.join("; ")}
                >
                  {said.length > 0 ? said.join("; ") : "clean"}
                </Box>
                <Box sx={{ color: ink.ink2 }}>
                  {take.facts && `sharp ${(100 * take.facts.sharpness).toFixed(0)}`}
                </Box>
                {shot.pick === take.id ? (
                  <Box sx={{ color: ink.thistleDeep, fontWeight: 600 }}>the pick</Box>
                ) : (
                  <Button onClick={() => onPick(shot, take)}>Pick</Button>
                )}
              </Box>
            </Box>
          );
        })}
      </Box>
      <Box sx={{ display: "flex", gap: 4, alignItems: "center", pt: 3 }}>
        <Button sx={{ color: ink.ink }} onClick={() => setPlaying(!playing)}>
          {playing ? "Stop" : "Play"}
        </Button>
        <Slider
          aria-label="Time in the takes"
          size="small"
          min={0}
          max={longest}
          step={1 / fps}
          value={seconds}
          onChange={(_, to) => {
            setPlaying(false);
            setSeconds(to as number);
          }}
          sx={{ color: "#fff" }}
        />
        <Box sx={{ width: 60 }}>{seconds.toFixed(2)} s</Box>
        <Button sx={{ color: ink.ink }} onClick={onClose}>
          Close
        </Button>
      </Box>
    </Dialog>
  );
}

/** What a take's line under its picture and the gap take, and the line at the foot. */
const LINE = 46;
const FOOT = 90;

/** In how many columns takes are seen largest in this window. */
function columnsFor(count: number, { width, height }: Pick<Production, "width" | "height">) {
  const across = (columns: number) => {
    const rows = Math.ceil(count / columns);
    const tall = (window.innerHeight - FOOT) / rows - LINE;
    return Math.min(window.innerWidth / columns, (tall * width) / height);
  };
  const all = Array.from({ length: count }, (_, i) => i + 1);
  return all.reduce((best, c) => (across(c) > across(best) ? c : best), 1);
}
