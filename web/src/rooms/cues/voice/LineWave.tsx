import { useId, useMemo } from "react";
import type { Reading } from "../../../api/client";
import { face, ink } from "../../../theme";
import { outlinePath } from "../peaks";
import { setWords } from "./layout";

interface Props {
  reading: Reading;
  /** Whether the cuts are taken, not only proposed. */
  tight: boolean;
  perSecond: number;
  width: number;
  /** Where bars begin in the reading, in seconds. */
  bars: readonly { bar: number; at: number }[];
  playhead: number | null;
  onSeek: (seconds: number) => void;
}

const MIDDLE = 24;
const REACH = 15;
const WORDS = 42;
const ROW = 14;

/** How high the drawing of a reading is. */
export const waveHeight = (reading: Reading, perSecond: number) =>
  WORDS + 15 + ROW * Math.max(0, ...setWords(reading.words, perSecond).map((w) => w.row));

/** A reading: its waveform, its words under it, the bars it falls on, what is cut away. */
export function LineWave(props: Props) {
  const { reading, tight, perSecond, width, bars, playhead, onSeek } = props;
  const hatch = useId();
  const words = useMemo(() => setWords(reading.words, perSecond), [reading, perSecond]);
  const path = useMemo(() => {
    const peaks = Uint8Array.from(atob(reading.peaks), (c) => c.charCodeAt(0));
    const wide = reading.seconds * perSecond;
    const at = (x: number) => x / perSecond;
    return outlinePath(peaks, reading.perSecond, 0, wide, at, MIDDLE, REACH, REACH);
  }, [reading, perSecond]);
  const x = (seconds: number) => seconds * perSecond;
  const height = waveHeight(reading, perSecond);
  return (
    <svg
      width={width}
      height={height}
      style={{ display: "block", cursor: "text", overflow: "visible" }}
      onPointerDown={(e) => {
        const box = e.currentTarget.getBoundingClientRect();
        onSeek((e.clientX - box.left) / perSecond);
      }}
    >
      <defs>
        <pattern
          id={hatch}
          width={5}
          height={5}
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1={0} y1={0} x2={0} y2={5} stroke={ink.ink2} strokeWidth={1.2} />
        </pattern>
      </defs>
      {reading.strays.map((s) => (
        <rect
          key={s.from}
          x={x(s.from)}
          y={4}
          width={x(s.to - s.from)}
          height={38}
          fill={ink.rustWash}
        >
          <title>Said, but not in the text</title>
        </rect>
      ))}
      <line x1={0} x2={x(reading.seconds)} y1={MIDDLE} y2={MIDDLE} stroke={ink.rule2} />
      <path d={path} fill={ink.ink2} />
      {reading.cuts.map((cut) => (
        <g key={cut.from} data-cut={cut.from}>
          <rect
            x={x(cut.from)}
            y={8}
            width={x(cut.to - cut.from)}
            height={32}
            fill={tight ? ink.paper : `url(#${hatch})`}
            fillOpacity={tight ? 0.85 : 0.6}
            stroke={ink.ink2}
            strokeDasharray={tight ? "2 2" : undefined}
          >
            <title>
              {(cut.to - cut.from).toFixed(2)} s of rest {tight ? "left out" : "could be left out"}
            </title>
          </rect>
          {x(cut.to - cut.from) > 28 && (
            <text
              x={x((cut.from + cut.to) / 2)}
              y={WORDS + 10}
              textAnchor="middle"
              fontSize={12}
              fill={ink.ink2}
            >
              −{(cut.to - cut.from).toFixed(2)}
            </text>
          )}
        </g>
      ))}
      {bars.map(({ bar, at }) => (
        <g key={bar} stroke={ink.thistle}>
          <line x1={x(at)} x2={x(at)} y1={4} y2={40} />
          <text
            x={x(at) + 3}
            y={11}
            fontSize={12}
            fontWeight={600}
            fill={ink.thistleDeep}
            stroke="none"
          >
            {bar}
          </text>
        </g>
      ))}
      {words.map(({ word, x: left, row }, i) => (
        <g key={i} fill={word.doubtful ? ink.rust : ink.ink}>
          <rect
            x={left}
            y={WORDS - 2}
            width={Math.max(2, x(word.end - word.start) - 1)}
            height={2}
            fill={word.doubtful ? ink.rust : ink.ink2}
          />
          <text
            x={left}
            y={WORDS + 12 + row * ROW}
            fontSize={13}
            fontFamily={face.sans}
            textDecoration={word.doubtful ? "underline wavy" : undefined}
          >
            {word.text}
            <title>
              {word.end === word.start
                ? `"${word.text}" is not heard`
                : `${word.start.toFixed(2)} to ${word.end.toFixed(2)} s, ${Math.round(word.confidence * 100)} % sure`}
            </title>
          </text>
        </g>
      ))}
      {playhead !== null && (
        <line
          x1={x(playhead)}
          x2={x(playhead)}
          y1={2}
          y2={44}
          stroke={ink.thistle}
          strokeWidth={2}
          pointerEvents="none"
        />
      )}
    </svg>
  );
}
