import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import {
  useCallback,
  useEffect,
  useMemo,
  useRef,
  useState,
  type PointerEvent,
  type RefObject,
} from "react";
import { under, type Film, type Production, type Song } from "../../api/client";
import { usePeaks } from "../../api/queries";
import { clockTime } from "../../parts/time";
import { isTyping } from "../../parts/isTyping";
import { face, ink } from "../../theme";
import { Beats } from "./Beats";
import { CorrectionBar } from "./CorrectionBar";
import { doubtsOf } from "./doubts";
import { SectionRibbon } from "./SectionRibbon";
import { outlineOf, outlinePath } from "./peaks";
import { useClicks } from "./useClicks";
import { useCorrections } from "./useCorrections";
import type { Spot } from "./useSpot";
import { useTaps } from "./useTaps";

interface Props {
  song: Song;
  production: Production;
  film: Film | undefined;
  /** Where the candidates are heard; it goes from one to the next. */
  spot: RefObject<Spot>;
  volume: number;
}

/** A stretch of the song that is marked, in seconds; `held` while the pointer still draws it. */
interface Span {
  from: number;
  to: number;
  held: boolean;
}

const ordered = ({ from, to }: Span): Span => ({
  from: Math.min(from, to),
  to: Math.max(from, to),
  held: false,
});

const WIDTH = 1248;
const HEIGHT = 216;
const MIDDLE = 128;
/** How far the waveform reaches to either side of its middle. */
const REACH = 62;

/** A song with its beats, bars and the stretch the film uses; it can be heard from any place. */
export function SongView({ song, production, film, spot, volume }: Props) {
  const ready = song.state === "READY";
  const peaks = usePeaks(production.id, ready ? song.id : null).data;
  const audio = useRef<HTMLAudioElement>(null);
  const [at, setAt] = useState(0);
  const [playing, setPlaying] = useState(false);
  const [clicks, setClicks] = useState(false);
  const corrections = useCorrections(production, song);
  const now = useCallback(() => audio.current?.currentTime ?? 0, []);
  const taps = useTaps(now, corrections.taps);
  useClicks(clicks, song, audio);
  const [span, setSpan] = useState<Span | null>(null);
  const x = (seconds: number) => (seconds / Math.max(0.01, song.seconds)) * WIDTH;

  useEffect(() => {
    const element = audio.current;
    if (!element) return;
    const { seconds, playing: goOn } = spot.current;
    element.currentTime = seconds;
    setAt(seconds);
    if (goOn) void element.play();
    return () => {
      spot.current = { seconds: element.currentTime, playing: !element.paused };
    };
  }, [spot]);
  useEffect(() => {
    if (audio.current) audio.current.volume = volume;
  }, [volume]);

  useEffect(() => {
    if (!playing) return;
    let handle = requestAnimationFrame(function tick() {
      setAt(audio.current?.currentTime ?? 0);
      handle = requestAnimationFrame(tick);
    });
    return () => cancelAnimationFrame(handle);
  }, [playing]);

  const keys = useRef({ corrections, taps, song });
  useEffect(() => {
    keys.current = { corrections, taps, song };
  });
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      if (isTyping(e)) return;
      const { corrections: correct, taps: tapping, song: shown } = keys.current;
      const time = audio.current?.currentTime ?? 0;
      if (e.ctrlKey || e.metaKey) {
        if (e.key.toLowerCase() !== "z") return;
        if (e.shiftKey && shown.redo !== "") correct.redo();
        else if (!e.shiftKey && shown.undo !== "") correct.undo();
      } else if (e.key === " ") {
        const onControl = (e.target as HTMLElement).closest("button, a, [role=combobox]");
        if (onControl) return;
        toggle(audio.current);
      } else if (e.key === "t" && !e.repeat) tapping.tap();
      else if (e.key === "h") correct.halve();
      else if (e.key === "d") correct.double();
      else if (e.key === "b") correct.downbeatAt(time);
      else if (e.key === "s") correct.addBorder(time);
      else if (e.key === "c") setClicks((on) => !on);
      else if (e.key === "," || e.key === ".") {
        const beat = nearest(shown.beats, time);
        const by = e.key === "," ? -0.01 : 0.01;
        if (beat !== null) correct.moveBeat(beat, beat + by);
      } else return;
      e.preventDefault();
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, []);

  const paths = useMemo(() => {
    if (!peaks) return null;
    const o = outlineOf(peaks);
    const time = (px: number) => (px / WIDTH) * song.seconds;
    return {
      peak: outlinePath(o.peak, o.perSecond, 0, WIDTH, time, MIDDLE, REACH, REACH),
      body: outlinePath(o.body, o.perSecond, 0, WIDTH, time, MIDDLE, REACH, REACH),
    };
  }, [peaks, song.seconds]);

  if (!ready) return null;
  const doubts = doubtsOf(song);
  const seek = (to: number) => {
    const element = audio.current;
    if (!element) return;
    element.currentTime = Math.max(0, Math.min(song.seconds, to));
    setAt(element.currentTime);
  };
  const timeAt = (e: PointerEvent<SVGSVGElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    return ((e.clientX - box.left) / box.width) * song.seconds;
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
      <CorrectionBar
        song={song}
        corrections={corrections}
        taps={taps}
        playing={playing}
        clicks={clicks}
        onPlay={() => toggle(audio.current)}
        onClicks={setClicks}
      />
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
          const at = timeAt(e);
          if (e.shiftKey) {
            e.currentTarget.setPointerCapture(e.pointerId);
            setSpan({ from: at, to: at, held: true });
          } else {
            setSpan(null);
            seek(at);
          }
        }}
        onPointerMove={(e) => {
          if (span?.held) setSpan({ ...span, to: timeAt(e) });
        }}
        onPointerUp={() => {
          if (span?.held) setSpan(Math.abs(span.to - span.from) < 0.5 ? null : ordered(span));
        }}
        onKeyDown={(e) => {
          if (e.key === "ArrowLeft") seek(at - 1);
          if (e.key === "ArrowRight") seek(at + 1);
        }}
      >
        <SectionRibbon
          song={song}
          width={WIDTH}
          y={8}
          height={20}
          onMove={corrections.moveBorder}
        />
        {doubts.map((doubt) => (
          <rect
            key={doubt.from}
            x={x(doubt.from)}
            y={48}
            width={x(doubt.to - doubt.from)}
            height={HEIGHT - 62}
            fill={ink.rustWash}
            fillOpacity={0.7}
          >
            <title>{doubt.words}</title>
          </rect>
        ))}
        {span && (
          <rect
            x={x(Math.min(span.from, span.to))}
            y={44}
            width={x(Math.abs(span.to - span.from))}
            height={HEIGHT - 54}
            fill={ink.thistleWash}
            stroke={ink.thistle}
          />
        )}
        {used && (
          <g fill={ink.thistle}>
            <rect
              x={x(used.from)}
              y={2}
              width={x(Math.min(used.to, song.seconds)) - x(used.from)}
              height={4}
            />
            <title>
              in the film, {clockTime(used.from)} to {clockTime(Math.min(used.to, song.seconds))}
            </title>
          </g>
        )}
        {paths && (
          <>
            <path d={paths.peak} fill={ink.wavePeak} />
            <path d={paths.body} fill={ink.waveBody} />
          </>
        )}
        <Beats
          song={song}
          width={WIDTH}
          onMove={corrections.moveBeat}
          onDownbeat={corrections.downbeatAt}
        />
        <g transform={`translate(${x(at)} 0)`} pointerEvents="none">
          <line y1={50} y2={HEIGHT - 10} stroke={ink.thistle} strokeWidth={2} />
          <path d="M-6 44h12v7l-6 6l-6-6z" fill={ink.thistle} />
        </g>
      </svg>
      <Box sx={{ display: "flex", gap: 6, color: ink.ink2, typography: "body2" }}>
        <Box component="span" sx={{ fontFamily: face.mono, color: ink.ink, fontSize: 13 }}>
          {clockTime(at)}
        </Box>
        <span>● downbeat</span>
        <span>• beat: drag it, or double-click it to begin a bar; Shift+drag marks a span</span>
        {used && (
          <span>
            <Box component="span" sx={{ color: ink.thistle }}>
              ▬
            </Box>{" "}
            in the film, {clockTime(used.from)} to {clockTime(Math.min(used.to, song.seconds))}
          </span>
        )}
        <Box sx={{ flex: 1 }} />
        <Box sx={{ color: ink.ink }}>
          {span && !span.held && (
            <Button
              onClick={() => {
                corrections.hold(span.from, span.to);
                setSpan(null);
              }}
              sx={{ mr: 3 }}
            >
              Hold one tempo for these {(span.to - span.from).toFixed(1)} s
            </Button>
          )}
          <b>{Math.round(song.confidence * 100)} % sure</b>, {song.beats.length} beats
          {doubts.length > 0 && (
            <Box component="span" sx={{ color: ink.rust }}>
              ,{" "}
              {doubts
                .map((d) => d.words)
                .slice(0, 2)
                .join("; ")}
              {doubts.length > 2 && ` and ${doubts.length - 2} more`}
            </Box>
          )}
        </Box>
      </Box>
    </Box>
  );
}

function toggle(audio: HTMLAudioElement | null) {
  if (!audio) return;
  if (audio.paused) void audio.play();
  else audio.pause();
}

/** The time in a list that is nearest to one, or null of none. */
function nearest(times: readonly number[], to: number): number | null {
  return times.reduce<number | null>(
    (best, time) => (best === null || Math.abs(time - to) < Math.abs(best - to) ? time : best),
    null,
  );
}
