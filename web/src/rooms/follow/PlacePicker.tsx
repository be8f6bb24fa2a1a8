import Box from "@mui/material/Box";
import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import { arrow } from "../../parts/arrow";
import { ink } from "../../theme";

const STEP = 0.01;
const MIDDLE = { x: 0.5, y: 0.5 };

/** Over the picture: where it is pressed is the place; arrows and Enter do it by keys. */
export function PlacePicker({
  onPick,
  onGiveUp,
}: {
  /** A place of the picture, 0 to 1 from its left and top. */
  onPick: (at: { x: number; y: number }) => void;
  onGiveUp: () => void;
}) {
  const [at, setAt] = useState(MIDDLE);
  const surface = useRef<HTMLDivElement>(null);
  useEffect(() => surface.current?.focus(), []);
  const under = (e: PointerEvent<HTMLElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    return { x: (e.clientX - box.left) / box.width, y: (e.clientY - box.top) / box.height };
  };
  const key = (e: KeyboardEvent) => {
    const by = arrow(e.key);
    if (by) {
      const step = e.shiftKey ? 5 * STEP : STEP;
      setAt(({ x, y }) => ({ x: inside(x + step * by.x), y: inside(y + step * by.y) }));
    } else if (e.key === "Enter") onPick(at);
    else if (e.key === "Escape") onGiveUp();
    else return;
    e.preventDefault();
    e.stopPropagation();
  };
  const percent = (share: number) => `${100 * share}%`;
  return (
    <Box
      ref={surface}
      role="application"
      tabIndex={0}
      aria-label="Point at the place to follow: press it, or move the cross by arrows and press Enter"
      onPointerMove={(e) => setAt(under(e))}
      onPointerUp={(e) => onPick(under(e))}
      onKeyDown={key}
      sx={{ position: "absolute", inset: 0, cursor: "crosshair", outlineOffset: -2 }}
    >
      <svg width="100%" height="100%" aria-hidden style={{ pointerEvents: "none" }}>
        {(["#15171F", "#fff"] as const).map((stroke, i) => (
          <g key={stroke} stroke={stroke} strokeWidth={i === 0 ? 3 : 1}>
            <line x1={percent(at.x)} x2={percent(at.x)} y1="0" y2="100%" />
            <line x1="0" x2="100%" y1={percent(at.y)} y2={percent(at.y)} />
          </g>
        ))}
      </svg>
      <Box
        sx={{
          position: "absolute",
          left: 8,
          bottom: 8,
          px: 2,
          py: 1,
          bgcolor: ink.sheet,
          fontSize: 12,
        }}
      >
        Press what it is to go with
      </Box>
    </Box>
  );
}

const inside = (share: number) => Math.max(0, Math.min(1, share));
