import { useRef, useState, type PointerEvent } from "react";
import type { Song } from "../../api/client";
import { ink } from "../../theme";
import { placeIn, type Shown } from "./shown";

interface Props {
  song: Song;
  shown: Shown;
  width: number;
  onMove: (from: number, to: number) => void;
  onDownbeat: (at: number) => void;
}

/** Below this sureness a beat is drawn hollow: common practice, no source. */
export const UNSURE = 0.25;

const DOTS = 198;
/** What Alt makes of the way a beat is dragged. */
const FINE = 0.1;
/** Pixels that a press may move before it is a drag. */
const STILL = 3;

/** The beats of a song as dots under its waveform, with bars; a beat can be dragged. */
export function Beats({ song, shown, width, onMove, onDownbeat }: Props) {
  const [drag, setDrag] = useState<{ beat: number; by: number } | null>(null);
  const from = useRef(0);
  const x = placeIn(shown, width);
  const inView = (seconds: number) => seconds >= shown.from && seconds <= shown.to;
  const apart = width / Math.max(1, song.beats.filter(inView).length);
  const small = apart < 7;
  const every = [1, 2, 4, 8, 16].find((n) => n * apart * song.beatsPerBar > 34) ?? 32;
  const numbered = (bar: number) => (bar - 1) % every === 0;
  const perPixel = (e: PointerEvent<SVGElement>) => {
    const box = e.currentTarget.ownerSVGElement?.getBoundingClientRect();
    return ((shown.to - shown.from) / (box?.width ?? width)) * (e.altKey ? FINE : 1);
  };
  return (
    <g>
      {song.beats.map((seconds, i) => {
        if (!inView(seconds)) return null;
        const down = (i - song.firstDownbeat) % song.beatsPerBar === 0;
        const bar = (i - song.firstDownbeat) / song.beatsPerBar + 1;
        const sure = (song.sureness[i] ?? 1) >= UNSURE;
        const moved = drag?.beat === i ? drag.by : 0;
        const px = x(seconds + moved);
        return (
          <g key={i}>
            {down && (numbered(bar) || apart * song.beatsPerBar > 8) && (
              <line
                x1={px}
                x2={px}
                y1={numbered(bar) ? 46 : 60}
                y2={DOTS}
                stroke={ink.rule2}
                strokeOpacity={0.8}
              />
            )}
            {down && numbered(bar) && (
              <text x={px + 4} y={58} fontSize={12} fill={ink.ink3}>
                {bar}
              </text>
            )}
            {bar === 1 && <path d={`M${px - 6} ${DOTS + 18}v-5l6-6l6 6v5z`} fill={ink.thistle} />}
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
            <rect
              data-beat={i}
              x={px - Math.min(5, apart / 2)}
              y={DOTS - 10}
              width={Math.min(10, apart)}
              height={20}
              fill="transparent"
              style={{ cursor: "ew-resize" }}
              onPointerDown={(e) => {
                e.stopPropagation();
                e.currentTarget.setPointerCapture(e.pointerId);
                from.current = e.clientX;
                setDrag({ beat: i, by: 0 });
              }}
              onPointerMove={(e) => {
                if (drag?.beat !== i) return;
                const pixels = e.clientX - from.current;
                setDrag({ beat: i, by: Math.abs(pixels) < STILL ? 0 : pixels * perPixel(e) });
              }}
              onPointerUp={() => {
                if (drag?.beat === i && drag.by !== 0) onMove(seconds, seconds + drag.by);
                setDrag(null);
              }}
              onPointerCancel={() => setDrag(null)}
              onDoubleClick={() => onDownbeat(seconds)}
            />
            {moved !== 0 && (
              <text x={px + 8} y={DOTS - 12} fontSize={12} fill={ink.thistleDeep}>
                {moved > 0 ? "+" : "−"}
                {Math.abs(moved * 1000).toFixed(0)} ms
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}
