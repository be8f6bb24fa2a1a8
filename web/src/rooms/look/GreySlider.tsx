import Box from "@mui/material/Box";
import Slider from "@mui/material/Slider";
import { useState } from "react";
import { NumberField } from "../../parts/NumberField";
import { useSoon } from "../../parts/useSoon";
import { grey } from "./grey";

interface Props {
  label: string;
  value: number;
  least: number;
  most: number;
  step?: number;
  /** How many of its steps make one of what is shown. */
  parts?: number;
  digits?: number;
  unit?: string;
  hint?: string;
  /** While it is dragged. */
  onMove: (to: number) => void;
  onSet: (to: number) => void;
}

/**
 * A number of this room: dragged, stepped by arrow keys, or typed; its zero is marked. Presses that
 * follow each other are one change.
 */
export function GreySlider(props: Props) {
  const { label, least, most, step = 1, parts = 1, digits = 0, unit = "", hint } = props;
  const [pressed, setPressed] = useState<number | null>(null);
  const soon = useSoon(() => {
    if (pressed !== null) props.onSet(pressed);
    setPressed(null);
  });
  const value = pressed ?? props.value;
  return (
    <Box title={hint} sx={{ display: "flex", alignItems: "center", gap: 3, height: 30 }}>
      <Box sx={{ width: 84, flex: "none", lineHeight: "15px" }}>{label}</Box>
      <Slider
        aria-label={label}
        value={value}
        min={least}
        max={most}
        step={step}
        track={least < 0 ? false : "normal"}
        marks={least < 0 ? [{ value: 0 }] : false}
        onChange={(_, to) => props.onMove(to as number)}
        onChangeCommitted={(e, to) => {
          if (e.type !== "change" && e.type !== "keydown") {
            props.onSet(to as number);
            return;
          }
          setPressed(to as number);
          soon.ask();
        }}
        onBlur={soon.now}
        sx={{
          color: grey.text,
          "& .MuiSlider-rail": { bgcolor: grey.text2, opacity: 1 },
          "& .MuiSlider-mark": { bgcolor: "#FFFFFF", height: 14, width: 2, opacity: 1 },
          "& .MuiSlider-thumb": { bgcolor: "#FFFFFF" },
        }}
      />
      <Box sx={{ flex: "none", "& .MuiOutlinedInput-root": { bgcolor: grey.text, width: 64 } }}>
        <NumberField
          label={label}
          unit={unit}
          digits={digits}
          value={value / parts}
          bare
          onChange={(to) => props.onSet(Math.round(to * parts))}
        />
      </Box>
      <Box sx={{ width: 34, flex: "none", fontSize: 12, color: grey.text2 }}>{unit}</Box>
    </Box>
  );
}
