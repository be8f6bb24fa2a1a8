import Box from "@mui/material/Box";
import { useState, type KeyboardEvent, type PointerEvent } from "react";
import { arrow } from "../parts/arrow";
import { inside } from "../rooms/score/shapes";
import { ink } from "../theme";
import { drawnTo, isDrawn, type Brush, type DrawnStroke } from "./strokes";

/** A brush is so wide, in shares of the picture's height: as the server takes it. */
const WIDE = 0.025;

/** What a press of an arrow moves the mark by, and with Shift, in thousandths of a side. */
const STEP = 20;
const SMALL_STEP = 5;

/**
 * Strokes over a picture, drawn with the mouse; places are thousandths of its sides. By keys a mark
 * is moved with the arrows, and Enter sets a dot there or a corner of the box.
 */
export function StrokeSheet({
  aspect,
  brush,
  strokes,
  onStroke,
}: {
  /** Of the picture, width over height. */
  aspect: number;
  brush: Brush;
  strokes: readonly DrawnStroke[];
  onStroke: (stroke: DrawnStroke) => void;
}) {
  const [drawing, setDrawing] = useState<DrawnStroke | null>(null);
  const [mark, setMark] = useState<DrawnStroke["points"][number] | null>(null);
  const ended = (stroke: DrawnStroke) => {
    if (isDrawn(stroke)) onStroke(stroke);
    setDrawing(null);
  };
  const press = (e: KeyboardEvent) => {
    const from = mark ?? { x: 500, y: 500 };
    const by = arrow(e.key);
    if (by) {
      const step = e.shiftKey ? SMALL_STEP : STEP;
      const to = {
        x: inside((from.x + step * by.x) / 1000),
        y: inside((from.y + step * by.y) / 1000),
      };
      setMark(to);
      if (drawing) setDrawing(drawnTo(drawing, to));
    } else if (e.key === "Enter") {
      if (drawing) ended(drawing);
      else if (brush === "AROUND") setDrawing({ kind: brush, points: [from] });
      else ended({ kind: brush, points: [from] });
      setMark(from);
    } else return;
    e.preventDefault();
    e.stopPropagation();
  };
  const at = (e: PointerEvent<SVGSVGElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    return {
      x: inside((e.clientX - box.left) / box.width),
      y: inside((e.clientY - box.top) / box.height),
    };
  };
  return (
    <Box
      component="svg"
      data-testid="strokes"
      viewBox={`0 0 ${1000 * aspect} 1000`}
      role="application"
      tabIndex={0}
      aria-label="Draw on the picture; the arrows move a mark, Enter sets a dot or a corner there"
      sx={{ position: "absolute", inset: 0, width: "100%", height: "100%", cursor: "crosshair" }}
      style={{ touchAction: "none" }}
      onKeyDown={press}
      onBlur={() => {
        setMark(null);
        setDrawing(null);
      }}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        setMark(null);
        setDrawing({ kind: brush, points: [at(e)] });
      }}
      onPointerMove={(e) => drawing && setDrawing(drawnTo(drawing, at(e)))}
      onPointerUp={() => drawing && ended(drawing)}
    >
      {[...strokes, ...(drawing ? [drawing] : [])].map((stroke, i) => (
        <Drawn key={i} stroke={stroke} aspect={aspect} />
      ))}
      {mark && (
        <g strokeWidth={3} stroke={ink.sheet} data-testid="mark">
          <line x1={mark.x * aspect - 24} x2={mark.x * aspect + 24} y1={mark.y} y2={mark.y} />
          <line x1={mark.x * aspect} x2={mark.x * aspect} y1={mark.y - 24} y2={mark.y + 24} />
        </g>
      )}
    </Box>
  );
}

function Drawn({ stroke, aspect }: { stroke: DrawnStroke; aspect: number }) {
  const points = stroke.points.map(({ x, y }) => ({ x: x * aspect, y }));
  const [a, b] = points;
  if (stroke.kind === "AROUND")
    return a && b ? (
      <g fill="none">
        {[
          { colour: ink.ink, width: 6 },
          { colour: ink.sheet, width: 3 },
        ].map(({ colour, width }) => (
          <rect
            key={colour}
            x={Math.min(a.x, b.x)}
            y={Math.min(a.y, b.y)}
            width={Math.abs(a.x - b.x)}
            height={Math.abs(a.y - b.y)}
            stroke={colour}
            strokeWidth={width}
          />
        ))}
      </g>
    ) : null;
  const path = points.map(({ x, y }) => `${x},${y}`).join(" ");
  // A single place is a dot.
  const line = points.length === 1 && a ? `${path} ${a.x + 0.1},${a.y}` : path;
  return (
    <polyline
      points={line}
      fill="none"
      stroke={stroke.kind === "IN" ? ink.thistle : ink.ink}
      strokeOpacity={0.75}
      strokeWidth={1000 * WIDE}
      strokeLinecap="round"
      strokeLinejoin="round"
      strokeDasharray={stroke.kind === "IN" ? undefined : "2 34"}
    />
  );
}
