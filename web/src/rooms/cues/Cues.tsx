import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { Song } from "../../api/client";
import { useFilm, useSongs } from "../../api/queries";
import { BringInButtons } from "../../parts/BringInButtons";
import { plural } from "../../parts/words";
import { NotYet } from "../../parts/NotYet";
import { useRoomProduction } from "../../parts/useRoomProduction";
import { fraunces, ink } from "../../theme";
import { ArrivalsPanel } from "../takes/ArrivalsPanel";
import { useTellMoves } from "./moves";
import { BandPanel } from "./BandPanel";
import { LengthPanel } from "./LengthPanel";
import { SongChoice } from "./SongChoice";
import { SongView } from "./SongView";
import { TwoSongsPanel } from "./TwoSongsPanel";
import { useSpot } from "./useSpot";
import { VoiceBand } from "./voice/VoiceBand";

/** So many candidates are all shown; of more, the chosen one and the one that is looked at. */
const FEW = 2;

/** The two clocks: the music with its beats and bars, the voice with its words. */
export function Cues() {
  const production = useRoomProduction();
  const reading = useSongs(production.id);
  const songs = reading.data;
  const film = useFilm(production.id).data;
  useTellMoves(film);
  const [shown, setShown] = useState<number | null>(null);
  const [all, setAll] = useState(false);
  const [panel, setPanel] = useState<"band" | "length" | "then" | null>(null);
  const spot = useSpot();
  const song = songs?.find((s) => s.id === shown) ?? songs?.find((s) => s.chosen) ?? songs?.[0];
  if (!songs) return <NotYet what="The music" of={[reading]} />;
  if (songs.length === 0) {
    return (
      <Box sx={{ height: "100%", bgcolor: ink.sheet, display: "flex" }}>
        <Box sx={{ p: 20, flex: 1 }}>
          <Box sx={{ ...fraunces, fontSize: 26, lineHeight: "36px", mb: 3 }}>No music yet.</Box>
          <Box sx={{ fontSize: 15, lineHeight: "22px", color: ink.ink2, mb: 5 }}>
            Drop a song anywhere on this page. Its beats and bars are found, and cuts follow them.
          </Box>
          <Box sx={{ display: "flex", gap: 2, mb: 4 }}>
            <BringInButtons strong what="music" />
            <Button onClick={() => setPanel("band")}>Ask the house band</Button>
          </Box>
          {panel === "band" && <BandPanel production={production} onClose={() => setPanel(null)} />}
          <VoiceBand production={production} song={undefined} film={film} />
        </Box>
        <Box sx={{ width: 376 }}>
          <ArrivalsPanel />
        </Box>
      </Box>
    );
  }
  const unfolded =
    all || songs.length <= FEW ? songs : songs.filter((s) => s.chosen || s.id === song?.id);
  const others = songs.filter((s) => s.id !== song?.id && counted(s));
  return (
    <Box sx={{ height: "100%", overflow: "auto", bgcolor: ink.sheet, px: 4 }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 3, height: 42 }}>
        <Box component="h2" sx={{ typography: "h1", m: 0 }}>
          Music
        </Box>
        <Box sx={{ color: ink.ink2 }}>{plural(songs.length, "candidate")}</Box>
        <Box sx={{ flex: 1 }} />
        {counted(song) && (
          <Button onClick={() => setPanel((p) => (p === "length" ? null : "length"))}>
            Another length
          </Button>
        )}
        {counted(song) && others.length > 0 && (
          <Button onClick={() => setPanel((p) => (p === "then" ? null : "then"))}>
            Another song from a bar on
          </Button>
        )}
        <Button onClick={() => setPanel((p) => (p === "band" ? null : "band"))}>
          Ask the house band
        </Button>
        <BringInButtons what="music" />
      </Box>
      {panel === "band" && <BandPanel production={production} onClose={() => setPanel(null)} />}
      {panel === "length" && song && (
        <LengthPanel
          key={`length of ${song.id}`}
          song={song}
          production={production}
          wanted={
            film && film.length > 0
              ? film.length / production.framesPerSecond
              : production.targetSeconds
          }
          onClose={() => setPanel(null)}
        />
      )}
      {panel === "then" && song && others.length > 0 && (
        <TwoSongsPanel
          key={`from ${song.id} on`}
          song={song}
          others={others}
          production={production}
          spot={spot}
          onClose={() => setPanel(null)}
        />
      )}
      <Box sx={{ display: "grid", gridTemplateColumns: "repeat(2, minmax(0, 1fr))", gap: 4 }}>
        {unfolded.map((s) => (
          <SongChoice
            key={s.id}
            song={s}
            production={production}
            shown={s.id === song?.id}
            onShow={() => setShown(s.id)}
          />
        ))}
      </Box>
      {songs.length > FEW && (
        <Box sx={{ my: 2 }}>
          <Button onClick={() => setAll(!all)} aria-expanded={all}>
            {all ? "Fewer" : `${plural(songs.length - unfolded.length, "more candidate")}`}
          </Button>
        </Box>
      )}
      {song && (
        <SongView
          key={song.id}
          song={song}
          production={production}
          film={film}
          spot={spot}
          volume={volumeOf(song, songs)}
        />
      )}
      <VoiceBand production={production} song={songs.find((s) => s.chosen)} film={film} />
    </Box>
  );
}

/** Whether a song has bars by which it can be taken apart. */
const counted = (song: Song | undefined) => song?.state === "READY" && song.beats.length > 0;

/** How loud a candidate is played, 0 to 1, so that all sound as loud as the softest. */
function volumeOf(song: Song, songs: readonly Song[]): number {
  const known = songs.flatMap((s) => (s.loudness === null ? [] : [s.loudness]));
  if (song.loudness === null) return 1;
  return Math.min(1, 10 ** ((Math.min(...known) - song.loudness) / 20));
}
