import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useCallback, useMemo, useState, type MouseEvent } from "react";
import { useNavigate } from "react-router";
import type { Film, Production } from "../../api/client";
import { useFilm, useFilmEdit, useMaterial, usePeaks, useSongs } from "../../api/queries";
import { useRoomProduction } from "../../parts/useRoomProduction";
import { useSize } from "../../parts/useSize";
import { plural } from "../../parts/words";
import { useRoom } from "../../store";
import { fraunces, ink } from "../../theme";
import { FilmCard } from "./FilmCard";
import { Foot } from "./Foot";
import { Proposals } from "./Proposals";
import { Monitor } from "./Monitor";
import { Sheet } from "./Sheet";
import { hasSounds } from "./SoundLane";
import { OverlayCard } from "./OverlayCard";
import { MarkerNote } from "./MarkerNote";
import { SheetHeader } from "./SheetHeader";
import { ShotCard } from "./ShotCard";
import { Transport } from "./Transport";
import { rowsNeeded } from "./lyrics";
import { widthOf } from "./widths";
import { placeStaves } from "./layout";
import { useRulers } from "./useRulers";
import { useScoreActions } from "./useScoreActions";
import { useScoreKeys } from "./useScoreKeys";
import { useFollow, useWindow } from "./useWindow";

/** The surface the film is cut on. */
export function Score() {
  const production = useRoomProduction();
  const film = useFilm(production.id).data;
  if (!film) return null;
  if (film.shots.length === 0) return <NotCutYet production={production} film={film} />;
  return <Cut production={production} film={film} />;
}

function Cut({ production, film }: { production: Production; film: Film }) {
  const material = useMaterial(production.id).data;
  const peaks = usePeaks(production.id, film.clock.song).data;
  const place = useRoom((s) => s.place);
  const wish = useRoom((s) => s.barsPerLine);
  const actions = useScoreActions(production.id, material);
  const [sheet, size] = useSize({ width: 904, height: 680 });
  const fps = production.framesPerSecond;

  const { rulers, barsPerLine } = useRulers(film, fps, wish, size.width);
  const rows = useMemo(() => rowsNeeded(film.voice, rulers, widthOf), [film.voice, rulers]);
  const sounds = useMemo(() => hasSounds(film), [film]);
  const open = useRoom((s) => rulers.findLastIndex((r) => r.stave.start <= s.frame));
  const places = useMemo(
    () => placeStaves(size.height, rulers.length, open, rows, sounds),
    [size.height, rulers.length, open, rows, sounds],
  );
  const { seen, onScroll } = useWindow(size.height);
  const boxRef = useFollow(open, places);
  const both = useCallback(
    (element: HTMLElement | null) => {
      sheet(element);
      boxRef.current = element;
    },
    [sheet, boxRef],
  );
  useScoreKeys(film, fps, rulers, actions);

  const laid = useRoom((s) => film.overlays.find((o) => o.shot.id === s.laid));
  const shot = place === null ? undefined : film.shots[place];
  return (
    <Box
      sx={{ height: "100%", display: "flex", flexDirection: "column" }}
      // A button pressed with the mouse gives the keys back to the score.
      onClick={(e: MouseEvent) => {
        const button = (e.target as HTMLElement).closest("button");
        if (e.detail > 0 && button) button.blur();
      }}
    >
      <Box sx={{ flex: 1, minHeight: 0, display: "flex" }}>
        <Box
          sx={{
            flex: 1,
            minWidth: 0,
            display: "flex",
            flexDirection: "column",
            bgcolor: ink.sheet,
          }}
        >
          <SheetHeader
            film={film}
            production={production}
            actions={actions}
            barsPerLine={barsPerLine}
          />
          <Box
            ref={both}
            onScroll={onScroll}
            sx={{ flex: 1, minHeight: 0, overflow: "hidden auto" }}
          >
            <Sheet
              production={production}
              film={film}
              peaks={peaks}
              rulers={rulers}
              places={places}
              seen={seen}
              width={size.width}
              actions={actions}
            />
          </Box>
        </Box>
        <Box
          component="aside"
          sx={{
            width: { xs: 376, xl: 440 },
            flex: "none",
            borderLeft: `1px solid ${ink.rule2}`,
            bgcolor: ink.paper,
            display: "flex",
            flexDirection: "column",
          }}
        >
          <Monitor production={production} film={film} />
          <Transport production={production} film={film} />
          <Box sx={{ flex: 1, minHeight: 0, overflow: "auto" }}>
            {shot ? (
              <ShotCard
                production={production}
                film={film}
                shot={shot}
                material={material}
                actions={actions}
              />
            ) : laid ? (
              <OverlayCard film={film} overlay={laid} actions={actions} />
            ) : (
              <FilmCard production={production} film={film} actions={actions} />
            )}
          </Box>
        </Box>
      </Box>
      <Foot production={production} film={film} />
      <MarkerNote film={film} actions={actions} />
    </Box>
  );
}

function NotCutYet({ production, film }: { production: Production; film: Film }) {
  const id = production.id;
  const material = useMaterial(id).data;
  const songs = useSongs(id).data;
  const edit = useFilmEdit(id);
  const go = useNavigate();
  const [busy, setBusy] = useState(false);
  const [open, setOpen] = useState(false);
  if (!material || !songs) return null;
  const takes = material.shots.flatMap((shot) => shot.takes);
  const preparing = takes.some((take) => take.state === "PREPARING");
  const ready = takes.filter((take) => take.state === "READY").length;
  const hasBeats = film.clock.frames.length > 0 || film.voice.length > 0;
  const listening = songs.some((s) => s.chosen && s.state === "PREPARING");
  const cut = (words: string, variant: "contained" | "text") => (
    <Button variant={variant} color="primary" disabled={busy} onClick={() => setOpen(true)}>
      {words}
    </Button>
  );
  let says = "Clips and music are here.";
  let action = cut("Make the first cut", "contained");
  if (preparing || listening) {
    says = listening
      ? "The music is being listened to."
      : `${ready} of ${plural(takes.length, "clip")} ready.`;
    action = (
      <>
        <Box sx={{ mb: 4 }}>The first cut can be made when all are ready.</Box>
        {ready > 0 && hasBeats && cut("Cut with what is ready now", "text")}
      </>
    );
  } else if (!ready) {
    says = "Nothing to cut yet. Bring in the clips.";
    action = (
      <Button
        variant="contained"
        color="primary"
        onClick={() => void go(`/productions/${id}/takes`)}
      >
        Go to Takes
      </Button>
    );
  } else if (!hasBeats) {
    says = "Nothing to cut to yet. Choose the music.";
    action = (
      <Button
        variant="contained"
        color="primary"
        onClick={() => void go(`/productions/${id}/cues`)}
      >
        Go to Cues
      </Button>
    );
  }
  const again = film.redo !== "" && (
    <Button sx={{ ml: 3 }} onClick={() => void edit({ name: "redo" }).catch(() => undefined)}>
      Redo: {film.redo}
    </Button>
  );
  return (
    <Box sx={{ height: "100%", bgcolor: ink.sheet, position: "relative", overflow: "hidden" }}>
      {[0, 1, 2].map((line) => (
        <Box key={line} sx={{ position: "absolute", left: 70, right: 16, top: 40 + line * 227 }}>
          <Box sx={{ height: 30, borderBottom: `1px solid ${ink.rule}` }} />
          <Box sx={{ mt: 5, height: 104, border: `1px solid ${ink.rule}` }} />
        </Box>
      ))}
      <Box
        sx={{
          position: "absolute",
          left: 110,
          top: 118,
          bgcolor: ink.sheet,
          px: 6,
          py: 5,
          maxWidth: 620,
        }}
      >
        <Box sx={{ ...fraunces, fontSize: 26, lineHeight: "36px", mb: 4 }}>{says}</Box>
        {action}
        {again}
        {open && (
          <Proposals
            production={production}
            film={film}
            onClose={() => setOpen(false)}
            onTake={(everything, pool, pace) => {
              setOpen(false);
              setBusy(true);
              void edit({ name: "first-cut", values: { everything, pool, pace } })
                .catch(() => undefined)
                .finally(() => setBusy(false));
            }}
          />
        )}
      </Box>
    </Box>
  );
}
