import Box from "@mui/material/Box";
import type { ReactNode } from "react";
import { ink } from "../theme";

/** The line at the foot of a room: what there is, and what is wrong. */
export function RoomFoot({ children }: { children: ReactNode }) {
  return (
    <Box
      component="footer"
      sx={{
        height: 30,
        flex: "none",
        display: "flex",
        alignItems: "center",
        gap: 3,
        px: 4,
        bgcolor: ink.band,
        borderTop: `1px solid ${ink.rule2}`,
        whiteSpace: "nowrap",
        overflow: "hidden",
      }}
    >
      {children}
    </Box>
  );
}
