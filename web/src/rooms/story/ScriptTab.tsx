import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Select from "@mui/material/Select";
import { useEffect, useRef, useState } from "react";
import type { Story } from "../../api/client";
import { NumberField } from "../../parts/NumberField";
import { useNotice } from "../../parts/notice";
import { face, fraunces, ink } from "../../theme";
import { BriefPanel } from "./BriefPanel";
import { seconds, type StoryProps } from "./props";

const FORMATS = { PLAIN: "plain text", MARKDOWN: "Markdown", FOUNTAIN: "Fountain", CSV: "CSV" };
const SAVE_AFTER = 450;

/** The script as text, and beside it what was understood of it, line by line with its seconds. */
export function ScriptTab({ production, story, change }: StoryProps) {
  const [text, setText] = useState(story.text);
  const [briefOpen, setBriefOpen] = useState(story.text.trim() === "");
  const area = useRef<HTMLTextAreaElement>(null);
  const file = useRef<HTMLInputElement>(null);
  const tell = useNotice((s) => s.tell);
  const saved = useRef(story.text);

  // What changed elsewhere (undo, a cut, a draft) is shown; what is being typed is not lost.
  useEffect(() => {
    if (story.text !== saved.current) {
      saved.current = story.text;
      setText(story.text);
    }
  }, [story.text]);

  const write = (to: string, format: Story["format"] | null, fileName: string) => {
    saved.current = to;
    return change({ method: "PUT", path: "script", values: { text: to, format, fileName } });
  };

  useEffect(() => {
    if (text === saved.current) return;
    const format = saved.current.trim() === "" ? null : story.format;
    const timer = setTimeout(() => void write(text, format, ""), SAVE_AFTER);
    return () => clearTimeout(timer);
  });

  // What was typed last is kept also when the room is left before its time.
  const leave = useRef(() => {});
  useEffect(() => {
    leave.current = () => {
      const format = saved.current.trim() === "" ? null : story.format;
      if (text !== saved.current) void write(text, format, "");
    };
  });
  useEffect(() => () => leave.current(), []);

  const open = async (chosen: File | undefined) => {
    if (!chosen) return;
    const content = await chosen.text();
    if (content.includes("\u0000")) {
      tell(`${chosen.name} is not a text file; open .txt, .md, .fountain or .csv.`, "wrong");
      return;
    }
    setText(content);
    await write(content, null, chosen.name);
  };

  const goTo = (line: number) => {
    const box = area.current;
    if (!box) return;
    const at =
      text
        .split("\n")
        .slice(0, line - 1)
        .join("\n").length + (line > 1 ? 1 : 0);
    box.focus();
    box.setSelectionRange(at, at);
    box.scrollTop = Math.max(0, (line - 6) * 22);
  };

  return (
    <Box sx={{ height: "100%", display: "flex" }}>
      <Box sx={{ flex: 1, minWidth: 0, display: "flex", flexDirection: "column" }}>
        <Box sx={{ px: 4, py: 2, display: "flex", gap: 2, alignItems: "center" }}>
          <Button onClick={() => setBriefOpen(!briefOpen)} aria-expanded={briefOpen}>
            Brief and drafts
          </Button>
          <Button onClick={() => file.current?.click()}>Open a script</Button>
          <input
            ref={file}
            type="file"
            hidden
            data-testid="open-script"
            accept=".txt,.md,.markdown,.fountain,.csv,.tsv,text/*"
            onChange={(e) => {
              void open(e.currentTarget.files?.[0]);
              e.currentTarget.value = "";
            }}
          />
          <Box sx={{ flex: 1 }} />
          <Box sx={{ color: ink.ink2 }}>read as</Box>
          <Select
            value={story.format}
            inputProps={{ "aria-label": "How the script is written" }}
            onChange={(e) => void write(text, e.target.value as Story["format"], "")}
          >
            {Object.entries(FORMATS).map(([value, name]) => (
              <MenuItem key={value} value={value}>
                {name}
              </MenuItem>
            ))}
          </Select>
        </Box>
        {briefOpen && <BriefPanel production={production} story={story} change={change} />}
        <Box
          component="textarea"
          ref={area}
          aria-label="Script"
          spellCheck
          value={text}
          placeholder={
            "Write or paste the script here.\n\n## The jetty\n- A lantern swings over black water.\nNarrator: The water came at night."
          }
          onChange={(e: React.ChangeEvent<HTMLTextAreaElement>) => setText(e.target.value)}
          sx={{
            flex: 1,
            minHeight: 0,
            resize: "none",
            border: 0,
            borderTop: `1px solid ${ink.rule}`,
            px: 8,
            py: 5,
            fontFamily: face.sans,
            fontSize: 15,
            lineHeight: "22px",
            color: ink.ink,
            bgcolor: ink.sheet,
            "&:focus-visible": { outlineOffset: -3 },
          }}
        />
      </Box>
      <Box
        sx={{
          width: 470,
          flex: "none",
          borderLeft: `1px solid ${ink.rule2}`,
          bgcolor: ink.paper,
          overflow: "auto",
        }}
      >
        <DeliveryBox story={story} change={change} />
        <Cuts story={story} change={change} />
        <Box component="ol" aria-label="Read as" sx={{ m: 0, p: 0, listStyle: "none", pb: 6 }}>
          {story.elements.map((e, i) => {
            const line = story.lines.find((l) => l.sourceLine === e.line && l.text === e.text);
            return (
              <Box
                component="li"
                key={i}
                onClick={() => goTo(e.line)}
                sx={{
                  px: 4,
                  py: e.kind === "SCENE" ? 2 : 1,
                  mt: e.kind === "SCENE" ? 2 : 0,
                  display: "flex",
                  gap: 3,
                  cursor: "text",
                  borderTop: e.kind === "SCENE" ? `1px solid ${ink.rule}` : 0,
                  "&:hover": { bgcolor: ink.band },
                }}
              >
                <Box sx={{ width: 62, flex: "none", typography: "body2", color: ink.ink3 }}>
                  {line ? line.speaker : e.kind.toLowerCase()}
                </Box>
                <Box
                  sx={{
                    flex: 1,
                    minWidth: 0,
                    ...(e.kind === "SCENE" && { ...fraunces, fontStyle: "italic", fontSize: 15 }),
                    ...(e.kind === "NOTE" && { color: ink.ink3 }),
                    ...(line && { color: ink.thistleDeep }),
                  }}
                >
                  {e.text}
                </Box>
                <Box sx={{ width: 86, flex: "none", textAlign: "right", color: ink.ink2 }}>
                  {line && `${line.words} w, ${seconds(line.seconds)}`}
                </Box>
              </Box>
            );
          })}
        </Box>
      </Box>
    </Box>
  );
}

function DeliveryBox({ story, change }: Omit<StoryProps, "production">) {
  const set = (wordsPerMinute: number, gap: number) =>
    void change({
      method: "PUT",
      path: "delivery",
      values: { delivery: { wordsPerMinute, gap } },
    });
  const { wordsPerMinute, gap } = story.delivery;
  const like = story.usual.find((u) => wordsPerMinute >= u.slow && wordsPerMinute <= u.fast);
  return (
    <Box sx={{ px: 4, py: 3, borderBottom: `1px solid ${ink.rule}` }}>
      <Box sx={{ display: "flex", gap: 4, alignItems: "center", flexWrap: "wrap" }}>
        <NumberField
          label="read at"
          unit="words/min"
          digits={0}
          value={wordsPerMinute}
          onChange={(to) => set(to, gap)}
        />
        <NumberField
          label="gap"
          unit="s"
          digits={1}
          value={gap}
          hint="between one line and the next"
          onChange={(to) => set(wordsPerMinute, to)}
        />
        <Select
          value={like?.name ?? ""}
          displayEmpty
          inputProps={{ "aria-label": "Usual ways of reading" }}
          onChange={(e) => {
            const usual = story.usual.find((u) => u.name === e.target.value);
            if (usual) set((usual.slow + usual.fast) / 2, gap);
          }}
        >
          {!like && <MenuItem value="">own pace</MenuItem>}
          {story.usual.map((u) => (
            <MenuItem key={u.name} value={u.name}>
              {u.name}, {u.slow}–{u.fast}
            </MenuItem>
          ))}
        </Select>
      </Box>
      <Box sx={{ mt: 2, color: ink.ink2 }}>
        {story.words} words in {story.lines.length} lines: {seconds(story.spokenSeconds)}, of them{" "}
        {seconds(Math.max(0, story.lines.length - 1) * gap)} between lines.
      </Box>
    </Box>
  );
}

function Cuts({ story, change }: Omit<StoryProps, "production">) {
  const over = story.spokenSeconds - story.targetSeconds;
  if (over <= 0) return null;
  const saved = story.cuts.reduce((n, c) => n + c.seconds, 0);
  return (
    <Box sx={{ px: 4, py: 3, borderBottom: `1px solid ${ink.rule}` }} data-testid="cuts">
      <Box sx={{ color: ink.rust, mb: 1 }}>
        {seconds(over)} too long. These {story.cuts.length} cuts save {seconds(saved)} and lose the
        least:
      </Box>
      {story.cuts.map((c) => (
        <Box
          key={`${c.line}-${c.text}`}
          sx={{ display: "flex", gap: 2, py: 1, alignItems: "start" }}
        >
          <Box sx={{ flex: 1 }}>
            <Box component="span" sx={{ color: ink.ink3 }}>
              line {c.line}{" "}
            </Box>
            <Box component="s" sx={{ color: ink.rust }}>
              {c.text}
            </Box>
          </Box>
          <Button
            onClick={() =>
              void change({ method: "POST", path: "cut", values: { line: c.line, text: c.text } })
            }
          >
            Cut, −{seconds(c.seconds)}
          </Button>
        </Box>
      ))}
    </Box>
  );
}
