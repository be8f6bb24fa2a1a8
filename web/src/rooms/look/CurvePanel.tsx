import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useRef, useState } from "react";
import type { Curve, Curves } from "../../api/client";
import { GreyToggle } from "./GreyToggle";
import { END, pathOf, shownPoints, withMore, withPoint, withoutPoint } from "./curves";
import { grey, greyButton } from "./grey";

const SIDE = 190;

const CHANNELS = [
  { value: "luma", name: "All", hint: "Of the brightness; colours go along" },
  { value: "red", name: "Red" },
  { value: "green", name: "Green" },
  { value: "blue", name: "Blue" },
] as const satisfies readonly { value: keyof Curves; name: string; hint?: string }[];

/** Curves of the signal through up to eight points: dragged, or moved by the arrow keys. */
export function CurvePanel({
  curves,
  onMove,
  onSet,
}: {
  curves: Curves;
  onMove: (curves: Curves) => void;
  onSet: (curves: Curves) => void;
}) {
  const [channel, setChannel] = useState<keyof Curves>("luma");
  const box = useRef<SVGSVGElement>(null);
  const dragged = useRef<{ at: number; curve: Curve } | null>(null);
  const curve = curves[channel];
  const points = shownPoints(curve);
  const all = (to: Curve): Curves => ({ ...curves, [channel]: to });
  const place = (e: React.PointerEvent) => {
    const at = box.current?.getBoundingClientRect();
    if (!at) return { from: 0, to: 0 };
    return {
      from: ((e.clientX - at.left) / at.width) * END,
      to: (1 - (e.clientY - at.top) / at.height) * END,
    };
  };
  return (
    <Box sx={{ display: "flex", gap: 4 }}>
      <Box
        component="svg"
        ref={box}
        width={SIDE}
        height={SIDE}
        viewBox={`0 0 ${SIDE} ${SIDE}`}
        role="group"
        aria-label={`Curve of ${channel}: press to add a point`}
        sx={{ bgcolor: grey.scope, flex: "none", overflow: "visible", touchAction: "none" }}
        onPointerDown={(e) => {
          const added = withMore(curve, place(e));
          if (added.at < 0) return;
          e.currentTarget.setPointerCapture(e.pointerId);
          dragged.current = added;
          onMove(all(added.curve));
        }}
        onPointerMove={(e) => {
          const held = dragged.current;
          if (!held) return;
          held.curve = withPoint(held.curve, held.at, place(e));
          onMove(all(held.curve));
        }}
        onPointerUp={() => {
          if (dragged.current) onSet(all(dragged.current.curve));
          dragged.current = null;
        }}
      >
        {[0.25, 0.5, 0.75].map((at) => (
          <g key={at} stroke={grey.bar}>
            <line x1={at * SIDE} x2={at * SIDE} y1={0} y2={SIDE} />
            <line y1={at * SIDE} y2={at * SIDE} x1={0} x2={SIDE} />
          </g>
        ))}
        <line x1={0} y1={SIDE} x2={SIDE} y2={0} stroke={grey.rule} strokeDasharray="2 4" />
        <path d={pathOf(curve, SIDE)} fill="none" stroke="#FFFFFF" strokeWidth={1.6} />
        {points.map((p, i) => (
          <circle
            key={i}
            cx={(p.from / END) * SIDE}
            cy={(1 - p.to / END) * SIDE}
            r={5}
            fill={grey.scope}
            stroke="#FFFFFF"
            strokeWidth={1.6}
            tabIndex={0}
            role="button"
            aria-label={`Point ${i + 1}: ${p.from / 10} % becomes ${p.to / 10} %. Arrow keys move it, Delete takes it out.`}
            style={{ cursor: "move" }}
            onPointerDown={(e) => {
              e.stopPropagation();
              box.current?.setPointerCapture(e.pointerId);
              dragged.current = { at: i, curve };
            }}
            onDoubleClick={() => onSet(all(withoutPoint(curve, i)))}
            onKeyDown={(e) => {
              const by = e.shiftKey ? 50 : 10;
              const way: Record<string, [number, number]> = {
                ArrowLeft: [-by, 0],
                ArrowRight: [by, 0],
                ArrowUp: [0, by],
                ArrowDown: [0, -by],
              };
              const step = way[e.key];
              const out = e.key === "Delete" || e.key === "Backspace";
              if (!step && !out) return;
              e.preventDefault();
              e.stopPropagation();
              onSet(
                all(
                  step
                    ? withPoint(curve, i, { from: p.from + step[0], to: p.to + step[1] })
                    : withoutPoint(curve, i),
                ),
              );
            }}
          />
        ))}
      </Box>
      <Box sx={{ display: "flex", flexDirection: "column", gap: 3, alignItems: "flex-start" }}>
        <GreyToggle label="Curve of" value={channel} options={CHANNELS} onChange={setChannel} />
        <Box sx={{ fontSize: 13, color: grey.text2 }}>
          Press on the curve for a point, drag it, press it twice to take it out; up to eight. Arrow
          keys move the one that is focused by 1 %, with Shift by 5 %.
        </Box>
        <Button
          sx={greyButton}
          disabled={curve.points.length === 0}
          onClick={() => onSet(all({ points: [] }))}
        >
          Straight again
        </Button>
      </Box>
    </Box>
  );
}
