import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { takeFrameUrl, under } from "../../api/client";
import { useMaterial } from "../../api/queries";
import { fraunces, ink } from "../../theme";
import { moveName, seconds, type StoryProps } from "./props";

/** All shots as cards in order, with the pick's picture or a dashed place for it. */
export function BoardTab({ production, story }: StoryProps) {
  const material = useMaterial(production.id).data;
  const upright = production.height > production.width;
  const without = story.shots.filter(
    (s) => !material?.shots.find((m) => m.storyShot === s.id)?.pick,
  ).length;
  return (
    <Box sx={{ height: "100%", display: "flex", flexDirection: "column" }}>
      <Box sx={{ px: 4, py: 2, display: "flex", alignItems: "center", gap: 3 }}>
        <Box sx={{ color: ink.ink2 }}>
          {story.shots.length} shots, {seconds(story.shotSeconds)}
          {without > 0 && `; ${without} without a take hold their time with a placeholder`}
        </Box>
        <Box sx={{ flex: 1 }} />
        <Button component="a" href={`${under(production.id)}/story/storyboard.pdf`}>
          As PDF to print
        </Button>
      </Box>
      <Box
        sx={{
          flex: 1,
          overflow: "auto",
          borderTop: `1px solid ${ink.rule}`,
          p: 4,
          display: "grid",
          gridTemplateColumns: `repeat(auto-fill, minmax(${upright ? 150 : 228}px, 1fr))`,
          gap: 5,
          alignContent: "start",
        }}
        data-testid="board"
        role="region"
        aria-label="storyboard"
        tabIndex={0}
      >
        {story.shots.map((s) => {
          const shot = material?.shots.find((m) => m.storyShot === s.id);
          const pick = shot?.takes.find((t) => t.id === shot.pick && t.state === "READY");
          const line = story.lines[s.line - 1];
          return (
            <Box component="article" aria-label={`Card ${s.number}`} key={s.id}>
              <Box
                sx={{
                  aspectRatio: `${production.width} / ${production.height}`,
                  bgcolor: pick ? ink.well : ink.paper,
                  border: pick ? 0 : `1px dashed ${ink.ink3}`,
                  display: "grid",
                  placeItems: "center",
                  color: ink.ink3,
                  overflow: "hidden",
                }}
              >
                {pick ? (
                  <img
                    src={takeFrameUrl(production.id, pick.id, pick.frames * 0.5, 200)}
                    alt=""
                    loading="lazy"
                    style={{ width: "100%", height: "100%", objectFit: "cover" }}
                  />
                ) : (
                  "no take yet"
                )}
              </Box>
              <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, mt: 1 }}>
                <Box sx={{ ...fraunces, fontSize: 17 }}>{s.number}</Box>
                <Box sx={{ flex: 1, color: ink.ink2 }}>{moveName(s.move)}</Box>
                <Box sx={{ color: ink.ink2 }}>{seconds(s.seconds)}</Box>
              </Box>
              <Box sx={{ fontWeight: 600 }}>{s.seen}</Box>
              {line && (
                <Box sx={{ color: ink.thistleDeep, typography: "body2" }}>
                  {line.speaker}: {line.text}
                </Box>
              )}
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
