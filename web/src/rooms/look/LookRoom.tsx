import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { useNavigate } from "react-router";
import {
  correctedUrl,
  finishedUrl,
  stillUrl,
  uncorrectedUrl,
  type Film,
  type Look,
  type LookShot,
  type Production,
} from "../../api/client";
import { useFilm, useLook, useVersions } from "../../api/queries";
import { NotYet } from "../../parts/NotYet";
import { useRoomProduction } from "../../parts/useRoomProduction";
import { fraunces } from "../../theme";
import { DriftLines } from "./DriftLines";
import { GreyToggle } from "./GreyToggle";
import { LookHeader } from "./LookHeader";
import { RangeMasks } from "./RangeMasks";
import { Scopes } from "./Scopes";
import { ShotPanel, type Side } from "./ShotPanel";
import { ShotStrip } from "./ShotStrip";
import { SplitPicture } from "./SplitPicture";
import { furthest } from "./drift";
import { grey, greyButton } from "./grey";
import { stretchOf } from "./stretch";
import { hasKey, keyOf } from "./key";
import { useLookActions } from "./useLookActions";
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
  return <Judging production={production} film={film.data} look={look.data} first={first} />;
}

/** Versions that there is room for; the newest. */
const MOST_VERSIONS = 3;

/** What the picture is compared with. */
export type Compared = "before" | "key" | "nothing" | `v${number}`;

function Judging({
  production,
  film,
  look,
  first,
}: {
  production: Production;
  film: Film;
  look: Look;
  first: LookShot;
}) {
  const [wish, setWish] = useState("");
  const [also, setAlso] = useState<readonly string[]>([]);
  const [before, setBefore] = useState(false);
  const [compared, setCompared] = useState<Compared>("before");
  const [split, setSplit] = useState(0.5);
  const [side, setSide] = useState<Side>("numbers");
  const [range, setRange] = useState(0);
  const [picking, setPicking] = useState(false);
  const [overShots, setOverShots] = useState(false);
  const shown = look.shots.find((s) => s.item === wish) ?? first;
  const actions = useLookActions(production.id, look, shown);
  const key = keyOf(production.id, look, shown);
  const far = furthest(look);
  const at = look.shots.indexOf(shown);
  const versions = (useVersions(production.id, look.revision).data ?? []).slice(0, MOST_VERSIONS);
  const version = versions.find((v) => compared === `v${v.id}`);
  const selected = look.shots
    .map((s) => s.item)
    .filter((item) => item === shown.item || also.includes(item));

  const choose = (item: string, more = false) => {
    if (!more) setAlso([]);
    else if (also.includes(item)) setAlso(also.filter((other) => other !== item));
    else setAlso([...also, shown.item].filter((other) => other !== item));
    if (!more || !also.includes(item)) setWish(item);
  };
  const step = (by: number) => {
    const next = look.shots[at + by];
    if (next) choose(next.item);
  };
  const last = look.shots[at - 1];
  const followers = look.shots
    .filter((s) => s.keyOf !== "FILM" && s.layer === 0)
    .map((s) => s.item);
  useLookKeys({
    step,
    all: () => setAlso(look.shots.map((s) => s.item)),
    far: () => far[0] && choose(far[0].item),
    before: () => setBefore((b) => !b),
    key: () => setCompared((c) => (c === "key" ? "before" : "key")),
    match: () => (hasKey(look) && shown.layer === 0 ? actions.match(selected) : false),
    matchAll: () => (hasKey(look) ? actions.match(followers) : false),
    reset: () => actions.uncorrect(selected),
    makeKey: () => actions.makeKey(false),
    asBefore: () => (last ? actions.correctAs(selected, last.item) : false),
    copy: actions.copy,
    paste: () => (actions.copied ? actions.correctAs(selected, actions.copied.item) : false),
  });
  const { trial } = actions;
  const picture =
    trial?.of === "finish"
      ? finishedUrl(production.id, look.revision, shown.frame, trial.item, trial.treatments)
      : trial?.item === shown.item
        ? correctedUrl(production.id, look.revision, shown.frame, shown.item, trial.correction)
        : stillUrl(production.id, look.revision, shown.frame);
  const aspect = production.width / production.height;

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
      <LookHeader
        look={look}
        far={far}
        before={before}
        onBefore={setBefore}
        selected={selected}
        followers={followers}
        actions={actions}
      />
      <Box sx={{ flex: "none" }}>
        <ShotStrip
          production={production.id}
          look={look}
          chosen={shown.item}
          also={also}
          before={before}
          onChoose={choose}
        />
        {hasKey(look) && <DriftLines look={look} chosen={shown.item} onChoose={choose} />}
      </Box>
      <Box sx={{ flex: 1, minHeight: 0, display: "flex", gap: 6, pt: 1 }}>
        <Box sx={{ flex: 1, minWidth: 0, display: "flex", flexDirection: "column", gap: 1 }}>
          <Box
            sx={{
              flex: 1,
              minHeight: 0,
              display: "grid",
              placeItems: "start center",
              containerType: "size",
            }}
          >
            <SplitPicture
              beside={
                version
                  ? {
                      url: stillUrl(production.id, `v${version.id}`, shown.frame),
                      name: version.name,
                    }
                  : compared === "key" && key
                    ? { url: key.url, name: key.name }
                    : {
                        url: uncorrectedUrl(production.id, look.revision, shown.frame),
                        name: "before",
                      }
              }
              now={{ url: picture, name: "now" }}
              split={compared === "nothing" ? 0 : split}
              aspect={aspect}
              onPick={
                picking && side === "ranges"
                  ? (x, y) => {
                      setPicking(false);
                      setRange(shown.correction.ranges.length);
                      void actions.pickRange(x, y);
                    }
                  : undefined
              }
              onSplit={compared === "nothing" ? undefined : setSplit}
            >
              {side === "ranges" && (
                <RangeMasks
                  film={film}
                  sides={production}
                  shown={shown}
                  range={range}
                  actions={actions}
                />
              )}
            </SplitPicture>
          </Box>
          <Box sx={{ display: "flex", alignItems: "center", gap: 3, flex: "none" }}>
            <Box sx={{ fontSize: 13, color: grey.text2 }}>Left of the line</Box>
            <GreyToggle
              label="Left of the line"
              value={compared}
              options={[
                { value: "before", name: "as it came" },
                ...(key ? [{ value: "key" as const, name: key.name, hint: "K" }] : []),
                ...versions.map((v) => ({
                  value: `v${v.id}` as const,
                  name: v.name,
                  hint: "The same moment in this version of the film",
                })),
                { value: "nothing", name: "nothing" },
              ]}
              onChange={setCompared}
            />
            {shown.clipped >= 0.5 && (
              <Box sx={{ fontSize: 13, color: grey.text2 }}>
                {shown.clipped.toFixed(1)} % of its pixels became black or white
              </Box>
            )}
          </Box>
        </Box>
        <Box
          sx={{
            width: 440,
            flex: "none",
            display: "flex",
            flexDirection: "column",
            minHeight: 0,
          }}
        >
          <Scopes production={production.id} revision={look.revision} frame={shown.frame} />
          <ShotPanel
            production={production.id}
            look={look}
            shown={shown}
            last={last}
            chosenKey={key}
            far={far}
            selected={selected}
            actions={actions}
            side={side}
            range={range}
            picking={picking}
            stretch={stretchOf(film, selected)}
            overShots={overShots}
            onOverShots={setOverShots}
            onSide={setSide}
            onRange={setRange}
            onPick={() => setPicking(!picking)}
            onChoose={choose}
          />
        </Box>
      </Box>
    </Box>
  );
}
