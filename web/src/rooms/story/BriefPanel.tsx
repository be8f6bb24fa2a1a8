import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import OutlinedInput from "@mui/material/OutlinedInput";
import Select from "@mui/material/Select";
import { useState } from "react";
import type { Brief } from "../../api/client";
import { useDrafts } from "../../api/story";
import { KeptText } from "../../parts/KeptText";
import { Labelled } from "../../parts/Labelled";
import { useNotice } from "../../parts/notice";
import { fraunces, ink } from "../../theme";
import { seconds, type StoryProps } from "./props";

const FORMS: [Brief["form"], string][] = [
  ["TRAILER", "trailer"],
  ["SHORT_FILM", "short film"],
  ["MUSIC_VIDEO", "music video"],
  ["PROMO", "promo"],
  ["DOCUMENTARY_INSERT", "documentary insert"],
  ["VERSE", "verse"],
];

/** What the film is to be; a request for a writing service, its answer, and the stand-in's drafts. */
export function BriefPanel({ production, story, change }: StoryProps) {
  const [seed, setSeed] = useState<number | null>(null);
  const [answer, setAnswer] = useState<string | null>(null);
  const tell = useNotice((s) => s.tell);
  const drafts = useDrafts(production.id, seed, story.revision).data;
  const set = (to: Partial<Brief>) =>
    void change({ method: "PUT", path: "brief", values: { brief: { ...story.brief, ...to } } });
  const copy = async () => {
    await navigator.clipboard.writeText(story.request);
    tell("The request is copied; paste it into any writing service.");
  };
  const use = async (text: string) => {
    const before = story.text.trim();
    await change({
      method: "PUT",
      path: "script",
      values: { text, format: "MARKDOWN", fileName: "a draft" },
    });
    if (before !== "") tell("The draft is the script now; Undo brings the old one back.");
  };
  const append = (part: string) =>
    void change({
      method: "PUT",
      path: "script",
      values: {
        text: `${story.text.trimEnd()}${story.text.trim() ? "\n\n" : ""}${part}\n`,
        format: story.format,
        fileName: "a passage",
      },
    });
  return (
    <Box
      sx={{
        px: 4,
        py: 3,
        borderTop: `1px solid ${ink.rule}`,
        bgcolor: ink.paper,
        maxHeight: 400,
        overflow: "auto",
        flex: "none",
      }}
    >
      <Box sx={{ display: "grid", gridTemplateColumns: "150px 1fr 1fr", gap: 2 }}>
        <Labelled label="Form of film">
          <Select
            fullWidth
            value={story.brief.form}
            inputProps={{ "aria-label": "Form of film" }}
            onChange={(e) => set({ form: e.target.value })}
          >
            {FORMS.map(([value, name]) => (
              <MenuItem key={value} value={value}>
                {name}
              </MenuItem>
            ))}
          </Select>
        </Labelled>
        <KeptText
          label="Subject"
          value={story.brief.subject}
          onChange={(subject) => set({ subject })}
        />
        <KeptText
          label="Audience"
          value={story.brief.audience}
          onChange={(audience) => set({ audience })}
        />
        <KeptText
          label="Length, s"
          value={String(story.brief.seconds)}
          onChange={(to) => set({ seconds: Number(to) || story.brief.seconds })}
        />
        <KeptText
          label="Rules of tone"
          value={story.brief.tone}
          onChange={(tone) => set({ tone })}
        />
        <KeptText
          label="Structure"
          value={story.brief.structure}
          onChange={(structure) => set({ structure })}
        />
      </Box>
      <Box sx={{ display: "flex", gap: 2, mt: 3, flexWrap: "wrap" }}>
        <Button
          variant="contained"
          color="primary"
          onClick={() => setSeed(seed === null ? 1 : seed + 1)}
        >
          {seed === null ? "Three drafts from the stand-in writer" : "Ask the stand-in again"}
        </Button>
        <Button onClick={() => void copy()}>Copy the request for a writing service</Button>
        <Button onClick={() => setAnswer(answer === null ? "" : null)}>Read an answer back</Button>
      </Box>
      {answer !== null && (
        <Box sx={{ mt: 3 }}>
          <OutlinedInput
            multiline
            minRows={3}
            maxRows={8}
            fullWidth
            autoFocus
            value={answer}
            placeholder="Paste the whole answer."
            inputProps={{ "aria-label": "Answer of a writing service" }}
            onChange={(e) => setAnswer(e.target.value)}
          />
          {answer.trim() !== "" && (
            <Button
              sx={{ mt: 2 }}
              onClick={() =>
                void change({ method: "POST", path: "answer", values: { answer } }).then(
                  () => setAnswer(null),
                  () => undefined,
                )
              }
            >
              Make it the script
            </Button>
          )}
        </Box>
      )}
      {drafts && (
        <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr 1fr", gap: 4, mt: 4 }}>
          {drafts.map((d) => (
            <Box
              key={d.title}
              component="article"
              aria-label={d.title}
              sx={{ borderTop: `2px solid ${ink.rule2}`, pt: 2, minWidth: 0 }}
            >
              <Box sx={{ ...fraunces, fontSize: 15, fontStyle: "italic" }}>{d.title}</Box>
              <Box sx={{ typography: "body2", color: ink.ink2, mb: 1 }}>
                stand-in; {d.words} words, {seconds(d.seconds)}
              </Box>
              <Button onClick={() => void use(d.text)}>Use this draft</Button>
              <Box sx={{ mt: 2, maxHeight: 150, overflow: "auto" }}>
                {d.text
                  .split("\n")
                  .filter((l) => l.trim() !== "")
                  .map((l, i) => (
                    <Box
                      key={i}
                      component="button"
                      title="Put this passage at the end of the script"
                      onClick={() => append(l)}
                      sx={{
                        display: "block",
                        p: 0,
                        border: 0,
                        bgcolor: "transparent",
                        font: "inherit",
                        color: l.startsWith("Narrator") ? ink.thistleDeep : ink.ink,
                        textAlign: "left",
                        cursor: "copy",
                        mb: "3px",
                        "&:hover": { bgcolor: ink.thistleWash },
                      }}
                    >
                      {l}
                    </Box>
                  ))}
              </Box>
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}
