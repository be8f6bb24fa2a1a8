import Box from "@mui/material/Box";
import { useState } from "react";
import { inShape, titledUrl, type Film, type Production, type Words } from "../../api/client";
import { useFilm } from "../../api/queries";
import { useSights, useWords } from "../../api/words";
import { NoFilm } from "../../parts/NoFilm";
import { NotYet } from "../../parts/NotYet";
import { useRoomProduction } from "../../parts/useRoomProduction";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import { PlacePicker } from "../follow/PlacePicker";
import { useFollow } from "../follow/useFollow";
import { Monitor } from "../score/Monitor";
import { goTo } from "../score/playing";
import { watched } from "../score/shapes";
import { Beside, besideOf } from "./Beside";
import { CaptionColumn } from "./CaptionColumn";
import { DesignChoice } from "./DesignChoice";
import { TitleBlocks } from "./TitleBlocks";
import { TitleCard } from "./TitleCard";
import { TitleList } from "./TitleList";
import { WordsFoot } from "./WordsFoot";
import { WordsSheet } from "./WordsSheet";
import { WordsTransport } from "./WordsTransport";
import { useTitleDrafts } from "./useTitleDrafts";
import { useWordsActions } from "./useWordsActions";
import { useWordsKeys } from "./useWordsKeys";

/** The film's words: titles that land, captions from the voice. */
export function WordsRoom() {
  const production = useRoomProduction();
  const film = useFilm(production.id);
  const [language, setLanguage] = useState("en");
  const shape = useRoom((s) => s.shape);
  const words = useWords(production.id, film.data?.revision, language, shape);
  if (!film.data || !words.data) return <NotYet what="The film's lettering" of={[film, words]} />;
  if (film.data.shots.length === 0) {
    return <NoFilm production={production.id}>There is no film to write on yet.</NoFilm>;
  }
  return (
    <Writing
      production={production}
      film={film.data}
      words={words.data}
      language={language}
      onLanguage={setLanguage}
    />
  );
}

interface Props {
  production: Production;
  film: Film;
  words: Words;
  language: string;
  onLanguage: (to: string) => void;
}

function Writing({ production, film, words, language, onLanguage }: Props) {
  const actions = useWordsActions(production.id);
  const shape = useRoom((s) => s.shape);
  const frame = useRoom((s) => s.frame);
  const [chosen, setChosen] = useState<string | null>(null);
  // The titles there were before one was added, which is then the chosen one.
  const [before, setBefore] = useState<ReadonlySet<string> | null>(null);
  const [caption, setCaption] = useState<number | null>(null);
  const [writing, setWriting] = useState<string | null>(null);
  const [choosing, setChoosing] = useState(false);
  const [shown, setShown] = useState({ safe: true, blocks: true, beside: false });
  const sights = useSights(production.id, words.revision, words.titles, shape);
  const title = words.titles.find((t) =>
    chosen === null ? before !== null && !before.has(t.id) : t.id === chosen,
  );
  const drafts = useTitleDrafts(title, words.revision, actions.change);
  const follow = useFollow(production, film);
  const seen = watched(film, production, shape);
  const beside = besideOf(film, seen);

  const choose = (id: string | null) => {
    setChosen(id);
    setBefore(null);
    drafts.giveUp();
    const one = words.titles.find((t) => t.id === id);
    if (one?.place && (frame < one.place.start || frame >= one.place.end)) {
      goTo(film, Math.min(film.length - 1, one.place.landing));
    }
  };
  const lookAt = (at: number) => {
    setCaption(at);
    const one = words.captions.captions[at];
    if (one) goTo(film, one.start);
  };
  useWordsKeys({
    film,
    words,
    sights,
    title,
    caption,
    choose,
    lookAt,
    write: () => {
      const line = caption === null ? "" : (words.captions.captions[caption]?.line ?? "");
      if (line !== "") setWriting(line);
    },
    add: () => setChoosing(true),
    actions,
  });
  const tried =
    title && drafts.draft
      ? titledUrl(production.id, inShape(film.revision, shape), frame, {
          id: title.id,
          ...drafts.draft,
        })
      : null;

  return (
    <Box sx={{ height: "100%", display: "flex", flexDirection: "column" }}>
      <Box sx={{ flex: 1, minHeight: 0, display: "flex" }}>
        <Box sx={{ flex: 1, minWidth: 0, display: "flex", flexDirection: "column" }}>
          <Box sx={{ display: "flex", flex: "none", bgcolor: ink.well }}>
            <Box sx={{ flex: `${seen.width / seen.height} 1 0`, minWidth: 0 }}>
              <Monitor production={production} film={film} instead={tried}>
                {follow.picking === null ? (
                  <TitleBlocks
                    words={words}
                    sights={sights}
                    chosen={title}
                    draft={drafts.draft}
                    shown={shown}
                    onChoose={choose}
                    onTry={drafts.attempt}
                    onGiveUp={drafts.giveUp}
                    onKeep={drafts.keep}
                  />
                ) : (
                  <PlacePicker onPick={follow.pick} onGiveUp={follow.giveUp} />
                )}
              </Monitor>
            </Box>
            {shown.beside && beside && (
              <Beside
                production={production}
                film={film}
                shape={beside}
                title={title}
                draft={drafts.draft}
              />
            )}
          </Box>
          <WordsTransport
            production={production}
            film={film}
            shown={shown}
            safe={words.safe}
            onShown={setShown}
            onSafe={actions.safe}
          />
          <WordsSheet
            production={production}
            film={film}
            words={words}
            chosen={title?.id ?? null}
            caption={caption}
            onTitle={choose}
            onCaption={lookAt}
            actions={actions}
          />
        </Box>
        <CaptionColumn
          production={production}
          film={film}
          words={words}
          language={language}
          onLanguage={onLanguage}
          caption={caption}
          onCaption={lookAt}
          writing={writing}
          onWrite={setWriting}
          actions={actions}
        />
        <Box
          component="aside"
          sx={{
            width: 288,
            flex: "none",
            borderLeft: `1px solid ${ink.rule2}`,
            bgcolor: ink.paper,
            display: "flex",
            flexDirection: "column",
            minHeight: 0,
          }}
        >
          {choosing ? (
            <DesignChoice
              production={production}
              film={film}
              onClose={() => setChoosing(false)}
              onTake={(design, text, at) => {
                setChoosing(false);
                setChosen(null);
                setBefore(new Set(words.titles.map((t) => t.id)));
                void actions.add(design, text, at);
              }}
            />
          ) : (
            <>
              <TitleList
                production={production}
                words={words}
                sights={sights}
                chosen={title?.id ?? null}
                onChoose={choose}
                onAdd={() => setChoosing(true)}
              />
              {drafts.title && (
                <TitleCard
                  key={drafts.title.id}
                  production={production}
                  film={film}
                  title={drafts.title}
                  sight={sights.get(drafts.title.id)}
                  actions={actions}
                  follow={follow}
                  onTry={drafts.attempt}
                  onKeep={drafts.keep}
                />
              )}
            </>
          )}
        </Box>
      </Box>
      <WordsFoot words={words} sights={sights} onTitle={choose} onCaption={lookAt} />
    </Box>
  );
}
