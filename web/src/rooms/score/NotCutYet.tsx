import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { useNavigate } from "react-router";
import type { Film, Production } from "../../api/client";
import { useMaterial, useSongs } from "../../api/queries";
import { useFilmEdit } from "../../api/useFilmEdit";
import { NotYet } from "../../parts/NotYet";
import { plural } from "../../parts/words";
import { fraunces, ink } from "../../theme";
import { Proposals } from "./Proposals";

/** The blank score: what is missing for a first cut, and the one next act. */
export function NotCutYet({ production, film }: { production: Production; film: Film }) {
  const id = production.id;
  const reading = [useMaterial(id), useSongs(id)] as const;
  const [material, songs] = [reading[0].data, reading[1].data];
  const edit = useFilmEdit(id);
  const go = useNavigate();
  const [busy, setBusy] = useState(false);
  const [open, setOpen] = useState(false);
  if (!material || !songs) return <NotYet what="The material" of={reading} />;
  const takes = material.shots.flatMap((shot) => shot.takes);
  const preparing = takes.some((take) => take.state === "PREPARING");
  const ready = takes.filter((take) => take.state === "READY").length;
  // Slates can be cut too: they hold a shot's time until its clip comes.
  const cuttable = film.outside.filter((shot) => shot.pick !== null).length;
  const slates = cuttable - material.shots.filter((shot) => shot.pick !== null).length;
  const hasClock = film.clock.frames.length > 0 || film.voice.length > 0;
  const listening = songs.some((s) => s.chosen && s.state === "PREPARING");
  const cut = (words: string, variant: "contained" | "text") => (
    <Button variant={variant} color="primary" disabled={busy} onClick={() => setOpen(true)}>
      {words}
    </Button>
  );
  const to = (room: string, words: string, variant: "contained" | "text") => (
    <Button variant={variant} color="primary" onClick={() => void go(`/productions/${id}/${room}`)}>
      {words}
    </Button>
  );
  let says = slates > 0 ? held(slates, cuttable) : "Clips and music are here.";
  let action = cut("Make the first cut", "contained");
  if (preparing || listening) {
    says = listening
      ? "The music is being listened to."
      : `${ready} of ${plural(takes.length, "clip")} ready.`;
    action = (
      <>
        <Box sx={{ mb: 4 }}>The first cut can be made when all are ready.</Box>
        {cuttable > 0 && cut("Cut with what is ready now", "text")}
      </>
    );
  } else if (cuttable === 0) {
    says = "Nothing to cut yet. Bring in clips, or write the shots.";
    action = (
      <>
        {to("takes", "Go to Takes", "contained")} {to("story", "Go to Story", "text")}
      </>
    );
  } else if (!hasClock) {
    says = "No music and no voice yet: cuts are free, at a pace you draw.";
    action = (
      <>
        {cut("Make the first cut", "contained")} {to("cues", "Choose music first", "text")}
      </>
    );
  }
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

/** How many shots are held by slates. */
function held(slates: number, all: number): string {
  const which = slates === all ? "Every shot is" : `${slates} of ${plural(all, "shot")} are`;
  return `${which} held by a slate until a clip comes.`;
}
