import Box from "@mui/material/Box";
import type { ReactNode } from "react";

/** A row of a card: what stands in it lies on one line. */
export const CardRow = ({ children }: { children: ReactNode }) => (
  <Box sx={{ display: "flex", alignItems: "center", gap: 1, minHeight: 30 }}>{children}</Box>
);
