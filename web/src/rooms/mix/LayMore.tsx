import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { Film, Production, ShelfSound } from "../../api/client";
import { useSongs } from "../../api/queries";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import type { MixActions } from "./useMixActions";

/** What of a song is heard at a frame, in frames of the film. */
interface Part {
  name: string;
  from: number;
  to: number;
}

/** Lays a sound of the shelf in several places at once: on cuts, or through a place. */
export function LayMore({
  production,
  film,
  sound,
  actions,
}: {
  production: Production;
  film: Film;
  sound: ShelfSound;
  actions: MixActions;
}) {
  const frame = useRoom((s) => s.frame);
  const song = useSongs(production.id).data?.find((s) => s.chosen);
  const fps = production.framesPerSecond;
  const part: Part | undefined = song?.sections
    .map((s) => ({
      name: s.name,
      // A cut on the border's nearest frame may lie half a frame before it.
      from: Math.ceil((s.start - film.songStart) * fps - 0.5),
      to: Math.ceil((s.end - film.songStart) * fps - 0.5),
    }))
    .find((s) => frame >= s.from && frame < s.to);
  const shot = film.shots.find((s) => s.shotId !== 0 && s.start <= frame && s.end > frame);
  return (
    <Box
      role="group"
      aria-label={`More of ${sound.name}`}
      sx={{
        display: "flex",
        flexWrap: "wrap",
        alignItems: "center",
        gap: 1,
        px: 3,
        py: 1,
        borderTop: `1px solid ${ink.rule}`,
        fontSize: 12,
      }}
    >
      <Box sx={{ color: ink.ink2 }}>{sound.name}:</Box>
      {part && (
        <Button
          size="small"
          title="It lands on every cut of the part of the song under the playhead, quietly"
          onClick={() => actions.onCuts(sound.id, Math.max(1, part.from), part.to)}
        >
          on each cut of the {part.name}
        </Button>
      )}
      {shot && (
        <Button
          size="small"
          title={`From cut to cut wherever shots are where ${shot.label} is, as the story says; it crosses over in half a second`}
          onClick={() => actions.throughPlace(sound.id, shot.id)}
        >
          through the place of {shot.label}
        </Button>
      )}
    </Box>
  );
}
