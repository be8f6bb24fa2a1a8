import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useState } from "react";
import { KeptText } from "../../parts/KeptText";
import type { Lexicon, SoundIdea } from "../../api/client";
import { fraunces, ink } from "../../theme";
import type { StoryProps } from "./props";

const STATES = ["WANTED", "FOUND", "PLACED"] as const;

/** The sounds the shots call for, what to search for, and how far each has come. */
export function SoundsTab({ story, change }: StoryProps) {
  const put = (index: number, to: Partial<SoundIdea>) =>
    void change({
      method: "PUT",
      path: "sounds",
      values: { sounds: story.sounds.map((s, i) => (i === index ? { ...s, ...to } : s)) },
    });
  const count = (state: string) => story.sounds.filter((s) => s.state === state).length;
  return (
    <Box sx={{ height: "100%", display: "flex" }}>
      <Box sx={{ flex: 1, overflow: "auto" }} data-testid="sounds">
        {story.sounds.length === 0 && (
          <Box sx={{ p: 20, ...fraunces, fontSize: 22 }}>
            No sounds yet. They are proposed from the shots’ words; a shot’s own ideas come here
            too.
          </Box>
        )}
        {story.sounds.map((s, i) => {
          const shot = story.shots.find((x) => x.id === s.shot);
          const first = story.sounds[i - 1]?.shot !== s.shot;
          return (
            <Box
              key={`${s.shot}-${s.name}`}
              component="section"
              aria-label={`${s.name}, shot ${shot?.number}`}
              sx={{
                display: "grid",
                gridTemplateColumns: "50px 1fr 150px 250px 230px",
                gap: 3,
                px: 4,
                py: "4px",
                alignItems: "center",
                borderTop: first ? `1px solid ${ink.rule}` : 0,
              }}
            >
              <Box sx={{ ...fraunces, fontSize: 17 }}>{first && shot?.number}</Box>
              <Box
                sx={{
                  color: ink.ink2,
                  overflow: "hidden",
                  textOverflow: "ellipsis",
                  whiteSpace: "nowrap",
                }}
              >
                {first && shot?.seen}
              </Box>
              <Box sx={{ color: ink.moss, fontWeight: 600 }}>{s.name}</Box>
              <KeptText
                hideLabel
                label={`Search words for ${s.name}`}
                value={s.search}
                onChange={(search) => put(i, { search })}
              />
              <ToggleButtonGroup
                exclusive
                aria-label={`State of ${s.name}`}
                value={s.state}
                onChange={(_, to: SoundIdea["state"] | null) => to && put(i, { state: to })}
              >
                {STATES.map((state) => (
                  <ToggleButton key={state} value={state}>
                    {state.toLowerCase()}
                  </ToggleButton>
                ))}
              </ToggleButtonGroup>
            </Box>
          );
        })}
      </Box>
      <Box
        sx={{
          width: 300,
          flex: "none",
          borderLeft: `1px solid ${ink.rule2}`,
          bgcolor: ink.paper,
          p: 4,
          overflow: "auto",
        }}
      >
        <Box sx={{ mb: 3 }}>
          {count("WANTED")} wanted, {count("FOUND")} found, {count("PLACED")} placed
        </Box>
        <Words story={story} change={change} />
      </Box>
    </Box>
  );
}

/** The words that call for sounds; a new one counts for shots proposed after it. */
function Words({ story, change }: Omit<StoryProps, "production">) {
  const [word, setWord] = useState("");
  const [name, setName] = useState("");
  const set = (sounds: Lexicon) =>
    void change({ method: "PUT", path: "lexicon", values: { sounds } });
  const entries = Object.entries(story.lexicon);
  return (
    <Box>
      <Box component="h2" sx={{ typography: "h2", m: 0, mb: 2 }}>
        Words that call for sounds
      </Box>
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr auto", gap: 1, mb: 2 }}>
        <KeptText hideLabel label="Word" placeholder="word" value={word} onChange={setWord} />
        <KeptText hideLabel label="Sound" placeholder="sound" value={name} onChange={setName} />
        <Button
          onClick={() => {
            if (word.trim() === "" || name.trim() === "") return;
            set({
              ...story.lexicon,
              [word.trim().toLowerCase()]: { name: name.trim(), search: name.trim() },
            });
            setWord("");
            setName("");
          }}
        >
          Add
        </Button>
      </Box>
      {entries.map(([key, sound]) => (
        <Box key={key} sx={{ display: "flex", gap: 2, alignItems: "center", minHeight: 24 }}>
          <Box sx={{ width: 80 }}>{key}</Box>
          <Box sx={{ flex: 1, color: ink.moss }}>{sound.name}</Box>
          <Button
            size="small"
            aria-label={`Remove ${key}`}
            sx={{ minHeight: 20, border: 0, py: 0, color: ink.ink3 }}
            onClick={() => set(Object.fromEntries(entries.filter(([k]) => k !== key)))}
          >
            remove
          </Button>
        </Box>
      ))}
    </Box>
  );
}
