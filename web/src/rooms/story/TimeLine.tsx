import Box from "@mui/material/Box";
import type { Story } from "../../api/client";
import { ink } from "../../theme";

/** Spoken time, shots and the wanted length on one ruler. */
export function TimeLine({ story }: { story: Story }) {
  const whole = Math.max(story.targetSeconds, story.spokenSeconds, story.shotSeconds, 1);
  const over = story.spokenSeconds > story.targetSeconds;
  const bar = (value: number, colour: string, top: number) => (
    <Box
      sx={{
        position: "absolute",
        left: 0,
        top,
        height: 4,
        width: `${(100 * value) / whole}%`,
        bgcolor: colour,
        transition: "width 150ms",
      }}
    />
  );
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 3 }}>
      <Box
        sx={{ position: "relative", width: 150, height: 18, bgcolor: ink.band }}
        role="img"
        aria-label={`spoken ${story.spokenSeconds.toFixed(1)} seconds, shots ${story.shotSeconds.toFixed(1)} seconds, wanted ${story.targetSeconds} seconds`}
      >
        {bar(story.spokenSeconds, over ? ink.rust : ink.thistle, 3)}
        {bar(story.shotSeconds, ink.moss, 11)}
        <Box
          sx={{
            position: "absolute",
            top: 0,
            bottom: 0,
            left: `${(100 * story.targetSeconds) / whole}%`,
            ml: "-2px",
            width: 2,
            bgcolor: ink.ink,
          }}
        />
      </Box>
      <Box sx={{ typography: "body2", lineHeight: "15px", color: ink.ink2, whiteSpace: "nowrap" }}>
        <Box sx={{ color: over ? ink.rust : ink.thistleDeep }} data-testid="spoken">
          spoken {story.spokenSeconds.toFixed(1)} s of {story.targetSeconds.toFixed(0)} s
        </Box>
        <Box sx={{ color: ink.moss }}>shots {story.shotSeconds.toFixed(1)} s</Box>
      </Box>
    </Box>
  );
}
