import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import Slider from "@mui/material/Slider";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Hls from "hls.js";
import { useEffect, useRef, useState, type RefObject } from "react";
import { filmUrl, type Film, type Production, type Version } from "../../api/client";
import { timecode } from "../../parts/time";
import { fraunces, ink } from "../../theme";

/** How far, in seconds, the second film may run from the first before it is set right. */
const APART = 0.06;

type Heard = "now" | "then";

/** The film as it is and a version of it, playing side by side from the same frame. */
export function WatchBoth({
  production,
  film,
  version,
  onClose,
}: {
  production: Production;
  film: Film;
  version: Version;
  onClose: () => void;
}) {
  const now = useRef<HTMLVideoElement>(null);
  const then = useRef<HTMLVideoElement>(null);
  const [playing, setPlaying] = useState(false);
  const [heard, setHeard] = useState<Heard>("now");
  const [at, setAt] = useState(0);
  const fps = production.framesPerSecond;

  useEffect(() => {
    const [one, other] = [now.current, then.current];
    if (!one || !other || !playing) return;
    void one.play().catch(() => undefined);
    void other.play().catch(() => undefined);
    let handle = requestAnimationFrame(function tick() {
      handle = requestAnimationFrame(tick);
      setAt(Math.floor(one.currentTime * fps + 0.01));
      if (one.ended && other.ended) setPlaying(false);
      if (!one.ended && !other.ended && Math.abs(one.currentTime - other.currentTime) > APART) {
        other.currentTime = one.currentTime;
      }
    });
    return () => {
      cancelAnimationFrame(handle);
      one.pause();
      other.pause();
    };
  }, [playing, fps]);

  const goTo = (frame: number) => {
    for (const video of [now.current, then.current]) {
      if (video) video.currentTime = (frame + 0.5) / fps;
    }
    setAt(frame);
  };
  const length = Math.max(film.length, version.length);
  const one = (name: string, key: Heard, ref: typeof now, frames: number, source: string) => (
    <Box sx={{ flex: 1, minWidth: 0 }}>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, mb: 1 }}>
        <Box sx={{ ...fraunces, fontSize: 17, color: ink.thistleDeep }}>{name}</Box>
        <Box sx={{ color: ink.ink2 }}>{timecode(frames, fps)}</Box>
      </Box>
      <Box sx={{ bgcolor: ink.well, p: 2, height: 320, display: "grid", placeItems: "center" }}>
        <Screen video={ref} name={name} muted={heard !== key} source={source} />
      </Box>
    </Box>
  );
  return (
    <Dialog open onClose={onClose} maxWidth={false} aria-labelledby="both">
      <Box sx={{ width: 1120, p: 5, bgcolor: ink.sheet }}>
        <Box component="h2" id="both" sx={{ typography: "h1", m: 0, mb: 3 }}>
          Both, side by side
        </Box>
        <Box sx={{ display: "flex", gap: 4 }}>
          {one("as it is now", "now", now, film.length, filmUrl(production.id, film.revision))}
          {one(
            version.name,
            "then",
            then,
            version.length,
            filmUrl(production.id, `v${version.id}`),
          )}
        </Box>
        <Box sx={{ typography: "body2", color: ink.ink2, my: 2 }}>
          {version.name} against the film as it is: {version.differences.slice(0, 8).join("; ")}
        </Box>
        <Box sx={{ display: "flex", alignItems: "center", gap: 3 }}>
          <Button
            variant="contained"
            color="primary"
            onClick={() => {
              if (!playing && at >= length - 1) goTo(0);
              setPlaying(!playing);
            }}
          >
            {playing ? "Stop" : "Play both"}
          </Button>
          <Slider
            size="small"
            aria-label="Frame"
            min={0}
            max={length - 1}
            value={at}
            onChange={(_, to) => goTo(to as number)}
            sx={{ flex: 1 }}
          />
          <Box sx={{ width: 74 }}>{timecode(at, fps)}</Box>
          <ToggleButtonGroup
            exclusive
            aria-label="Which is heard"
            value={heard}
            onChange={(_, to: Heard | null) => to && setHeard(to)}
          >
            <ToggleButton value="now">hear this film</ToggleButton>
            <ToggleButton value="then">hear {version.name}</ToggleButton>
          </ToggleButtonGroup>
          <Button onClick={onClose}>Back to the versions</Button>
        </Box>
      </Box>
    </Dialog>
  );
}

/** A film in a video element, loaded from its first frame on. */
function Screen({
  video,
  name,
  muted,
  source,
}: {
  video: RefObject<HTMLVideoElement | null>;
  name: string;
  muted: boolean;
  source: string;
}) {
  useEffect(() => {
    const element = video.current;
    if (!element) return;
    const player = new Hls({ maxBufferLength: 8 });
    player.loadSource(source);
    player.attachMedia(element);
    return () => player.destroy();
  }, [video, source]);
  return (
    <video
      ref={video}
      muted={muted}
      playsInline
      aria-label={name}
      style={{ maxWidth: "100%", maxHeight: 312, background: "#000" }}
    />
  );
}
