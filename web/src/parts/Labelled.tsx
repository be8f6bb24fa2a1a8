import Box from "@mui/material/Box";
import type { ReactNode } from "react";
import { ink } from "../theme";

/** A control under its name. */
export function Labelled({ label, children }: { label: string; children: ReactNode }) {
  return (
    <Box>
      <Box sx={{ typography: "body2", color: ink.ink2, mb: 0.5 }}>{label}</Box>
      {children}
    </Box>
  );
}
