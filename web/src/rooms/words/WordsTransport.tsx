import Box from "@mui/material/Box";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import type { Film, Production, SafeArea, Words } from "../../api/client";
import { barBeat, timecode } from "../../parts/time";
import { useRoom } from "../../store";
import { face, ink } from "../../theme";
import { PlayButton } from "../score/PlayButton";
import { useScrubSound } from "../score/useScrubSound";
import { SafeAreaFields } from "./SafeAreaFields";

export interface Shown {
  /** The area in which words are seen everywhere. */
  safe: boolean;
  /** What titles take up. */
  blocks: boolean;
  /** The picture in another shape beside it. */
  beside: boolean;
}

/** Where the film is, what plays it, and what is drawn on the picture. */
export function WordsTransport(props: {
  production: Production;
  film: Film;
  shown: Shown;
  safe: Words["safe"];
  onShown: (to: Shown) => void;
  onSafe: (shape: string, area: SafeArea | null) => void;
}) {
  const { production, film, shown, safe, onShown, onSafe } = props;
  const frame = useRoom((s) => s.frame);
  const shape = useRoom((s) => s.shape);
  const set = useRoom((s) => s.set);
  useScrubSound(production, film);
  const own = film.shapes[0]?.name ?? null;
  const offered = film.shapes.filter((s) => [own, "16:9", "9:16", "1:1"].includes(s.name));
  return (
    <Box
      sx={{
        height: 40,
        flex: "none",
        px: 4,
        display: "flex",
        alignItems: "center",
        gap: 2,
        whiteSpace: "nowrap",
        borderBottom: `1px solid ${ink.rule2}`,
        bgcolor: ink.sheet,
      }}
    >
      <Box sx={{ fontFamily: face.mono, fontSize: 18 }} data-testid="timecode">
        {timecode(frame, production.framesPerSecond)}
      </Box>
      <Box sx={{ fontFamily: face.mono, fontSize: 18, width: 56 }}>
        {barBeat(film.clock, frame)}
      </Box>
      <PlayButton size={28} />
      <Box sx={{ flex: 1 }} />
      <Box sx={{ color: ink.ink2 }}>show</Box>
      <ToggleButtonGroup
        size="small"
        value={Object.entries(shown).flatMap(([name, on]) => (on ? [name] : []))}
        onChange={(_, on: string[]) =>
          onShown({
            safe: on.includes("safe"),
            blocks: on.includes("blocks"),
            beside: on.includes("beside"),
          })
        }
        aria-label="Shown on the picture"
      >
        <ToggleButton value="safe">safe area</ToggleButton>
        <ToggleButton value="blocks">blocks</ToggleButton>
        {offered.length > 1 && (
          <ToggleButton value="beside" title="The picture in another shape beside it">
            both
          </ToggleButton>
        )}
      </ToggleButtonGroup>
      {own !== null && (
        <SafeAreaFields
          shape={shape ?? own}
          safe={safe}
          onSet={(area) => onSafe(shape ?? own, area)}
        />
      )}
      <Box sx={{ color: ink.ink2 }}>in</Box>
      <ToggleButtonGroup
        size="small"
        exclusive
        value={shape ?? own}
        onChange={(_, to: string | null) => to && set({ shape: to === own ? null : to })}
        aria-label="Shape"
      >
        {offered.map((s) => (
          <ToggleButton key={s.name} value={s.name}>
            {s.name}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
}
