import Box from "@mui/material/Box";
import Hls from "hls.js";
import { useCallback, useEffect, useRef, useState, type ReactNode } from "react";
import { filmUrl, inShape, stillUrl, type Film, type Production } from "../../api/client";
import { Still } from "../../parts/Still";
import { useHeardSides } from "../../parts/mono";
import { useNotice } from "../../parts/notice";
import { useSize } from "../../parts/useSize";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import { watched } from "./shapes";
import { usePrepared } from "./usePrepared";

/** The picture at the playhead: a still while it rests, the film while it plays. */
export function Monitor({
  production,
  film,
  instead = null,
  children,
}: {
  production: Production;
  film: Film;
  /** A picture that is shown in place of the film's own while it rests, or null. */
  instead?: string | null;
  /** What lies over the picture while it rests. */
  children?: ReactNode;
}) {
  const frame = useRoom((s) => s.frame);
  const playing = useRoom((s) => s.playing);
  // The film stays in front after it stops, until the still it stopped at is there.
  const [running, setRunning] = useState(false);
  const uncover = useCallback(() => {
    if (!useRoom.getState().playing) setRunning(false);
  }, []);
  const at = Math.min(frame, Math.max(0, film.length - 1));
  usePrepared(production, film);
  const shape = useRoom((s) => s.shape);
  const { width, height } = watched(film, production, shape);
  const aspect = width / height;
  const [ref, column] = useSize("monitor", { width: 376, height: 0 });
  return (
    <Box
      ref={ref}
      sx={{
        bgcolor: ink.well,
        p: 3,
        flex: "none",
        // As high as its column is wide, but half of the window is left to the card below it.
        height: `min(${Math.round((column.width - 24) / aspect) + 24}px, max(${aspect < 1 ? 300 : 222}px, 54vh))`,
        display: "grid",
        placeItems: "center",
      }}
    >
      <Box
        sx={{
          position: "relative",
          height: "100%",
          maxWidth: "100%",
          aspectRatio: `${width} / ${height}`,
          bgcolor: "#000",
          overflow: "hidden",
        }}
        data-testid="monitor"
      >
        <Still
          src={
            playing && running
              ? null
              : (instead ?? stillUrl(production.id, inShape(film.revision, shape), at))
          }
          alt={`The film at frame ${at}`}
          onShown={uncover}
        />
        <Player production={production} film={film} onRunning={setRunning} shown={running} />
        {!running && children}
      </Box>
    </Box>
  );
}

/** Steps the playhead backward as time passes, picture by picture; the film's start ends it. */
function runBackward(fps: number, speed: number): () => void {
  const { frame: from, set } = useRoom.getState();
  const begun = performance.now();
  let handle = requestAnimationFrame(function tick(now) {
    handle = requestAnimationFrame(tick);
    const at = Math.max(0, Math.round(from + ((now - begun) / 1000) * fps * speed));
    if (at !== useRoom.getState().frame) set({ frame: at });
    if (at === 0) set({ playing: false, speed: 1 });
  });
  return () => cancelAnimationFrame(handle);
}

interface PlayerProps {
  production: Production;
  film: Film;
  shown: boolean;
  onRunning: (running: boolean) => void;
}

/** Plays the film's HLS; a changed film is loaded anew at the playhead. */
function Player({ production, film, shown, onRunning }: PlayerProps) {
  const video = useRef<HTMLVideoElement>(null);
  const playing = useRoom((s) => s.playing);
  const speed = useRoom((s) => s.speed);
  const jumps = useRoom((s) => s.jumps);
  const set = useRoom((s) => s.set);
  const tell = useNotice((s) => s.tell);
  const fps = production.framesPerSecond;
  const shape = useRoom((s) => s.shape);
  const source = filmUrl(production.id, inShape(film.revision, shape));
  const length = film.length;
  useHeardSides(video, playing);
  const hls = useRef<{ source: string; player: Hls } | null>(null);

  useEffect(
    () => () => {
      hls.current?.player.destroy();
      hls.current = null;
      set({ playing: false });
    },
    [set],
  );

  useEffect(() => {
    const element = video.current;
    if (!element || !playing) return;
    if (speed < 0) return runBackward(fps, speed);
    const room = useRoom.getState();
    const start = room.frame >= length - 1 ? 0 : room.frame;
    if (hls.current?.source !== source) {
      hls.current?.player.destroy();
      const player = new Hls({ startPosition: (start + 0.5) / fps, maxBufferLength: 10 });
      player.on(Hls.Events.ERROR, (_, error) => {
        if (!error.fatal) return;
        tell(`The preview stopped: ${error.details}. Press play again.`, "wrong");
        hls.current?.player.destroy();
        hls.current = null;
        set({ playing: false });
      });
      player.loadSource(source);
      player.attachMedia(element);
      hls.current = { source, player };
    } else {
      element.currentTime = (start + 0.5) / fps;
      hls.current?.player.startLoad();
    }
    let begun = false;
    const begin = () => {
      begun = true;
      onRunning(true);
    };
    element.addEventListener("playing", begin);
    element.playbackRate = speed;
    void element.play().catch(() => undefined);
    let handle = requestAnimationFrame(function tick() {
      handle = requestAnimationFrame(tick);
      if (!begun || element.seeking) return;
      const now = Math.floor(element.currentTime * fps + 0.01);
      const { until, loop } = useRoom.getState();
      if (loop && (now >= loop.to || element.ended)) {
        element.currentTime = (loop.from + 0.5) / fps;
        if (element.ended) void element.play().catch(() => undefined);
        return;
      }
      const stop = Math.min(until ?? length, length);
      if (now >= stop || element.ended) set({ frame: Math.max(0, stop - 1), playing: false });
      else if (now !== useRoom.getState().frame) set({ frame: Math.max(0, now) });
    });
    return () => {
      cancelAnimationFrame(handle);
      element.removeEventListener("playing", begin);
      element.pause();
      // While the film rests, the server is for stills.
      hls.current?.player.stopLoad();
      if (useRoom.getState().playing) onRunning(false);
    };
  }, [playing, speed, source, fps, length, set, tell, onRunning]);

  useEffect(() => {
    const element = video.current;
    if (element && useRoom.getState().playing && jumps > 0) {
      element.currentTime = (useRoom.getState().frame + 0.5) / fps;
    }
  }, [jumps, fps]);

  return (
    <video
      ref={video}
      playsInline
      style={{
        position: "absolute",
        inset: 0,
        width: "100%",
        height: "100%",
        visibility: shown ? "visible" : "hidden",
      }}
    />
  );
}
