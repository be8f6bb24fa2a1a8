import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Slider from "@mui/material/Slider";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useState } from "react";
import { useNavigate } from "react-router";
import {
  correctedUrl,
  stillUrl,
  uncorrectedUrl,
  type Basics,
  type Look,
  type LookShot,
  type Production,
} from "../../api/client";
import { useFilm, useFilmEdit, useLook, type FilmEdit } from "../../api/queries";
import { NotYet } from "../../parts/NotYet";
import { useRoomProduction } from "../../parts/useRoomProduction";
import { plural } from "../../parts/words";
import { fraunces } from "../../theme";
import { DriftLines } from "./DriftLines";
import { FiveSliders } from "./FiveSliders";
import { ShotStrip } from "./ShotStrip";
import { SplitPicture } from "./SplitPicture";
import { furthest } from "./drift";
import { grey, greyButton } from "./grey";
import { useLookKeys } from "./useLookKeys";

/** Colour: one shot that all others are to look like, and what is done to each. */
export function LookRoom() {
  const production = useRoomProduction();
  const film = useFilm(production.id);
  const look = useLook(production.id, film.data?.revision);
  const go = useNavigate();
  if (!film.data || !look.data) return <NotYet what="The film's look" of={[film, look]} />;
  const first = look.data.shots[0];
  if (!first) {
    return (
      <Box sx={{ height: "100%", bgcolor: grey.space, color: grey.text, p: 20 }}>
        <Box sx={{ ...fraunces, fontSize: 26, lineHeight: "36px", mb: 4 }}>
          There are no shots in the film yet.
        </Box>
        <Button sx={greyButton} onClick={() => void go(`/productions/${production.id}/score`)}>
          Go to Score
        </Button>
      </Box>
    );
  }
  return <Judging production={production} look={look.data} first={first} />;
}

function Judging({
  production,
  look,
  first,
}: {
  production: Production;
  look: Look;
  first: LookShot;
}) {
  const edit = useFilmEdit(production.id);
  const [wish, setWish] = useState("");
  const [before, setBefore] = useState(false);
  const [split, setSplit] = useState(0.5);
  const [moving, setMoving] = useState<{ item: string; five: Basics } | null>(null);
  const [strength, setStrength] = useState(50);
  const [working, setWorking] = useState(false);
  const chosen = look.shots.find((s) => s.item === wish) ?? first;
  const key = look.shots.find((s) => s.item === look.key);
  const others = look.shots.filter((s) => s.item !== look.key).map((s) => s.item);
  const far = furthest(look);

  // What goes wrong is told where edits are sent.
  const make = (wanted: FilmEdit) =>
    edit(wanted).then(
      () => undefined,
      () => undefined,
    );
  const correct = (five: Basics) =>
    void make({ name: "correct", values: { items: [chosen.item], correction: five } }).then(() =>
      setMoving(null),
    );
  const match = (items: string[]) => {
    setWorking(true);
    void make({ name: "match", values: { items, strength } }).then(() => setWorking(false));
  };
  const reset = () => void make({ name: "uncorrect", values: { items: [chosen.item] } });
  const makeKey = () => void make({ name: "choose-key", values: { item: chosen.item } });
  const at = look.shots.indexOf(chosen);
  const asBefore = () => {
    const last = look.shots[at - 1];
    if (last) correct(last.correction);
  };
  const step = (by: number) => {
    const next = look.shots[at + by];
    if (next) setWish(next.item);
  };
  useLookKeys({
    step,
    far: () => far[0] && setWish(far[0].item),
    before: () => setBefore((b) => !b),
    match: () => (key && chosen !== key ? match([chosen.item]) : false),
    matchAll: () => (key ? match(others) : false),
    reset,
    makeKey,
    asBefore,
  });
  const five = moving?.item === chosen.item ? moving.five : chosen.correction;
  const now =
    moving?.item === chosen.item
      ? correctedUrl(production.id, look.revision, chosen.frame, chosen.item, moving.five)
      : stillUrl(production.id, look.revision, chosen.frame);

  return (
    <Box
      sx={{
        height: "100%",
        bgcolor: grey.space,
        color: grey.text,
        px: 4,
        py: 2,
        display: "flex",
        flexDirection: "column",
        minHeight: 0,
        "& :focus-visible": { outlineColor: "#FFFFFF !important" },
      }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 4, height: 36, flex: "none" }}>
        <Box component="h2" sx={{ ...fraunces, m: 0, fontSize: 18, fontWeight: 460 }}>
          {key
            ? `All ${look.shots.length} shots, measured from the key shot`
            : "Pick one shot all others should look like"}
        </Box>
        {key && <Box sx={{ fontSize: 13, color: grey.text2 }}>{standing(look, far)}</Box>}
        <Box sx={{ flex: 1 }} />
        <Box sx={{ fontSize: 13, color: grey.text2 }}>Strip shows</Box>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={before ? "before" : "now"}
          onChange={(_, to: string | null) => to && setBefore(to === "before")}
          sx={{
            "& .MuiToggleButton-root": {
              color: grey.text2,
              bgcolor: "transparent",
              borderColor: grey.rule,
              px: 2,
            },
            "& .Mui-selected": { color: "#1E1E1E !important", bgcolor: `${grey.text} !important` },
          }}
        >
          <ToggleButton value="before">before</ToggleButton>
          <ToggleButton value="now">now</ToggleButton>
        </ToggleButtonGroup>
        {key && <Strength value={strength} onChange={setStrength} />}
        {key && (
          <Button sx={greyButton} disabled={working} onClick={() => match(others)}>
            {working ? "Matching\u2026" : `Match all ${others.length}`}
          </Button>
        )}
      </Box>
      <Box sx={{ flex: "none" }}>
        <ShotStrip
          production={production.id}
          look={look}
          chosen={chosen.item}
          before={before}
          onChoose={setWish}
        />
        {key && <DriftLines look={look} chosen={chosen.item} onChoose={setWish} />}
      </Box>
      <Box sx={{ flex: 1, minHeight: 0, display: "flex", gap: 6, pt: 2 }}>
        <Box
          sx={{
            flex: 1,
            minWidth: 0,
            display: "grid",
            placeItems: "start center",
            containerType: "size",
          }}
        >
          <SplitPicture
            before={uncorrectedUrl(production.id, look.revision, chosen.frame)}
            now={now}
            split={split}
            aspect={production.width / production.height}
            onSplit={setSplit}
          />
        </Box>
        <Box sx={{ width: 440, flex: "none", overflow: "auto" }}>
          <Box sx={{ display: "flex", alignItems: "baseline", gap: 3, mb: 2 }}>
            <Box
              component="h3"
              sx={{ ...fraunces, m: 0, fontSize: 18, fontWeight: 460, minWidth: 0 }}
            >
              {chosen.label} {chosen.title}
            </Box>
          </Box>
          <FiveSliders
            five={five}
            onMove={(to) => setMoving({ item: chosen.item, five: to })}
            onSet={(to) => {
              setMoving({ item: chosen.item, five: to });
              correct(to);
            }}
          />
          {chosen.more && (
            <Box sx={{ fontSize: 13, color: grey.text2, mt: 1 }}>
              A colour list takes care of what the five cannot say.
            </Box>
          )}
          <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, mt: 3 }}>
            <Button sx={greyButton} onClick={reset}>
              As it came
            </Button>
            {at > 0 && (
              <Button sx={greyButton} onClick={asBefore}>
                As the shot before
              </Button>
            )}
            {chosen !== key && (
              <Button sx={greyButton} onClick={makeKey}>
                Make it the key
              </Button>
            )}
            {key && chosen !== key && (
              <Button sx={greyButton} disabled={working} onClick={() => match([chosen.item])}>
                Match this shot
              </Button>
            )}
          </Box>
          {key && (
            <Box sx={{ mt: 4, pt: 3, borderTop: `1px solid ${grey.rule}`, fontSize: 14 }}>
              <Box sx={{ fontWeight: 600 }}>
                Key shot {key.label}, {key.title}
              </Box>
              <Box sx={{ color: grey.text2 }}>{away(chosen, key)}</Box>
              {far.length > 0 && (
                <Box sx={{ mt: 2, display: "flex", alignItems: "center", gap: 2 }}>
                  Furthest now:
                  {far.slice(0, 3).map((s) => (
                    <Button key={s.item} sx={greyButton} onClick={() => setWish(s.item)}>
                      {s.label}, {s.now?.whole.toFixed(1)}
                    </Button>
                  ))}
                </Box>
              )}
            </Box>
          )}
        </Box>
      </Box>
    </Box>
  );
}

/** How much of a difference between shots a match puts down to how they were made. */
function Strength({ value, onChange }: { value: number; onChange: (to: number) => void }) {
  return (
    <Box
      title="At 50 a match holds back where two shots show other things; at 100 it makes them alike"
      sx={{ display: "flex", alignItems: "center", gap: 3, fontSize: 13, color: grey.text2 }}
    >
      Strength
      <Slider
        aria-label="Strength of a match, %"
        value={value}
        step={5}
        onChange={(_, to) => onChange(to as number)}
        sx={{ width: 90, color: grey.text, "& .MuiSlider-thumb": { bgcolor: "#FFFFFF" } }}
      />
      <Box sx={{ width: 36 }}>{value} %</Box>
    </Box>
  );
}

function standing(look: Look, far: LookShot[]): string {
  const close = look.shots.length - far.length;
  return far.length === 0
    ? "all are close to it"
    : `${close} close to it, ${plural(far.length, "shot")} further than ${look.close}`;
}

function away(chosen: LookShot, key: LookShot): string {
  if (chosen === key || !chosen.before || !chosen.now) return "The others are measured from it.";
  return `${chosen.label} came ${chosen.before.whole.toFixed(1)} away from it and is ${chosen.now.whole.toFixed(1)} away now (CIEDE2000).`;
}
