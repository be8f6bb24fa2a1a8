import Box from "@mui/material/Box";
import { type ReactNode } from "react";
import { ink } from "../../theme";

/** A way to put something right, what it costs, and the button that goes it. */
export function Way({ says, children }: { says: string; children?: ReactNode }) {
  return (
    <Box
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 2,
        minHeight: 36,
        borderTop: `1px solid ${ink.rule}`,
      }}
    >
      <Box sx={{ flex: 1 }}>{says}</Box>
      {children}
    </Box>
  );
}
