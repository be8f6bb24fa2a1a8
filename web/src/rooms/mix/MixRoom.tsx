import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { Film, Mix, Production, ShelfSound } from "../../api/client";
import { useFilm } from "../../api/queries";
import { aloneUrl, useHeardMix, useMix, type SoundSearch } from "../../api/sounds";
import { NoFilm } from "../../parts/NoFilm";
import { NotYet } from "../../parts/NotYet";
import { useRoomProduction } from "../../parts/useRoomProduction";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import { useFollow } from "../follow/useFollow";
import { goTo } from "../score/playing";
import { LevelsPanel } from "./LevelsPanel";
import { LayMore } from "./LayMore";
import { MixFoot } from "./MixFoot";
import { MixHeader } from "./MixHeader";
import { MixSheet } from "./MixSheet";
import { MixTransport } from "./MixTransport";
import { ShelfPanel } from "./ShelfPanel";
import { SoundCard } from "./SoundCard";
import { WantedStrip } from "./WantedStrip";
import type { Bus } from "./busLine";
import { hear, hearAround } from "./hearing";
import { frameOf, onCut } from "./moments";
import { useMixActions } from "./useMixActions";
import { useMixKeys } from "./useMixKeys";

/** The film's sound: what is laid, how loud it is, and what steps aside for what. */
export function MixRoom() {
  const production = useRoomProduction();
  const film = useFilm(production.id);
  const mix = useMix(production.id, film.data?.revision);
  if (!film.data || !mix.data) return <NotYet what="The film's sound" of={[film, mix]} />;
  if (film.data.shots.length === 0) {
    return <NoFilm production={production.id}>There is no film to lay sounds under yet.</NoFilm>;
  }
  return <Mixing production={production} film={film.data} mix={mix.data} />;
}

function Mixing({ production, film, mix }: { production: Production; film: Film; mix: Mix }) {
  const heard = useHeardMix(production.id, film.revision).data;
  const actions = useMixActions(production.id, mix);
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [wanted, setWanted] = useState<number | null>(null);
  const [search, setSearch] = useState<SoundSearch>({ words: "", kind: null, like: null });
  const [picked, setPicked] = useState<ShelfSound | null>(null);
  const [lined, setLined] = useState<Bus | null>(null);
  const [tab, setTab] = useState<"shelf" | "levels">("shelf");
  const fps = production.framesPerSecond;
  const there = chosen.filter((id) => mix.laid.some((s) => s.id === id));
  const sound = mix.laid.find((s) => s.id === there[0]);

  const choose = (id: string | null, more: boolean) =>
    setChosen((now) => {
      if (id === null) return [];
      if (!more) return [id];
      return now.includes(id) ? now.filter((other) => other !== id) : [...now, id];
    });
  const look = (at: number) => {
    const one = mix.wanted[at];
    if (!one) return;
    setWanted(at);
    setSearch({ words: one.search, kind: null, like: null });
    const shot = film.shots.find((s) => s.id === one.item);
    if (shot) goTo(film, shot.start);
    setChosen(one.laid == null ? [] : [one.laid]);
  };
  /** Where the wanted sound's shot begins, or the shot under the playhead does. */
  const lay = (of: ShelfSound) => {
    const { frame } = useRoom.getState();
    const asked = film.shots.find(
      (s) => s.id === (wanted === null ? null : mix.wanted[wanted]?.item),
    );
    const shot = asked ?? film.shots.find((s) => s.start <= frame && s.end > frame);
    if (!shot) return;
    const end = film.shots[shot.place + 1]?.id ?? "";
    const at = of.kind === "RISER" ? onCut(end) : onCut(shot.id);
    actions.lay(of.id, at, of.kind === "BED" ? onCut(end) : null);
  };
  const follow = useFollow(production, film);
  const hearThere = () => {
    if (sound?.place) hearAround(film, frameOf(sound.place.landing, fps), fps);
  };
  useMixKeys({
    film,
    mix,
    fps,
    chosen: there,
    choose,
    hearThere,
    hearAlone: () => {
      if (sound?.place) hear(aloneUrl(production.id, film.revision, sound.id));
    },
    levels: () => setTab((now) => (now === "shelf" ? "levels" : "shelf")),
    actions,
  });

  return (
    <Box sx={{ height: "100%", display: "flex", flexDirection: "column" }}>
      <Box sx={{ flex: 1, minHeight: 0, display: "flex" }}>
        <Box sx={{ flex: 1, minWidth: 0, display: "flex", flexDirection: "column" }}>
          <MixHeader mix={mix} heard={heard} actions={actions} />
          <MixSheet
            production={production}
            film={film}
            mix={mix}
            heard={heard}
            chosen={there}
            onChoose={choose}
            lined={tab === "levels" ? lined : null}
            actions={actions}
          />
        </Box>
        <Box
          component="aside"
          sx={{
            width: 376,
            flex: "none",
            borderLeft: `1px solid ${ink.rule2}`,
            bgcolor: ink.paper,
            display: "flex",
            flexDirection: "column",
            minHeight: 0,
          }}
        >
          <MixTransport production={production} film={film} follow={follow} />
          <Box role="group" aria-label="Side" sx={{ display: "flex", px: 3, pt: 2, gap: 1 }}>
            {(["shelf", "levels"] as const).map((name) => (
              <Button
                key={name}
                size="small"
                aria-pressed={tab === name}
                onClick={() => setTab(name)}
                sx={{
                  border: 0,
                  borderRadius: 0,
                  borderBottom: `2px solid ${tab === name ? ink.thistle : "transparent"}`,
                  color: tab === name ? ink.thistleDeep : ink.ink2,
                }}
              >
                {name === "shelf" ? "Sounds" : "Levels"}
              </Button>
            ))}
          </Box>
          {tab === "levels" ? (
            <LevelsPanel
              production={production}
              film={film}
              mix={mix}
              heard={heard}
              lined={lined}
              onLine={setLined}
              actions={actions}
            />
          ) : (
            <>
              <WantedStrip mix={mix} at={wanted} onChoose={look} onLay={actions.propose} />
              <ShelfPanel
                production={production}
                film={film}
                search={search}
                onSearch={setSearch}
                picked={picked?.id ?? null}
                onPick={setPicked}
                onLay={lay}
              />
              {picked !== null && (
                <LayMore production={production} film={film} sound={picked} actions={actions} />
              )}
              {sound && (
                <SoundCard
                  production={production}
                  film={film}
                  sound={sound}
                  chosen={there}
                  actions={actions}
                  follow={follow}
                  onLike={(like) => setSearch({ words: "", kind: null, like })}
                />
              )}
            </>
          )}
        </Box>
      </Box>
      <MixFoot mix={mix} heard={heard} actions={actions} onChoose={(id) => choose(id, false)} />
    </Box>
  );
}
