import Button from "@mui/material/Button";
import type { ReactNode } from "react";

interface Props {
  onPress: () => void;
  title?: string;
  disabled?: boolean;
  /** Whether what it turns on and off is on. */
  pressed?: boolean;
  children: ReactNode;
}

/** A button in a row of fields, which are lower than buttons. */
export const LowButton = ({ onPress, title, disabled, pressed, children }: Props) => (
  <Button
    size="small"
    title={title}
    disabled={disabled}
    aria-pressed={pressed}
    onClick={onPress}
    sx={{ minWidth: 0, px: 1.5, minHeight: 22, whiteSpace: "nowrap" }}
  >
    {children}
  </Button>
);
