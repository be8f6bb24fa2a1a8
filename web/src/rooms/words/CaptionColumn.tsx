import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useEffect, useRef, useState } from "react";
import type { Film, Production, Words } from "../../api/client";
import { PressButton } from "../../parts/PressButton";
import { plural } from "../../parts/words";
import { ink } from "../../theme";
import { AddLanguage } from "./AddLanguage";
import { CaptionFoot } from "./CaptionFoot";
import { CaptionLine } from "./CaptionLine";
import { CaptionRow } from "./CaptionRow";
import { SoundTexts } from "./SoundTexts";
import type { WordsActions } from "./useWordsActions";

/** Letters a second that anybody reads; words that flash by are seen, and have no such limit. */
const READ = 30;

interface Props {
  production: Production;
  film: Film;
  words: Words;
  language: string;
  onLanguage: (to: string) => void;
  caption: number | null;
  onCaption: (at: number) => void;
  /** The line whose text is being written, or null. */
  writing: string | null;
  onWrite: (line: string | null) => void;
  actions: WordsActions;
}

/** The captions in a language, each with how quickly it must be read. */
export function CaptionColumn(props: Props) {
  const { production, film, words, language, onLanguage, caption, writing, actions } = props;
  const { captions } = words;
  const [adding, setAdding] = useState(false);
  const [sounds, setSounds] = useState(false);
  const list = useRef<HTMLDivElement>(null);
  useEffect(() => {
    list.current?.children[caption ?? -1]?.scrollIntoView({ block: "nearest" });
  }, [caption]);
  return (
    <Box
      component="section"
      aria-label="Captions"
      sx={{
        width: 320,
        flex: "none",
        borderLeft: `1px solid ${ink.rule2}`,
        bgcolor: ink.sheet,
        display: "flex",
        flexDirection: "column",
        minHeight: 0,
      }}
    >
      <Box sx={{ display: "flex", alignItems: "center", px: 3, pt: 2, gap: 1, flexWrap: "wrap" }}>
        <Box component="h2" sx={{ typography: "h1", m: 0, flex: 1 }}>
          Captions
        </Box>
        <PressButton
          on={sounds}
          title="What is said of sounds, for those who do not hear"
          onPress={() => setSounds(!sounds)}
        >
          [sounds] {captions.sounds.filter((s) => s.text !== "").length}
        </PressButton>
        <ToggleButtonGroup
          size="small"
          exclusive
          value={language}
          aria-label="Language"
          onChange={(_, to: string | null) => to && onLanguage(to)}
        >
          {words.languages.map((l) => (
            <ToggleButton key={l.language} value={l.language}>
              {l.language} {l.captions}
              {l.faults > 0 && (
                <Box component="span" sx={{ color: ink.rust, ml: 0.5 }}>
                  · {l.faults}
                </Box>
              )}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <Button
          size="small"
          aria-label="Another language"
          title="Another language"
          onClick={() => setAdding(!adding)}
          sx={{ minWidth: 0, px: 1.5 }}
        >
          +
        </Button>
      </Box>
      {adding && (
        <AddLanguage
          onAdd={(to, translated) => {
            setAdding(false);
            void actions.language(to, translated).then((made) => made && onLanguage(to));
          }}
        />
      )}
      <Box sx={{ px: 3, pb: 1, color: ink.ink2, fontSize: 12 }}>
        {captions.letters} letters a line, {plural(captions.lines, "line")}
        {captions.mostPerSecond <= READ && `, at most ${captions.mostPerSecond} letters a second`}
      </Box>
      <Box ref={list} sx={{ flex: 1, minHeight: 0, overflow: "auto" }} tabIndex={0} role="list">
        {captions.captions.map((one, i) => (
          <CaptionRow
            key={`${one.line} ${one.start}`}
            at={i}
            one={one}
            rules={captions}
            fps={production.framesPerSecond}
            chosen={i === caption}
            onChoose={props.onCaption}
            onWrite={props.onWrite}
          />
        ))}
        {captions.captions.length === 0 && (
          <Box sx={{ px: 3, py: 2, color: ink.ink2 }}>
            {captions.said.length === 0
              ? "Nothing is read yet. Read the narration in Cues; captions come from it."
              : "No line has a text in this language. Bring in a table, or write below."}
          </Box>
        )}
      </Box>
      {writing !== null && <CaptionLine key={writing} {...props} line={writing} />}
      {sounds && (
        <SoundTexts production={production} words={words} language={language} actions={actions} />
      )}
      <Untold words={words} onWrite={props.onWrite} />
      <CaptionFoot
        production={production}
        film={film}
        words={words}
        language={language}
        onLanguage={onLanguage}
        actions={actions}
      />
    </Box>
  );
}

/** Lines that have no text in this language. */
function Untold({ words, onWrite }: { words: Words; onWrite: (line: string) => void }) {
  const untold = words.captions.own ? [] : words.captions.said.filter((s) => s.text === "");
  const first = untold[0];
  if (!first) return null;
  return (
    <Box
      sx={{
        px: 3,
        py: 1,
        borderTop: `1px solid ${ink.rule}`,
        color: ink.rust,
        display: "flex",
        alignItems: "center",
      }}
    >
      <Box sx={{ flex: 1 }}>{plural(untold.length, "line")} without a text</Box>
      <Button size="small" onClick={() => onWrite(first.line)}>
        Write line {first.number}
      </Button>
    </Box>
  );
}
