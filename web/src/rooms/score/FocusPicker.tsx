import Box from "@mui/material/Box";
import type { KeyboardEvent, MouseEvent } from "react";
import { takeFrameUrl, type Placed, type Production } from "../../api/client";
import { arrow } from "../../parts/arrow";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import { focusOf } from "./shapes";

/** What a press of an arrow moves by, as a share of the take. */
const STEP = 0.02;

/** The whole take; where it is pressed is the focus. */
export function FocusPicker({
  production,
  shot,
  onSet,
}: {
  production: Production;
  shot: Placed;
  /** A place of the take, 0 to 1 from its left and top. */
  onSet: (x: number, y: number) => void;
}) {
  const frame = useRoom((s) => s.frame);
  const at = focusOf(shot, frame);
  const shown = Math.max(0, Math.min(shot.material - 1, shot.in + Math.max(0, frame - shot.start)));
  const press = (e: MouseEvent) => {
    const box = e.currentTarget.getBoundingClientRect();
    onSet((e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height);
  };
  const key = (e: KeyboardEvent) => {
    const by = arrow(e.key);
    if (!by) return;
    e.preventDefault();
    e.stopPropagation();
    onSet(at.x + STEP * by.x, at.y + STEP * by.y);
  };
  const { focus } = shot;
  const percent = (v: number) => `${100 * v}%`;
  return (
    <Box
      role="slider"
      tabIndex={0}
      aria-label="Focus; press where it is, or use the arrows"
      aria-valuetext={`${Math.round(100 * at.x)} % from the left, ${Math.round(100 * at.y)} % from the top`}
      aria-valuenow={Math.round(100 * at.x)}
      onClick={press}
      onKeyDown={key}
      sx={{
        position: "relative",
        width: 176,
        flex: "none",
        bgcolor: ink.well,
        cursor: "crosshair",
        aspectRatio: `${shot.picture.width} / ${shot.picture.height}`,
        maxHeight: 200,
        overflow: "hidden",
      }}
    >
      <img
        src={takeFrameUrl(production.id, shot.takeId, shown, 200)}
        alt=""
        style={{ width: "100%", height: "100%", display: "block" }}
      />
      <svg
        width="100%"
        height="100%"
        style={{ position: "absolute", inset: 0, pointerEvents: "none" }}
        aria-hidden
      >
        {focus && focus.across > 0 && (
          <rect
            x={percent(at.x - focus.across / 2000)}
            y={percent(at.y - focus.down / 2000)}
            width={percent(focus.across / 1000)}
            height={percent(focus.down / 1000)}
            fill="none"
            stroke="#fff"
            strokeDasharray="3 3"
          />
        )}
        {(["#15171F", "#fff"] as const).map((stroke, i) => (
          <g key={stroke} stroke={stroke} strokeWidth={i === 0 ? 4 : 2} fill="none">
            <circle
              cx={percent(at.x)}
              cy={percent(at.y)}
              r={7}
              strokeDasharray={focus ? undefined : "3 3"}
            />
            <circle cx={percent(at.x)} cy={percent(at.y)} r={1} />
          </g>
        ))}
      </svg>
    </Box>
  );
}
