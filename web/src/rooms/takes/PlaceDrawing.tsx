import Box from "@mui/material/Box";
import { useState, type PointerEvent } from "react";
import { ink } from "../../theme";
import type { Place } from "./useRepairs";

/** Smaller than this is a slip of the hand, in parts of the picture. */
const LEAST = 0.01;

/** Draws a box over a take's picture, which lies in the middle of its frame. */
export function PlaceDrawing({
  aspect,
  place,
  onDrawn,
}: {
  /** Of the picture, width over height. */
  aspect: number;
  place: Place | null;
  onDrawn: (place: Place | null) => void;
}) {
  const [from, setFrom] = useState<{ x: number; y: number } | null>(null);
  const at = (e: PointerEvent<HTMLElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    const part = (value: number) => Math.max(0, Math.min(1, value));
    return {
      x: part((e.clientX - box.left) / box.width),
      y: part((e.clientY - box.top) / box.height),
    };
  };
  return (
    <Box
      sx={{
        position: "absolute",
        inset: 0,
        m: "auto",
        aspectRatio: `${aspect}`,
        maxWidth: "100%",
        maxHeight: "100%",
        cursor: "crosshair",
        touchAction: "none",
      }}
      data-testid="draw-place"
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        setFrom(at(e));
        onDrawn(null);
      }}
      onPointerMove={(e) => {
        if (!from) return;
        const to = at(e);
        onDrawn({
          left: Math.min(from.x, to.x),
          top: Math.min(from.y, to.y),
          right: Math.max(from.x, to.x),
          bottom: Math.max(from.y, to.y),
        });
      }}
      onPointerUp={() => {
        setFrom(null);
        if (place && (place.right - place.left < LEAST || place.bottom - place.top < LEAST))
          onDrawn(null);
      }}
    >
      {place && (
        <Box
          sx={{
            position: "absolute",
            left: `${100 * place.left}%`,
            top: `${100 * place.top}%`,
            width: `${100 * (place.right - place.left)}%`,
            height: `${100 * (place.bottom - place.top)}%`,
            border: `2px solid ${ink.sheet}`,
            outline: `1px solid ${ink.ink}`,
          }}
        />
      )}
    </Box>
  );
}
