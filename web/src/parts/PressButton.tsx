import Button from "@mui/material/Button";
import type { ReactNode } from "react";
import { ink } from "../theme";

interface Props {
  on: boolean;
  onPress: () => void;
  /** What it is called, if its text alone does not say. */
  label?: string;
  title?: string;
  /** Whether it stands in a row of fields, which are lower than buttons. */
  low?: boolean;
  width?: number;
  children: ReactNode;
}

/** A button that stays pressed while something is on. */
export function PressButton({ on, onPress, label, title, low, width, children }: Props) {
  return (
    <Button
      size="small"
      aria-pressed={on}
      aria-label={label}
      title={title}
      onClick={onPress}
      sx={{
        minWidth: 0,
        px: 1.5,
        ...(low && { minHeight: 22 }),
        ...(width !== undefined && { width }),
        bgcolor: on ? ink.thistleWash : "transparent",
        color: on ? ink.thistleDeep : ink.ink,
      }}
    >
      {children}
    </Button>
  );
}
