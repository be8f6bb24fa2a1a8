import { memo } from "react";
import { takeFrameUrl, type Film, type Placed, type Production } from "../../api/client";
import { ink } from "../../theme";
import { layerHeight, layerTop, type Aim } from "./aim";
import type { Parts, Ruler } from "./layout";
import { TREATMENT } from "./treatments";

interface Props {
  production: Production;
  film: Film;
  ruler: Ruler;
  parts: Parts;
  selected: string | null;
  aim: Aim | null;
}

/** How far what is done is from rest, frame by frame, over the part of it on a stave. */
function amountPath(
  { start, end, amounts }: Placed,
  stave: { start: number; end: number },
  width: number,
  height: number,
): string {
  const from = Math.max(start, stave.start);
  const count = Math.min(end, stave.end) - from;
  let d = `M0 ${height}`;
  for (let i = 0; i < count; i++) {
    const at = amounts?.[from - start + i] ?? 0;
    d += `L${((i * width) / count).toFixed(1)} ${(height * (1 - at / 100)).toFixed(1)}`;
  }
  return `${d}L${width} ${height}Z`;
}

/** Shots over the cut: slips of paper laid on the pictures, higher layers higher up. */
export const OverlayStrips = memo(function OverlayStrips(props: Props) {
  const { production, film, ruler, parts, selected, aim } = props;
  const { stave } = ruler;
  const height = layerHeight(parts);
  return (
    <>
      {film.overlays.map(({ shot, layer }) => {
        const moving = aim?.kind === "overlay" && aim.name === shot.id ? aim : null;
        const start = moving?.start ?? shot.start;
        const end = moving?.end ?? shot.end;
        if (end <= stave.start || start >= stave.end) return null;
        const x = ruler.x(Math.max(start, stave.start));
        const width = Math.max(3, ruler.x(Math.min(end, stave.end)) - x);
        const y = layerTop(parts, layer);
        const chosen = selected === shot.id;
        const cell = (height * production.width) / production.height;
        const treats = shot.takeId === 0;
        const count = !treats && width > 14 ? Math.min(12, Math.ceil(width / cell)) : 0;
        const frame = (i: number) =>
          Math.min(shot.material - 1, shot.in + Math.round((i / count) * shot.used));
        return (
          <g key={shot.id} pointerEvents="none" data-overlay={shot.id}>
            <rect x={x - 1} y={y - 1} width={width + 2} height={height + 2} fill={ink.sheet} />
            <svg x={x} y={y} width={width} height={height}>
              <rect width="100%" height="100%" fill={treats ? ink.thistleWash : "#15171F"} />
              {treats && shot.amounts && (
                <path
                  d={amountPath(shot, stave, width, height)}
                  fill={ink.thistle}
                  fillOpacity={0.35}
                />
              )}
              {Array.from({ length: count }, (_, i) => (
                <image
                  key={i}
                  href={takeFrameUrl(production.id, shot.takeId, frame(i), 144)}
                  x={i * cell}
                  width={cell}
                  height="100%"
                  preserveAspectRatio="xMidYMid slice"
                />
              ))}
              {width > 60 && height > 12 && (
                <text
                  x={width - 5}
                  y={height / 2 + 4}
                  fontSize={12}
                  fill={treats ? ink.thistleDeep : "#fff"}
                  stroke={treats ? ink.thistleWash : "#15171F"}
                  strokeWidth={3}
                  paintOrder="stroke"
                  textAnchor="end"
                >
                  {treats
                    ? shot.treatments.map((t) => TREATMENT[t.kind]).join(", ") || shot.label
                    : width > 110
                      ? `${shot.label} over`
                      : shot.label}
                </text>
              )}
            </svg>
            <rect
              x={x}
              y={y}
              width={width}
              height={height}
              fill="none"
              stroke={chosen ? ink.thistle : ink.ink}
              strokeWidth={chosen ? 2 : 1}
            />
          </g>
        );
      })}
    </>
  );
});
