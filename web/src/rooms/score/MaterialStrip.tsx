import Box from "@mui/material/Box";
import { useRef, useState, type PointerEvent } from "react";
import { takeFrameUrl, type Placed, type Production } from "../../api/client";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import type { ScoreActions } from "./useScoreActions";

const WIDTH = 344;
const HEIGHT = 48;

/** The take's whole material with the used part in a window; dragging the window slips the shot. */
export function MaterialStrip({
  production,
  shot,
  actions,
}: {
  production: Production;
  shot: Placed;
  actions: ScoreActions;
}) {
  const slipping = useRoom((s) => s.slipping);
  const [at, setAt] = useState(shot.in);
  const from = useRef<{ x: number; in: number } | null>(null);
  const { used } = shot;
  const whole = Math.max(1, shot.material);
  const scale = WIDTH / Math.max(whole, at + used);
  const spare = shot.material - at - used;
  const count = Math.max(1, Math.round(WIDTH / ((HEIGHT * production.width) / production.height)));
  const most = Math.max(0, shot.material - used);
  const move = (e: PointerEvent) => {
    if (!from.current) return;
    const by = (e.clientX - from.current.x) / scale;
    setAt(Math.max(0, Math.min(most, Math.round(from.current.in + by))));
  };
  return (
    <Box sx={{ pb: 2 }}>
      <Box
        sx={{
          display: "flex",
          justifyContent: "space-between",
          typography: "body2",
          color: ink.ink2,
          pb: 1,
        }}
      >
        <Box
          component="span"
          sx={{ color: slipping ? ink.thistleDeep : ink.ink2, fontWeight: slipping ? 600 : 400 }}
        >
          {slipping ? "Slipping: ← → move it, M ends" : "Material"}
        </Box>
        <span>
          {shot.material} f, {(shot.material / production.framesPerSecond).toFixed(2)} s
        </span>
      </Box>
      <svg
        width={WIDTH}
        height={HEIGHT}
        role="img"
        aria-label="Material"
        data-testid="material"
        style={{ display: "block", cursor: most > 0 ? "grab" : "default", touchAction: "none" }}
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          from.current = { x: e.clientX, in: at };
        }}
        onPointerMove={move}
        onPointerUp={() => {
          from.current = null;
          actions.slipTo(shot.place, at);
        }}
      >
        <defs>
          <pattern
            id="unused"
            width="6"
            height="6"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width="6" height="6" fill="#FBF9F5" fillOpacity="0.62" />
            <rect width="1.500" height="6" fill="#27212D" fillOpacity="0.5" />
          </pattern>
        </defs>
        {Array.from({ length: count }, (_, i) => {
          const cell = (whole * scale) / count;
          const frame = Math.floor(((i + 0.5) / count) * whole);
          return (
            <svg key={i} x={i * cell} width={cell} height={HEIGHT}>
              <image
                href={takeFrameUrl(production.id, shot.takeId, frame, 144)}
                width="100%"
                height="100%"
                preserveAspectRatio="xMidYMid slice"
              />
            </svg>
          );
        })}
        <rect width={at * scale} height={HEIGHT} fill="url(#unused)" />
        <rect
          x={(at + used) * scale}
          width={Math.max(0, spare * scale)}
          height={HEIGHT}
          fill="url(#unused)"
        />
        <rect
          x={at * scale + 1}
          y={1}
          width={Math.max(2, used * scale - 2)}
          height={HEIGHT - 2}
          fill="none"
          stroke={ink.thistle}
          strokeWidth={2}
        />
      </svg>
      <Box
        sx={{
          display: "flex",
          justifyContent: "space-between",
          typography: "body2",
          color: ink.ink2,
          pt: 0.5,
        }}
      >
        <span>{at} f</span>
        <Box component="span" sx={{ color: ink.ink }}>
          {used} f used, from {at + 1} to {at + used}
        </Box>
        <Box component="span" sx={{ color: spare < 0 ? ink.rust : ink.ink2 }}>
          {spare < 0 ? `${-spare} f short` : `${spare} f spare`}
        </Box>
      </Box>
    </Box>
  );
}
