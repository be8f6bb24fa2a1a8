import Box from "@mui/material/Box";
import type { Tones } from "../../api/client";
import { GreySlider } from "./GreySlider";

type Name = Exclude<keyof Tones, "curves">;

/** What else is said of dark and light: its range, and what it does. */
const TONES: readonly {
  name: Name;
  label: string;
  least: number;
  most: number;
  unit: string;
  hint: string;
}[] = [
  {
    name: "blacks",
    label: "Blacks",
    least: -200,
    most: 200,
    unit: "\u2030",
    hint: "How far black is moved, in thousandths of the signal",
  },
  {
    name: "whites",
    label: "Whites",
    least: -200,
    most: 200,
    unit: "\u2030",
    hint: "How far white is moved, in thousandths of the signal",
  },
  {
    name: "toe",
    label: "Toe",
    least: 0,
    most: 100,
    unit: "%",
    hint: "Dark tones bend softly, and nothing reaches black",
  },
  {
    name: "shoulder",
    label: "Shoulder",
    least: 0,
    most: 100,
    unit: "%",
    hint: "Light tones bend softly, and nothing reaches white",
  },
  {
    name: "vibrance",
    label: "Vibrance",
    least: -100,
    most: 100,
    unit: "%",
    hint: "Saturation of what has little of it",
  },
  {
    name: "pivot",
    label: "Pivot",
    least: 5,
    most: 95,
    unit: "%",
    hint: "What contrast leaves where it is; 41 is middle grey",
  },
];

/** A shot's black and white, how dark and light bend, and what contrast turns about. */
export function TonesPanel({
  tones,
  onMove,
  onSet,
}: {
  tones: Tones;
  onMove: (tones: Tones) => void;
  onSet: (tones: Tones) => void;
}) {
  return (
    <Box>
      {TONES.map(({ name, ...shown }) => (
        <GreySlider
          key={name}
          {...shown}
          value={tones[name]}
          onMove={(to) => onMove({ ...tones, [name]: to })}
          onSet={(to) => onSet({ ...tones, [name]: to })}
        />
      ))}
    </Box>
  );
}
