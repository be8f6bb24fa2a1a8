import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { Film, HeardMix, Mix } from "../../api/client";
import { lineUrl } from "../../api/sounds";
import { decimal } from "../../parts/words";
import { ink } from "../../theme";
import { hear } from "./hearing";

interface Props {
  production: number;
  film: Film;
  mix: Mix;
  heard: HeardMix | undefined;
}

/** How each line stands over all else; as it was read and cared for, to be compared. */
export function VoiceStand({ production, film, mix: { care }, heard }: Props) {
  const cares = care.rumble || care.even + care.hiss + care.sharp + care.breaths > 0;
  return (
    <>
      {heard?.voice.map((line) => (
        <Box key={line.id} sx={{ display: "flex", gap: 2, minHeight: 20 }}>
          <Box sx={{ width: 46, color: ink.ink2 }}>line {line.number}</Box>
          <Box sx={{ width: 80 }}>{decimal(line.over)} LU over</Box>
          <Box sx={{ flex: 1, color: line.hard.length > 0 ? ink.rust : ink.ink2 }}>
            {line.hard.length === 0 ? "clear" : `hard to hear: ${line.hard.join(", ")}`}
          </Box>
          {cares && (
            <>
              <HearLine production={production} film={film} line={line} cared={false} />
              <HearLine production={production} film={film} line={line} cared />
            </>
          )}
        </Box>
      ))}
      {heard?.voice.length === 0 && <Box sx={{ color: ink.ink2 }}>Nobody speaks in the film.</Box>}
    </>
  );
}

/** Plays a line by itself, as it was read or with what is done to it, equally loud. */
function HearLine(props: {
  production: number;
  film: Film;
  line: HeardMix["voice"][number];
  cared: boolean;
}) {
  const { production, film, line, cared } = props;
  const how = cared ? "cared for" : "as read";
  return (
    <Button
      size="small"
      aria-label={`Line ${line.number} ${how}`}
      title="Both are heard equally loud"
      sx={{ minWidth: 0, px: 1, minHeight: 20, py: 0, fontSize: 12 }}
      onClick={() => hear(lineUrl(production, film.revision, line.id, cared))}
    >
      {how}
    </Button>
  );
}
