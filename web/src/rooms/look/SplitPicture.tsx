import Box from "@mui/material/Box";
import { useRef, type ReactNode } from "react";
import { Still } from "../../parts/Still";
import { grey } from "./grey";

interface Named {
  url: string;
  name: string;
}

/** One picture at the left of a line, another at its right; the line is dragged. */
export function SplitPicture({
  beside,
  now,
  split,
  aspect,
  onPick,
  onSplit,
  children,
}: {
  beside: Named;
  now: Named;
  /** Where the line is, 0 to 1 from the left. */
  split: number;
  aspect: number;
  /** A press is a colour that is picked, 0 to 1 each way; the line stays where it is. */
  onPick?: (x: number, y: number) => void;
  /** Not given if there is no line: only the right one is seen. */
  onSplit?: (to: number) => void;
  /** What is drawn on it. */
  children?: ReactNode;
}) {
  const box = useRef<HTMLDivElement>(null);
  const set = (to: number) => onSplit?.(Math.max(0, Math.min(1, to)));
  const move = (clientX: number) => {
    const at = box.current?.getBoundingClientRect();
    if (at) set((clientX - at.left) / at.width);
  };
  return (
    <Box
      ref={box}
      onPointerDown={(e) => {
        if (onPick) {
          const at = e.currentTarget.getBoundingClientRect();
          onPick((e.clientX - at.left) / at.width, (e.clientY - at.top) / at.height);
          return;
        }
        e.currentTarget.setPointerCapture(e.pointerId);
        move(e.clientX);
      }}
      onPointerMove={(e) => {
        if (e.currentTarget.hasPointerCapture(e.pointerId)) move(e.clientX);
      }}
      sx={{
        position: "relative",
        aspectRatio: aspect,
        // As large as its place allows, whichever side ends first.
        width: `min(100%, calc(100cqh * ${aspect}))`,
        bgcolor: "#000",
        overflow: "hidden",
        cursor: onPick ? "crosshair" : onSplit ? "ew-resize" : "default",
        touchAction: "none",
      }}
    >
      <Still src={now.url} alt="The shot as it is" />
      {onSplit && (
        <Box
          sx={{ position: "absolute", inset: 0, clipPath: `inset(0 ${100 - split * 100}% 0 0)` }}
        >
          <Still src={beside.url} alt={`The shot: ${beside.name}`} />
        </Box>
      )}
      {onSplit && (
        <Box
          role="slider"
          tabIndex={0}
          aria-label="Line between before and now"
          aria-valuenow={Math.round(split * 100)}
          aria-valuemin={0}
          aria-valuemax={100}
          onKeyDown={(e) => {
            const step = e.key === "ArrowLeft" ? -0.05 : e.key === "ArrowRight" ? 0.05 : 0;
            if (step === 0) return;
            e.preventDefault();
            e.stopPropagation();
            set(split + step);
          }}
          sx={{
            position: "absolute",
            top: 0,
            bottom: 0,
            left: `calc(${split * 100}% - 1px)`,
            width: 2,
            bgcolor: "#FFFFFF",
          }}
        />
      )}
      {onSplit && <Name side="left">{beside.name}</Name>}
      <Name side="right">{now.name}</Name>
      {children}
    </Box>
  );
}

function Name({ side, children }: { side: "left" | "right"; children: string }) {
  return (
    <Box
      sx={{
        position: "absolute",
        top: 8,
        [side]: 8,
        px: 2,
        bgcolor: grey.bar,
        color: grey.text,
        fontSize: 12,
        fontWeight: 600,
        pointerEvents: "none",
      }}
    >
      {children}
    </Box>
  );
}
