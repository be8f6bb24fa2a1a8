import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState, type KeyboardEvent, type PointerEvent } from "react";
import type { Film, Production, Song } from "../../api/client";
import { useDrawPace } from "../../api/queries";
import { face, ink } from "../../theme";
import { sectionName } from "../cues/sections";
import { SLOWEST, QUICKEST, paceOf, type Speeds } from "./pace";

interface Props {
  production: Production;
  film: Film;
  song: Song;
  /** The frames that the width stands for. */
  longest: number;
  width: number;
}

const HEIGHT = 46;
const MIDDLE = HEIGHT / 2;

/** How far a key moves a section, in octaves of speed. */
const STEP = 0.125;

const heightOf = (speed: number) => MIDDLE - Math.log2(speed) * MIDDLE;
const held = (speed: number) => Math.min(QUICKEST, Math.max(SLOWEST, speed));

/** The pace of each section of the song: as its energy has it, or as it is drawn here. */
export function PaceStrip({ production, film, song, longest, width }: Props) {
  const { mutate: draw } = useDrawPace(production.id, song.id);
  const [drawing, setDrawing] = useState<Speeds | null>(null);
  const speeds = drawing ?? paceOf(song);
  const drawn = drawing !== null || song.pace.length > 0;
  const at = (seconds: number) =>
    ((seconds - film.songStart) * production.framesPerSecond * width) / longest;
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
    draw(changed(i, (speeds[i] ?? 1) * 2 ** (by * STEP)));
  };
  return (
    <Box component="section" aria-label="pace by section" sx={{ mb: 3 }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 3, mb: 1, minHeight: 28 }}>
        <Box sx={{ color: ink.ink2 }}>
          {drawn
            ? "The pace you drew: higher is quicker"
            : "The pace follows the music; drag a section up for shorter shots, down for longer"}
        </Box>
        <Box sx={{ flex: 1 }} />
        {drawn && <Button onClick={() => draw([])}>Follow the music</Button>}
      </Box>
      <svg width={width} height={HEIGHT} style={{ display: "block", touchAction: "none" }}>
        <rect width={width} height={HEIGHT} fill={ink.paper} />
        {song.sections.map((section, i) => {
          const x = Math.max(0, at(section.start));
          const right = Math.min(width, at(section.end));
          const speed = speeds[i] ?? 1;
          const y = heightOf(speed);
          // What is written stands clear of the line.
          const base = y > HEIGHT - 20 ? 14 : HEIGHT - 6;
          const name = sectionName(section, song.sections);
          if (right - x < 2) return null;
          return (
            <g
              key={section.start}
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
                if (drawing) draw(drawing);
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
