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
import { usePeaks, useVoice } from "../../api/queries";
import { clockTime } from "../../parts/time";
import { useKeys } from "../../parts/keys";
import { face, ink } from "../../theme";
import { Beats } from "./Beats";
import { CorrectionBar } from "./CorrectionBar";
import { doubtsOf } from "./doubts";
import { LineFlags } from "./LineFlags";
import { SectionRibbon } from "./SectionRibbon";
import { outlineOf, outlinePath } from "./peaks";
import { closeTo, placeIn, timeIn, turnedTo, type Shown } from "./shown";
import { SungParts } from "./SungParts";
import { useClicks } from "./useClicks";
import { useCorrections, type Corrections } from "./useCorrections";
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
/** More of it where lines are flagged under the beats. */
const FLAGS = 30;
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
  /** The part looked at closely, or null for the whole song. */
  const [close, setClose] = useState<Shown | null>(null);
  const shown = useMemo(() => close ?? { from: 0, to: song.seconds }, [close, song.seconds]);
  const x = placeIn(shown, WIDTH);
  const lines = useVoice(production.id).data?.lines ?? [];

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
      const time = audio.current?.currentTime ?? 0;
      setAt(time);
      setClose((now) => now && turnedTo(now, time, song.seconds));
      handle = requestAnimationFrame(tick);
    });
    return () => cancelAnimationFrame(handle);
  }, [playing, song.seconds]);

  const time = () => audio.current?.currentTime ?? 0;
  const moveBeat = (by: number) => () => {
    const beat = nearest(song.beats, time());
    if (beat !== null) corrections.moveBeat(beat, beat + by);
  };
  useKeys([
    {
      name: "The song",
      keys: [
        {
          shown: "Space",
          says: "hear the song, stop",
          acts: { Space: () => toggle(audio.current) },
        },
        {
          shown: "C",
          says: "clicks on the beats",
          acts: { C: () => setClicks((on) => !on) },
        },
        {
          shown: "T",
          says: "tap the beats along",
          acts: { T: (e) => (e.repeat ? undefined : taps.tap()) },
        },
        {
          shown: "H, D",
          says: "halve, double the tempo",
          acts: { H: () => corrections.halve(), D: () => corrections.double() },
        },
        {
          shown: "L",
          says: "all beats half a beat later",
          acts: { L: () => corrections.halfBeatLater() },
        },
        {
          shown: "B",
          says: "the beat at the playhead begins a bar",
          acts: { B: () => corrections.downbeatAt(time()) },
        },
        {
          shown: "S, Shift+S",
          says: "a section begins at the playhead; the nearest border goes",
          acts: {
            S: () => corrections.addBorder(time()),
            "Shift+S": () => corrections.removeBorder(time()),
          },
        },
        {
          shown: "Z",
          says: "look closely at the song, or see all of it",
          acts: { Z: () => setClose((now) => (now ? null : closeTo(time(), song.seconds))) },
        },
        { shown: "Alt+drag", says: "move a beat a tenth as far" },
        {
          shown: ", .",
          says: "move the beat at the playhead 10 ms",
          acts: { ",": moveBeat(-0.01), ".": moveBeat(0.01) },
        },
        { shown: "Tab, Enter", says: "go from line to line, open its tools" },
      ],
    },
  ]);

  const paths = useMemo(() => {
    if (!peaks) return null;
    const o = outlineOf(peaks);
    const time = (px: number) => timeIn(shown, px / WIDTH);
    return {
      peak: outlinePath(o.peak, o.perSecond, 0, WIDTH, time, MIDDLE, REACH, REACH),
      body: outlinePath(o.body, o.perSecond, 0, WIDTH, time, MIDDLE, REACH, REACH),
    };
  }, [peaks, shown]);

  if (!ready) return null;
  const doubts = doubtsOf(song);
  const seek = (to: number) => {
    const element = audio.current;
    if (!element) return;
    element.currentTime = Math.max(0, Math.min(song.seconds, to));
    setAt(element.currentTime);
    setClose((now) => now && turnedTo(now, element.currentTime, song.seconds));
  };
  const timeAt = (e: PointerEvent<SVGSVGElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    return timeIn(shown, (e.clientX - box.left) / box.width);
  };
  const used =
    song.chosen && film && film.length > 0
      ? { from: film.songStart, to: film.songStart + film.length / production.framesPerSecond }
      : null;
  const flagged = song.chosen && film ? lines.filter((l) => l.starts !== null) : [];
  const height = HEIGHT + (flagged.length > 0 ? FLAGS : 0);
  return (
    <Box component="section" aria-label={`${song.title}, beats`} sx={{ mt: 4 }}>
      <audio
        ref={audio}
        src={`${under(production.id)}/songs/${song.id}/sound`}
        preload="auto"
        onPlay={() => setPlaying(true)}
        onPause={() => setPlaying(false)}
        onTimeUpdate={(e) => {
          const element = e.currentTarget;
          spot.current = { seconds: element.currentTime, playing: !element.paused };
        }}
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
        viewBox={`0 0 ${WIDTH} ${height}`}
        width="100%"
        role="slider"
        tabIndex={0}
        aria-label="place in the song"
        aria-valuemin={0}
        aria-valuemax={Math.round(song.seconds)}
        aria-valuenow={Math.round(at)}
        aria-valuetext={clockTime(at)}
        style={{
          display: "block",
          cursor: "text",
          userSelect: "none",
          overflow: close ? "hidden" : "visible",
        }}
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
          shown={shown}
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
          shown={shown}
          width={WIDTH}
          onMove={corrections.moveBeat}
          onDownbeat={corrections.downbeatAt}
        />
        <SungParts song={song} x={x} width={WIDTH} y={186} />
        <LineFlags
          lines={flagged}
          x={(seconds) => x(seconds + (film?.songStart ?? 0))}
          width={WIDTH}
          y={HEIGHT + 4}
          onGo={(seconds) => seek(seconds + (film?.songStart ?? 0))}
        />
        <g transform={`translate(${x(at)} 0)`} pointerEvents="none">
          <line y1={50} y2={HEIGHT - 10} stroke={ink.thistle} strokeWidth={2} />
          <path d="M-6 44h12v7l-6 6l-6-6z" fill={ink.thistle} />
        </g>
      </svg>
      <Box sx={{ display: "flex", gap: 6, mt: 1, color: ink.ink2, typography: "body2" }}>
        <Box component="span" sx={{ fontFamily: face.mono, color: ink.ink, fontSize: 13 }}>
          {clockTime(at)}
        </Box>
        <span>● downbeat</span>
        <span>• beat: drag it, or double-click it to begin a bar; Shift+drag marks a span</span>
        <Box
          component="button"
          onClick={() => setClose(close ? null : closeTo(at, song.seconds))}
          title="Z"
          sx={plainButton}
        >
          {close ? "whole song" : "look closely"}
        </Box>
        {used && (
          <span>
            <Box component="span" sx={{ color: ink.thistle }}>
              ▬
            </Box>{" "}
            in the film, {clockTime(used.from)} to {clockTime(Math.min(used.to, song.seconds))}
          </span>
        )}
        <Box sx={{ flex: 1 }} />
        {span && !span.held && (
          <SpanTools
            song={song}
            corrections={corrections}
            span={span}
            onDone={() => setSpan(null)}
          />
        )}
        <Box sx={{ color: ink.ink }}>
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

const plainButton = {
  font: "inherit",
  color: ink.thistleDeep,
  border: 0,
  p: 0,
  bgcolor: "transparent",
  cursor: "pointer",
  textDecoration: "underline",
} as const;

interface SpanToolsProps {
  song: Song;
  corrections: Corrections;
  span: Span;
  onDone: () => void;
}

/** What can be said of a stretch of the song that is marked. */
function SpanTools({ song, corrections, span, onDone }: SpanToolsProps) {
  const { from, to } = span;
  const sung = song.sung.some((s) => s.start < to && from < s.end);
  const done = (act: () => void) => () => {
    act();
    onDone();
  };
  return (
    <Box sx={{ display: "flex", gap: 2 }}>
      <Button onClick={done(() => corrections.hold(from, to))}>
        Hold one tempo for these {(to - from).toFixed(1)} s
      </Button>
      <Button onClick={done(() => corrections.sung(from, to, !sung))}>
        {sung ? "Not sung" : "Sung"}
      </Button>
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
