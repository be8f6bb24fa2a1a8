import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ButtonBase from "@mui/material/ButtonBase";
import OutlinedInput from "@mui/material/OutlinedInput";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { memo, useEffect, useRef, useState } from "react";
import { captionsUrl, type Film, type Production, type Words } from "../../api/client";
import { useBringCaptions } from "../../api/words";
import { plural } from "../../parts/words";
import { useRoom } from "../../store";
import { fraunces, ink } from "../../theme";
import { Choice } from "./Choice";
import { captionFaults } from "./titles";
import type { WordsActions } from "./useWordsActions";

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
        {captions.letters} letters a line, {plural(captions.lines, "line")}, at most{" "}
        {captions.mostPerSecond} letters a second
      </Box>
      <Box ref={list} sx={{ flex: 1, minHeight: 0, overflow: "auto" }} tabIndex={0} role="list">
        {captions.captions.map((one, i) => (
          <Row
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
      {writing !== null && <WriteLine key={writing} {...props} line={writing} />}
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

const Row = memo(function Row(props: {
  at: number;
  one: Words["captions"]["captions"][number];
  rules: Words["captions"];
  fps: number;
  chosen: boolean;
  onChoose: (at: number) => void;
  onWrite: (line: string | null) => void;
}) {
  const { at, one, rules, fps, chosen, onChoose, onWrite } = props;
  const faults = captionFaults(one, rules);
  const full = rules.mostPerSecond * 1.25;
  return (
    <ButtonBase
      role="listitem"
      aria-current={chosen || undefined}
      onClick={() => onChoose(at)}
      onDoubleClick={() => one.line !== "" && onWrite(one.line)}
      sx={{
        width: "100%",
        font: "inherit",
        display: "grid",
        gridTemplateColumns: "22px 1fr 64px",
        px: 3,
        py: 1.5,
        textAlign: "left",
        alignItems: "start",
        borderTop: `1px solid ${ink.rule}`,
        bgcolor: chosen ? ink.thistleWash : "transparent",
        contentVisibility: "auto",
        containIntrinsicSize: "auto 44px",
        "&:focus-visible": { outlineOffset: -2 },
      }}
    >
      <Box sx={{ ...fraunces, fontStyle: "italic", fontSize: 14, color: ink.thistleDeep }}>
        {at + 1}
      </Box>
      <Box sx={{ lineHeight: "17px" }}>
        {one.lines.map((line, i) => (
          // What does not fit here hangs, so that it is not taken for a line of its own.
          <Box key={i} sx={{ pl: 2, textIndent: "-8px" }}>
            {line}
          </Box>
        ))}
        {faults.map((fault) => (
          <Box key={fault} sx={{ color: ink.rust, fontSize: 12 }}>
            {fault}
          </Box>
        ))}
      </Box>
      <Box sx={{ fontSize: 12 }}>
        <Box sx={{ display: "flex" }}>
          <Box sx={{ flex: 1, fontWeight: 600, color: faults.length > 0 ? ink.rust : ink.ink }}>
            {one.perSecond.toFixed(1)}
          </Box>
          <Box sx={{ color: ink.ink2 }}>{((one.end - one.start) / fps).toFixed(1)} s</Box>
        </Box>
        <svg width={64} height={8} aria-hidden>
          <line x1={0} x2={64} y1={4} y2={4} stroke={ink.rule} strokeWidth={3} />
          <line
            x1={0}
            x2={Math.min(64, (one.perSecond / full) * 64)}
            y1={4}
            y2={4}
            stroke={one.perSecond > rules.mostPerSecond ? ink.rust : ink.moss}
            strokeWidth={3}
          />
          <line
            x1={(rules.mostPerSecond / full) * 64}
            x2={(rules.mostPerSecond / full) * 64}
            y1={0}
            y2={8}
            stroke={ink.ink2}
          />
        </svg>
      </Box>
    </ButtonBase>
  );
});

/** The text of a line, from which its captions are broken. */
function WriteLine({ words, language, line, onWrite, actions }: Props & { line: string }) {
  const said = words.captions.said.find((s) => s.line === line);
  const [text, setText] = useState(said?.text ?? "");
  if (!said) return null;
  const keep = () => {
    if (text.trim() !== said.text) actions.write(language, line, text.trim());
    onWrite(null);
  };
  return (
    <Box sx={{ px: 3, py: 2, borderTop: `1px solid ${ink.rule2}`, bgcolor: ink.paper }}>
      <Box sx={{ color: ink.ink2, fontSize: 12 }}>
        Line {said.number}
        {language !== "en" && `: ${said.read}`}
      </Box>
      <OutlinedInput
        fullWidth
        multiline
        autoFocus
        minRows={2}
        value={text}
        inputProps={{ "aria-label": `Text of line ${said.number}` }}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === "Enter" && !e.shiftKey) {
            e.preventDefault();
            keep();
          }
          if (e.key === "Escape") onWrite(null);
        }}
        sx={{ bgcolor: ink.sheet, my: 1, "& .MuiOutlinedInput-input": { px: 1 } }}
      />
      <Box sx={{ display: "flex", gap: 1 }}>
        <Button size="small" variant="contained" color="primary" onClick={keep}>
          Keep
        </Button>
        {said.other && (
          <Button
            size="small"
            onClick={() => {
              actions.write(language, line, null);
              onWrite(null);
            }}
          >
            {language === "en" ? "As it is read" : "Without a text"}
          </Button>
        )}
      </Box>
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

function AddLanguage({ onAdd }: { onAdd: (language: string, translated: boolean) => void }) {
  const [text, setText] = useState("");
  const fits = /^[a-z]{2,3}(-[A-Za-z0-9]{2,8}){0,3}$/.test(text.trim());
  return (
    <Box sx={{ px: 3, py: 1, display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
      <OutlinedInput
        autoFocus
        placeholder="de, fr, pt-BR"
        value={text}
        inputProps={{ "aria-label": "Language, as in BCP 47" }}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === "Enter" && fits) onAdd(text.trim(), false);
        }}
        sx={{ width: 96, height: 26 }}
      />
      {fits ? (
        <>
          <Button size="small" onClick={() => onAdd(text.trim(), false)}>
            By hand
          </Button>
          <Button
            size="small"
            title="A stand-in: a small dictionary of English and German, word for word"
            onClick={() => onAdd(text.trim(), true)}
          >
            Word for word
          </Button>
        </>
      ) : (
        <Box sx={{ color: ink.ink2, fontSize: 12 }}>two or three letters</Box>
      )}
    </Box>
  );
}

/** How captions look, where they are part of the picture, and what they leave as. */
function CaptionFoot(props: {
  production: Production;
  film: Film;
  words: Words;
  language: string;
  onLanguage: (to: string) => void;
  actions: WordsActions;
}) {
  const { production, film, words, language, onLanguage, actions } = props;
  const shape = useRoom((s) => s.shape);
  const bring = useBringCaptions(production.id);
  const { look } = words.captions;
  const own = film.shapes[0]?.name ?? "";
  const box = look.boxes.find((b) => b.shape === shape) ?? look.boxes[0];
  const lines = Math.min(production.width, production.height);
  const burnable = film.shapes.filter((s) => [own, "9:16", "1:1"].includes(s.name));
  return (
    <Box sx={{ px: 3, py: 2, borderTop: `1px solid ${ink.rule2}`, bgcolor: ink.paper }}>
      <Line name="Burned into">
        <ToggleButtonGroup
          size="small"
          value={look.burned}
          aria-label="Burned into"
          onChange={(_, burned: string[]) => actions.look({ language, burned })}
        >
          {burnable.map((s) => (
            <ToggleButton key={s.name} value={s.name}>
              {s.name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </Line>
      <Line name="As">
        <Choice
          label="How much at once"
          value={look.kind}
          of={[
            ["TWO_LINES", "two lines"],
            ["ONE_LINE", "one line"],
            ["FEW_WORDS", "a few words, spoken one marked"],
            ["ONE_WORD", "a word at a time"],
          ]}
          onChange={(kind) => actions.look({ language, kind })}
        />
      </Line>
      <Line name="Letters">
        <OutlinedInput
          key={look.lettering.size}
          defaultValue={Math.round((look.lettering.size * lines) / 1000)}
          inputProps={{ "aria-label": "Letters of captions, px", inputMode: "numeric" }}
          onBlur={(e) => {
            const px = Number(e.target.value);
            const size = Math.round((px * 1000) / lines);
            if (px > 0 && size !== look.lettering.size)
              actions.look({ language, lettering: { ...look.lettering, size } });
          }}
          onKeyDown={(e) => {
            if (e.key === "Enter") (e.target as HTMLElement).blur();
          }}
          sx={{ width: 50, height: 26 }}
        />
        <Box sx={{ color: ink.ink2 }}>px, plate</Box>
        <Choice
          label="Plate of captions"
          value={look.lettering.plate.kind}
          of={[
            ["NONE", "none"],
            ["LINES", "by lines"],
            ["BLOCK", "behind all"],
            ["BAND", "dark band"],
          ]}
          onChange={(kind) =>
            actions.look({
              language,
              lettering: {
                ...look.lettering,
                plate: {
                  ...look.lettering.plate,
                  kind,
                  opacity: look.lettering.plate.opacity || 60,
                },
              },
            })
          }
        />
      </Line>
      <Line name="Bottom at">
        <OutlinedInput
          key={`${box?.y} ${shape}`}
          defaultValue={(box?.y ?? 930) / 10}
          inputProps={{ "aria-label": "Bottom of captions, %", inputMode: "decimal" }}
          onBlur={(e) => {
            const y = Math.round(Number(e.target.value) * 10);
            if (box && Number.isFinite(y) && y !== box.y)
              actions.look({ language, box: { x: box.x, y, width: box.width }, shape });
          }}
          onKeyDown={(e) => {
            if (e.key === "Enter") (e.target as HTMLElement).blur();
          }}
          sx={{ width: 50, height: 26 }}
        />
        <Box sx={{ color: ink.ink2 }}>% of the height in {shape ?? own}</Box>
      </Line>
      <Box sx={{ display: "flex", gap: 1, pt: 1, flexWrap: "wrap", alignItems: "center" }}>
        {(["srt", "vtt", "ttml", "csv"] as const).map((form) => (
          <Button
            key={form}
            size="small"
            component="a"
            href={captionsUrl(production.id, form, language, shape)}
            download
            title={
              form === "csv"
                ? "A table to translate in and bring back"
                : `As a ${form.toUpperCase()} file`
            }
            sx={{ minWidth: 0, px: 1.5 }}
          >
            {form.toUpperCase()}
          </Button>
        ))}
        <Button size="small" component="label" sx={{ px: 1.5, whiteSpace: "nowrap" }}>
          Bring in
          <input
            type="file"
            hidden
            aria-label="Bring in captions"
            accept=".srt,.vtt,.csv"
            onChange={(e) => {
              const file = e.target.files?.[0];
              if (file) void bring(film.revision, language, file);
              e.target.value = "";
            }}
          />
        </Button>
        {language !== "en" && (
          <Button
            size="small"
            sx={{ px: 1.5 }}
            onClick={() =>
              void actions.languageOut(language).then((gone) => gone && onLanguage("en"))
            }
          >
            Take out
          </Button>
        )}
      </Box>
    </Box>
  );
}

function Line({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1, minHeight: 30 }}>
      <Box sx={{ width: 70, color: ink.ink2 }}>{name}</Box>
      {children}
    </Box>
  );
}
