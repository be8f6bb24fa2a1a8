import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useEffect, useMemo, useRef, useState } from "react";
import { under, type Film, type Production, type Song } from "../../api/client";
import { usePeaks } from "../../api/queries";
import { clockTime } from "../../parts/time";
import { isTyping } from "../../parts/isTyping";
import { face, ink } from "../../theme";
import { outlineOf, outlinePath } from "./peaks";

interface Props {
  song: Song;
  production: Production;
  film: Film | undefined;
}

const WIDTH = 1248;
const HEIGHT = 400;
const MIDDLE = 212;
const DOTS = 372;
/** Below this sureness a beat is drawn hollow: common practice, no source. */
const UNSURE = 0.25;

/** A song with its beats, bars and the stretch the film uses; it can be heard from any place. */
export function SongView({ song, production, film }: Props) {
  const ready = song.state === "READY";
  const peaks = usePeaks(production.id, ready ? song.id : null).data;
  const audio = useRef<HTMLAudioElement>(null);
  const [at, setAt] = useState(0);
  const [playing, setPlaying] = useState(false);
  const x = (seconds: number) => (seconds / Math.max(0.01, song.seconds)) * WIDTH;

  useEffect(() => {
    if (!playing) return;
    let handle = requestAnimationFrame(function tick() {
      setAt(audio.current?.currentTime ?? 0);
      handle = requestAnimationFrame(tick);
    });
    return () => cancelAnimationFrame(handle);
  }, [playing]);

  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      if (e.key !== " " || isTyping(e)) return;
      e.preventDefault();
      toggle(audio.current);
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, []);

  const paths = useMemo(() => {
    if (!peaks) return null;
    const o = outlineOf(peaks);
    const time = (px: number) => (px / WIDTH) * song.seconds;
    return {
      peak: outlinePath(o.peak, o.perSecond, 0, WIDTH, time, MIDDLE, 124, 124),
      body: outlinePath(o.body, o.perSecond, 0, WIDTH, time, MIDDLE, 124, 124),
    };
  }, [peaks, song.seconds]);

  if (!ready) return null;
  const unsure = song.sureness.filter((s) => s < UNSURE).length;
  const seek = (to: number) => {
    const element = audio.current;
    if (!element) return;
    element.currentTime = Math.max(0, Math.min(song.seconds, to));
    setAt(element.currentTime);
  };
  const used =
    song.chosen && film && film.length > 0
      ? { from: film.songStart, to: film.songStart + film.length / production.framesPerSecond }
      : null;
  return (
    <Box component="section" aria-label={`${song.title}, beats`} sx={{ mt: 4 }}>
      <audio
        ref={audio}
        src={`${under(production.id)}/songs/${song.id}/sound`}
        preload="auto"
        onPlay={() => setPlaying(true)}
        onPause={() => setPlaying(false)}
      />
      <Box sx={{ display: "flex", alignItems: "center", gap: 6, height: 34 }}>
        <Button onClick={() => toggle(audio.current)} sx={{ width: 64 }}>
          {playing ? "Stop" : "Hear it"}
        </Button>
        <Fact name="Tempo">{song.bpm.toFixed(1)} BPM</Fact>
        <Fact name="Metre">{song.beatsPerBar}/4</Fact>
        <Fact name="First downbeat">{clockTime(song.beats[song.firstDownbeat] ?? 0)}</Fact>
        <Fact name="Beats">{song.beats.length}</Fact>
        <Box sx={{ flex: 1 }} />
        <Box>
          <b>{Math.round(song.confidence * 100)} % sure</b>
          {unsure > 0 && (
            <Box component="span" sx={{ color: ink.rust }}>
              , {unsure} of {song.beats.length} beats hardly heard
            </Box>
          )}
        </Box>
      </Box>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        width="100%"
        role="slider"
        tabIndex={0}
        aria-label="place in the song"
        aria-valuemin={0}
        aria-valuemax={Math.round(song.seconds)}
        aria-valuenow={Math.round(at)}
        aria-valuetext={clockTime(at)}
        style={{ display: "block", cursor: "text", userSelect: "none", overflow: "visible" }}
        onPointerDown={(e) => {
          const box = e.currentTarget.getBoundingClientRect();
          seek(((e.clientX - box.left) / box.width) * song.seconds);
        }}
        onKeyDown={(e) => {
          if (e.key === "ArrowLeft") seek(at - 1);
          if (e.key === "ArrowRight") seek(at + 1);
        }}
      >
        {used && (
          <g>
            <rect
              x={x(used.from)}
              y={22}
              width={x(used.to - used.from)}
              height={26}
              fill={ink.thistleWash}
            />
            <text x={x(used.from) + 8} y={39} fontSize={13} fill={ink.thistleDeep}>
              in the film, {clockTime(used.from)} to {clockTime(Math.min(used.to, song.seconds))}
            </text>
          </g>
        )}
        {paths && (
          <>
            <path d={paths.peak} fill={ink.wavePeak} />
            <path d={paths.body} fill={ink.waveBody} />
          </>
        )}
        <Beats song={song} x={x} />
        <g transform={`translate(${x(at)} 0)`} pointerEvents="none">
          <line y1={50} y2={HEIGHT - 16} stroke={ink.thistle} strokeWidth={2} />
          <path d="M-6 44h12v7l-6 6l-6-6z" fill={ink.thistle} />
        </g>
      </svg>
      <Box sx={{ display: "flex", gap: 6, color: ink.ink2, typography: "body2" }}>
        <Box component="span" sx={{ fontFamily: face.mono, color: ink.ink, fontSize: 13 }}>
          {clockTime(at)}
        </Box>
        <span>● downbeat</span>
        <span>• beat</span>
        {unsure > 0 && (
          <Box component="span" sx={{ color: ink.rust }}>
            ○ beat hardly heard, placed by the tempo
          </Box>
        )}
      </Box>
    </Box>
  );
}

function toggle(audio: HTMLAudioElement | null) {
  if (!audio) return;
  if (audio.paused) void audio.play();
  else audio.pause();
}

function Fact({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <Box>
      <Box component="span" sx={{ color: ink.ink2, mr: 2 }}>
        {name}
      </Box>
      <Box component="span" sx={{ fontFamily: face.mono, fontSize: 14 }}>
        {children}
      </Box>
    </Box>
  );
}

function Beats({ song, x }: { song: Song; x: (seconds: number) => number }) {
  const apart = WIDTH / Math.max(1, song.beats.length);
  const small = apart < 7;
  const every = [1, 2, 4, 8, 16].find((n) => n * apart * song.beatsPerBar > 34) ?? 32;
  return (
    <g>
      {song.beats.map((seconds, i) => {
        const inBar = (i - song.firstDownbeat) % song.beatsPerBar;
        const down = inBar === 0;
        const bar = (i - song.firstDownbeat) / song.beatsPerBar + 1;
        const sure = (song.sureness[i] ?? 1) >= UNSURE;
        const px = x(seconds);
        return (
          <g key={i}>
            {down && (
              <line
                x1={px}
                x2={px}
                y1={bar % every === 1 || every === 1 ? 62 : 76}
                y2={DOTS}
                stroke={ink.rule2}
                strokeOpacity={0.8}
              />
            )}
            {down && (bar - 1) % every === 0 && (
              <text x={px + 4} y={72} fontSize={12} fill={ink.ink3}>
                {bar}
              </text>
            )}
            {(!small || down) && (
              <circle
                cx={px}
                cy={DOTS}
                r={down ? (small ? 2.5 : 5) : 2.4}
                fill={sure ? ink.ink : ink.sheet}
                stroke={sure ? "none" : ink.rust}
                strokeWidth={1.3}
              />
            )}
          </g>
        );
      })}
    </g>
  );
}
