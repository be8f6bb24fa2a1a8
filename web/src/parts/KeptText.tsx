import Box from "@mui/material/Box";
import OutlinedInput from "@mui/material/OutlinedInput";
import type { SxProps } from "@mui/material/styles";
import { useState } from "react";
import { ink } from "../theme";
import { Labelled } from "./Labelled";

interface Props {
  label: string;
  value: string;
  onChange: (to: string) => void;
  hideLabel?: boolean;
  placeholder?: string;
  /** Letters it takes. */
  most?: number;
  /** Whether it says how many of them it has. */
  counted?: boolean;
  /** More than one line, in which Enter begins another. */
  rows?: number;
  sx?: SxProps;
}

/** A text that is kept when it is left or Enter is pressed; Escape gives it up. */
export function KeptText(props: Props) {
  const { label, value, onChange, hideLabel, placeholder, most = 1000, counted, rows, sx } = props;
  const [text, setText] = useState<string | null>(null);
  const save = () => {
    if (text !== null && text !== value) onChange(text);
    setText(null);
  };
  const input = (
    <OutlinedInput
      fullWidth
      {...(rows !== undefined && { multiline: true, rows })}
      {...(sx && { sx })}
      value={text ?? value}
      placeholder={placeholder ?? ""}
      inputProps={{ "aria-label": label, maxLength: most }}
      onChange={(e) => setText(e.target.value)}
      onBlur={save}
      onKeyDown={(e) => {
        if (e.key === "Enter" && rows === undefined) (e.target as HTMLElement).blur();
        if (e.key === "Escape") setText(null);
      }}
    />
  );
  if (counted)
    return (
      <Box>
        <Box sx={{ display: "flex", typography: "body2", color: ink.ink2, mb: 0.5 }}>
          <Box sx={{ flex: 1 }}>{label}</Box>
          {(text ?? value).length} of {most}
        </Box>
        {input}
      </Box>
    );
  return hideLabel ? input : <Labelled label={label}>{input}</Labelled>;
}
