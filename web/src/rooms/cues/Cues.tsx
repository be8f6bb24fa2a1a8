import Box from "@mui/material/Box";
import { useState } from "react";
import { useFilm, useSongs } from "../../api/queries";
import { BringInButtons } from "../../parts/BringInButtons";
import { plural } from "../../parts/words";
import { useRoomProduction } from "../../parts/useRoomProduction";
import { fraunces, ink } from "../../theme";
import { ArrivalsPanel } from "../takes/ArrivalsPanel";
import { SongChoice } from "./SongChoice";
import { SongView } from "./SongView";
import { VoiceBand } from "./voice/VoiceBand";

/** The two clocks: the music with its beats and bars, the voice with its words. */
export function Cues() {
  const production = useRoomProduction();
  const songs = useSongs(production.id).data;
  const film = useFilm(production.id).data;
  const [shown, setShown] = useState<number | null>(null);
  const song = songs?.find((s) => s.id === shown) ?? songs?.find((s) => s.chosen) ?? songs?.[0];
  if (songs?.length === 0) {
    return (
      <Box sx={{ height: "100%", bgcolor: ink.sheet, display: "flex" }}>
        <Box sx={{ p: 20, flex: 1 }}>
          <Box sx={{ ...fraunces, fontSize: 26, lineHeight: "36px", mb: 3 }}>No music yet.</Box>
          <Box sx={{ fontSize: 15, lineHeight: "22px", color: ink.ink2, mb: 5 }}>
            Drop a song anywhere on this page. Its beats and bars are found, and cuts follow them.
          </Box>
          <BringInButtons strong what="music" />
        </Box>
        <Box sx={{ width: 376 }}>
          <ArrivalsPanel />
        </Box>
      </Box>
    );
  }
  return (
    <Box sx={{ height: "100%", overflow: "auto", bgcolor: ink.sheet, px: 4 }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 3, height: 42 }}>
        <Box component="h1" sx={{ typography: "h1", m: 0 }}>
          Music
        </Box>
        <Box sx={{ color: ink.ink2 }}>{songs && plural(songs.length, "candidate")}</Box>
        <Box sx={{ flex: 1 }} />
        <BringInButtons what="music" />
      </Box>
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 4 }}>
        {songs?.map((s) => (
          <SongChoice
            key={s.id}
            song={s}
            production={production}
            shown={s.id === song?.id}
            onShow={() => setShown(s.id)}
          />
        ))}
      </Box>
      {song && <SongView key={song.id} song={song} production={production} film={film} />}
      <VoiceBand production={production} song={songs?.find((s) => s.chosen)} film={film} />
    </Box>
  );
}
