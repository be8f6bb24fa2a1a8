import type { KeyboardEvent, PointerEvent } from "react";
import { ink } from "../../theme";
import type { Window } from "./views";

interface Props {
  view: Window;
  label: string;
  end: "first" | "between" | "last";
  /** What a pixel of the monitor is about, in pixels of the take. */
  unit: number;
  onTake: (e: PointerEvent, sizing: boolean) => void;
  onKey: (e: KeyboardEvent) => void;
}

const SIDES = [-1, 1] as const;

/** A frame of a camera's move, on its take: dashed where it begins, solid where it ends. */
export function ViewFrame({ view, label, end, unit, onTake, onKey }: Props) {
  const x = view.width / 2;
  const y = view.height / 2;
  const width = label.length * 6.6 + 12;
  const outline = { x: -x, y: -y, width: view.width, height: view.height };
  return (
    <g
      tabIndex={0}
      role="button"
      aria-label={`${label}; arrows move it, + and − size it`}
      transform={`translate(${view.x} ${view.y}) rotate(${view.turn})`}
      style={{ cursor: "move" }}
      onPointerDown={(e) => onTake(e, false)}
      onKeyDown={onKey}
    >
      <rect {...outline} fill="#fff" fillOpacity={0.001} stroke={ink.ink} strokeWidth={4 * unit} />
      <rect
        {...outline}
        fill="none"
        stroke="#fff"
        strokeWidth={2 * unit}
        strokeDasharray={end === "first" ? `${7 * unit} ${5 * unit}` : undefined}
      />
      {SIDES.flatMap((across) =>
        SIDES.map((down) => (
          <rect
            key={`${across} ${down}`}
            x={across * x - 4 * unit}
            y={down * y - 4 * unit}
            width={8 * unit}
            height={8 * unit}
            fill="#fff"
            stroke={ink.ink}
            strokeWidth={unit}
            style={{ cursor: across === down ? "nwse-resize" : "nesw-resize" }}
            onPointerDown={(e) => onTake(e, true)}
          />
        )),
      )}
      <g
        // In the middle of a side, clear of the corners of the other frames.
        transform={`translate(${(-width * unit) / 2} ${end === "last" ? y - 26 * unit : 8 * unit - y})`}
        pointerEvents="none"
      >
        <rect
          width={width * unit}
          height={18 * unit}
          rx={2 * unit}
          fill={ink.ink}
          fillOpacity={0.8}
        />
        <text x={6 * unit} y={13 * unit} fontSize={12.5 * unit} fontWeight={600} fill="#fff">
          {label}
        </text>
      </g>
    </g>
  );
}
