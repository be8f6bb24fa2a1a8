import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState, type KeyboardEvent, type PointerEvent } from "react";
import type { Film, Production, Song } from "../../api/client";
import { useDrawFreePace, useDrawPace } from "../../api/queries";
import { face, ink } from "../../theme";
import { SLOWEST, QUICKEST, paceOf, type Speeds } from "./pace";

interface Props {
  parts: readonly Part[];
  speeds: Speeds;
  /** Whether a person drew them. */
  drawn: boolean;
  onDraw: (speeds: Speeds) => void;
  width: number;
  /** What is said while nothing is drawn, and how to go back to that. */
  says: string;
  back: string;
}

/** A part of the film, in pixels. */
interface Part {
  name: string;
  start: number;
  end: number;
}

const HEIGHT = 46;
const MIDDLE = HEIGHT / 2;

/** How far a key moves a section, in octaves of speed. */
const STEP = 0.125;

const heightOf = (speed: number) => MIDDLE - Math.log2(speed) * MIDDLE;
const held = (speed: number) => Math.min(QUICKEST, Math.max(SLOWEST, speed));

interface Where {
  production: Production;
  film: Film;
  /** The frames that the width stands for. */
  longest: number;
  width: number;
}

/** The pace of each section of the song: as its energy has it, or as it is drawn here. */
export function SongPace({ production, film, longest, width, song }: Where & { song: Song }) {
  const { mutate: draw } = useDrawPace(production.id, song.id);
  const at = (seconds: number) =>
    ((seconds - film.songStart) * production.framesPerSecond * width) / longest;
  return (
    <PaceStrip
      parts={song.sections.map((s) => ({
        name: s.name,
        start: at(s.start),
        end: at(s.end),
      }))}
      speeds={paceOf(song)}
      drawn={song.pace.length > 0}
      onDraw={draw}
      width={width}
      says="The pace follows the music; drag a section up for shorter shots, down for longer"
      back="Follow the music"
    />
  );
}

/** Into so many parts a film without music is parted for its pace. */
const PARTS = 8;
const EVENLY: Speeds = Array<number>(PARTS).fill(1);

/** The pace of a film without music, drawn in equally long parts. */
export function FreePace({ production, film, longest, width }: Where) {
  const { mutate: draw } = useDrawFreePace(production.id);
  const whole = production.targetSeconds * production.framesPerSecond;
  const part = (whole * width) / longest / PARTS;
  return (
    <PaceStrip
      parts={EVENLY.map((_, i) => ({
        name: `${Math.round((i * production.targetSeconds) / PARTS)} s`,
        start: i * part,
        end: (i + 1) * part,
      }))}
      speeds={film.pace.length > 0 ? film.pace : EVENLY}
      drawn={film.pace.length > 0}
      onDraw={draw}
      width={width}
      says="Without music the pace is yours; drag a part up for shorter shots, down for longer"
      back="Evenly"
    />
  );
}

function PaceStrip({ parts, speeds: kept, drawn: isDrawn, onDraw, width, says, back }: Props) {
  const [drawing, setDrawing] = useState<Speeds | null>(null);
  const speeds = drawing ?? kept;
  const drawn = drawing !== null || isDrawn;
  const changed = (i: number, speed: number) => speeds.map((s, j) => (j === i ? held(speed) : s));
  const drag = (i: number, e: PointerEvent<SVGGElement>) => {
    const box = e.currentTarget.ownerSVGElement?.getBoundingClientRect();
    if (!box || e.buttons !== 1) return;
    setDrawing(changed(i, 2 ** ((MIDDLE - (e.clientY - box.top)) / MIDDLE)));
  };
  const press = (i: number, e: KeyboardEvent) => {
    const by = e.key === "ArrowUp" ? 1 : e.key === "ArrowDown" ? -1 : 0;
    if (by === 0) return;
    e.preventDefault();
    onDraw(changed(i, (speeds[i] ?? 1) * 2 ** (by * STEP)));
  };
  return (
    <Box component="section" aria-label="pace by section" sx={{ mb: 3 }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 3, mb: 1, minHeight: 28 }}>
        <Box sx={{ color: ink.ink2 }}>{drawn ? "The pace you drew: higher is quicker" : says}</Box>
        <Box sx={{ flex: 1 }} />
        {drawn && <Button onClick={() => onDraw([])}>{back}</Button>}
      </Box>
      <svg width={width} height={HEIGHT} style={{ display: "block", touchAction: "none" }}>
        <rect width={width} height={HEIGHT} fill={ink.paper} />
        {parts.map(({ name, start, end }, i) => {
          const x = Math.max(0, start);
          const right = Math.min(width, end);
          const speed = speeds[i] ?? 1;
          const y = heightOf(speed);
          // What is written stands clear of the line.
          const base = y > HEIGHT - 20 ? 14 : HEIGHT - 6;
          if (right - x < 2) return null;
          return (
            <g
              key={start}
              role="slider"
              tabIndex={0}
              aria-label={`pace of ${name}`}
              aria-valuenow={Number(speed.toFixed(2))}
              aria-valuemin={SLOWEST}
              aria-valuemax={QUICKEST}
              style={{ cursor: "ns-resize", outlineColor: ink.thistle }}
              onPointerDown={(e) => {
                e.currentTarget.setPointerCapture(e.pointerId);
                drag(i, e);
              }}
              onPointerMove={(e) => drag(i, e)}
              onPointerUp={() => {
                if (drawing) onDraw(drawing);
                setDrawing(null);
              }}
              onKeyDown={(e) => press(i, e)}
            >
              <rect x={x} width={right - x} height={HEIGHT} fill="transparent" />
              <rect
                x={x}
                y={y}
                width={right - x - 1}
                height={HEIGHT - y}
                fill={drawn ? ink.thistleWash : ink.ribbonPeak}
              />
              <line
                x1={x}
                x2={right - 1}
                y1={y}
                y2={y}
                stroke={drawn ? ink.thistle : ink.ribbonBody}
                strokeWidth={2}
              />
              <text x={x + 5} y={base} fontSize={12} fill={ink.ink2}>
                {right - x > name.length * 7 + 8 ? name : ""}
              </text>
              {right - x > 80 && (
                <text
                  x={right - 6}
                  y={base}
                  fontSize={12}
                  fontFamily={face.mono}
                  fill={ink.ink}
                  textAnchor="end"
                >
                  {speed.toFixed(2)}
                </text>
              )}
            </g>
          );
        })}
        <line
          x2={width}
          y1={MIDDLE}
          y2={MIDDLE}
          stroke={ink.ink3}
          strokeDasharray="2 4"
          pointerEvents="none"
        />
      </svg>
    </Box>
  );
}
