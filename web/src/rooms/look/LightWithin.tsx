import Box from "@mui/material/Box";
import { useState } from "react";
import type { Light, LookShot } from "../../api/client";
import { useLight } from "../../api/queries";
import { GreySlider } from "./GreySlider";
import { grey } from "./grey";
import { apart, lightLine, remains } from "./light";

const WIDTH = 320;
const HEIGHT = 34;

interface Props {
  production: number;
  revision: number;
  shown: LookShot;
  onLevel: (strength: number) => void;
}

/** How the light changes through a shot, as it came and as it is made even. */
export function LightWithin({ production, revision, shown, onLevel }: Props) {
  const { data, error } = useLight(production, revision, shown.item);
  const [moved, setMoved] = useState<number | null>(null);
  if (!data) return error ? <Box sx={{ color: grey.text2, mt: 2 }}>{error.message}</Box> : null;
  const strength = moved ?? shown.levelled;
  return (
    <Box
      component="section"
      aria-label="Light through the shot"
      sx={{ mt: 1.5, pt: 1, borderTop: `1px solid ${grey.rule}` }}
    >
      <Box sx={{ display: "flex", justifyContent: "space-between", fontSize: 14 }}>
        <Box sx={{ fontWeight: 600 }}>Light through the shot</Box>
        <Box sx={{ color: grey.text2 }}>{inWords(data, strength)}</Box>
      </Box>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        preserveAspectRatio="none"
        style={{ width: "100%", height: HEIGHT, display: "block" }}
        aria-hidden
      >
        <line
          x1={0}
          x2={WIDTH}
          y1={HEIGHT / 2}
          y2={HEIGHT / 2}
          stroke={grey.rule}
          vectorEffect="non-scaling-stroke"
        />
        <polyline
          points={lightLine(data, 0, WIDTH, HEIGHT)}
          fill="none"
          stroke={grey.text2}
          strokeDasharray={strength > 0 ? "3 3" : undefined}
          vectorEffect="non-scaling-stroke"
        />
        {strength > 0 && (
          <polyline
            points={lightLine(data, strength, WIDTH, HEIGHT)}
            fill="none"
            stroke="#FFFFFF"
            strokeWidth={1.5}
            vectorEffect="non-scaling-stroke"
          />
        )}
      </svg>
      <GreySlider
        label="Levelled"
        value={strength}
        least={0}
        most={100}
        unit="%"
        hint="Takes back light and colour that drift or pump through the shot"
        onMove={setMoved}
        onSet={(to) => {
          setMoved(null);
          if (to !== shown.levelled) onLevel(to);
        }}
      />
    </Box>
  );
}

function inWords(lights: readonly Light[], strength: number): string {
  const before = apart(lights);
  const stops = (value: number) => (value / 100).toFixed(2);
  return strength === 0
    ? `${stops(before)} stops apart`
    : `${stops(before)} stops apart, ${stops(remains(before, strength))} now`;
}
