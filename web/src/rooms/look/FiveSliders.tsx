import Box from "@mui/material/Box";
import Slider from "@mui/material/Slider";
import type { Basics } from "../../api/client";
import { NumberField } from "../../parts/NumberField";
import { FIVE } from "./five";
import { grey } from "./grey";

/** A shot's five numbers: dragged, stepped by arrow keys, or typed. */
export function FiveSliders({
  five,
  onMove,
  onSet,
}: {
  five: Basics;
  /** While one is dragged. */
  onMove: (five: Basics) => void;
  onSet: (five: Basics) => void;
}) {
  return (
    <Box>
      {FIVE.map((n) => (
        <Box key={n.name} sx={{ display: "flex", alignItems: "center", gap: 3, height: 36 }}>
          <Box sx={{ width: 78, flex: "none" }}>{n.label}</Box>
          <Slider
            aria-label={n.label}
            value={five[n.name]}
            min={-n.most}
            max={n.most}
            step={n.step}
            track={false}
            marks={[{ value: 0 }]}
            onChange={(_, to) => onMove({ ...five, [n.name]: to as number })}
            onChangeCommitted={(_, to) => onSet({ ...five, [n.name]: to as number })}
            sx={{
              color: grey.text,
              "& .MuiSlider-rail": { bgcolor: grey.text2, opacity: 1 },
              "& .MuiSlider-mark": { bgcolor: "#FFFFFF", height: 14, width: 2, opacity: 1 },
              "& .MuiSlider-thumb": { bgcolor: "#FFFFFF" },
            }}
          />
          <Box sx={{ flex: "none", "& .MuiOutlinedInput-root": { bgcolor: grey.text, width: 64 } }}>
            <NumberField
              label={n.label}
              unit={n.unit}
              digits={n.digits}
              value={five[n.name] / n.parts}
              bare
              onChange={(to) => onSet({ ...five, [n.name]: Math.round(to * n.parts) })}
            />
          </Box>
          <Box sx={{ width: 34, flex: "none", fontSize: 12, color: grey.text2 }}>{n.unit}</Box>
        </Box>
      ))}
    </Box>
  );
}
