import Box from "@mui/material/Box";
import OutlinedInput from "@mui/material/OutlinedInput";
import { useState } from "react";
import { face, ink } from "../theme";
import { useNotice } from "./notice";

interface Props {
  label: string;
  unit: string;
  digits: number;
  value: number;
  hint?: string;
  /** Whether its name and unit stand elsewhere, such as over its column. */
  bare?: boolean;
  /** What stands in the field for 0, where that means something else than none. */
  zero?: string;
  onChange: (to: number) => void;
}

/** A typed number with its unit. Enter or leaving it sets it; Escape gives it up. */
export function NumberField({ label, unit, digits, value, hint, bare, zero, onChange }: Props) {
  const [text, setText] = useState<string | null>(null);
  const shown = value === 0 && zero !== undefined ? zero : value.toFixed(digits);
  const tell = useNotice((s) => s.tell);
  const save = () => {
    const typed = Number(text?.replace(",", "."));
    if (text !== null && text.trim() !== "" && text !== shown) {
      if (Number.isFinite(typed)) {
        // The same number written otherwise is no change.
        if (typed !== Number(value.toFixed(digits))) onChange(typed);
      } else tell(`“${text}” is no number, so ${label} stays ${shown} ${unit}.`, "wrong");
    }
    setText(null);
  };
  return (
    <Box
      component="label"
      title={hint}
      sx={{ display: "flex", alignItems: "center", gap: 1, color: ink.ink2 }}
    >
      {!bare && label}
      <OutlinedInput
        value={text ?? shown}
        inputProps={{ inputMode: "decimal", "aria-label": `${label}, ${unit}` }}
        onChange={(e) => setText(e.target.value)}
        onFocus={(e) => e.target.select()}
        onBlur={save}
        onKeyDown={(e) => {
          if (e.key === "Enter") (e.target as HTMLElement).blur();
          if (e.key === "Escape") setText(null);
        }}
        sx={{
          width: 54,
          height: 26,
          "& input": { fontFamily: face.mono, px: 1.5, textAlign: "right" },
        }}
      />
      {!bare && unit}
    </Box>
  );
}
