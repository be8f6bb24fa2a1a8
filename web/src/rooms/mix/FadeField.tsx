import Box from "@mui/material/Box";
import MenuItem from "@mui/material/MenuItem";
import Select from "@mui/material/Select";
import type { SoundManner } from "../../api/client";
import { NumberField } from "../../parts/NumberField";
import { RATE } from "./moments";

type Fade = SoundManner["in"];

const SHAPES: readonly (readonly [Fade["shape"], string])[] = [
  ["EQUAL_POWER", "equal power"],
  ["LINEAR", "even"],
  ["SLOW_START", "slow start"],
  ["SLOW_END", "slow end"],
  ["SLOW_BOTH", "slow both"],
];

interface Props {
  label: string;
  fade: Fade;
  onChange: (to: Fade) => void;
}

/** How long a sound comes in or goes out, and how. */
export function FadeField({ label, fade, onChange }: Props) {
  const shape = fade.samples === 0 ? "EQUAL_POWER" : fade.shape;
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
      <NumberField
        label={label}
        unit="s"
        digits={2}
        value={fade.samples / RATE}
        onChange={(s) => onChange({ shape, samples: Math.round(s * RATE) })}
      />
      {fade.samples > 0 && (
        <Select
          value={shape}
          size="small"
          inputProps={{ "aria-label": `${label}: its shape` }}
          onChange={(e) => onChange({ ...fade, shape: e.target.value })}
          sx={{ height: 26, minWidth: 0, fontSize: 12, "& .MuiSelect-select": { pl: 1 } }}
        >
          {SHAPES.map(([value, name]) => (
            <MenuItem key={value} value={value}>
              {name}
            </MenuItem>
          ))}
        </Select>
      )}
    </Box>
  );
}
