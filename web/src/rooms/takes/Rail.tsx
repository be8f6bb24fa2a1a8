import Box from "@mui/material/Box";
import type { Shot } from "../../api/client";
import { ink } from "../../theme";

/** All shots in a column, one square a take, the pick filled; a press brings a shot into sight. */
export function Rail({ shots, onGo }: { shots: readonly Shot[]; onGo: (shot: Shot) => void }) {
  return (
    <Box
      component="nav"
      aria-label="Shots"
      sx={{
        width: 48,
        flex: "none",
        overflow: "auto",
        bgcolor: ink.paper,
        borderRight: `1px solid ${ink.rule2}`,
        py: 1,
        scrollbarWidth: "none",
      }}
    >
      {shots.map((shot) => (
        <Box
          key={shot.id}
          component="button"
          aria-label={`Shot ${shot.label}`}
          onClick={() => onGo(shot)}
          sx={{
            display: "block",
            width: "100%",
            border: 0,
            bgcolor: "transparent",
            font: "inherit",
            textAlign: "left",
            pl: 2,
            py: 1,
            cursor: "pointer",
            "&:hover": { bgcolor: ink.band },
            "&:focus-visible": { outlineOffset: -2 },
          }}
        >
          <Box sx={{ fontSize: 13, color: ink.ink2 }}>{shot.label}</Box>
          <Box sx={{ display: "flex", flexWrap: "wrap", gap: "1.500px", mt: "2px" }}>
            {shot.takes.map((take) => (
              <Box
                key={take.id}
                sx={{
                  width: 5,
                  height: 5,
                  border: `1px solid ${take.state === "REFUSED" || take.rejected ? ink.rust : ink.ink3}`,
                  ...(take.id === shot.pick && { bgcolor: ink.thistle, borderColor: ink.thistle }),
                }}
              />
            ))}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
