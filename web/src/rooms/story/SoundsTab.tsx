import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { Link } from "react-router";
import { useFilm } from "../../api/queries";
import { useMix } from "../../api/sounds";
import { KeptText } from "../../parts/KeptText";
import type { Lexicon, SoundIdea, WantedSound } from "../../api/client";
import { fraunces, ink } from "../../theme";
import type { StoryProps } from "./props";

/** How far a sound has come, and what is done next. */
const STATES: Record<WantedSound["state"], string> = {
  WANTED: "nothing on the shelf fits",
  FOUND: "on the shelf",
  PLACED: "laid in its shot",
};

const key = (shot: string | undefined, name: string) => `${shot}/${name}`;

/** The sounds the shots call for, what to search for, and how far each has come in Mix. */
export function SoundsTab({ production, story, change }: StoryProps) {
  const film = useFilm(production.id).data;
  const mix = useMix(production.id, film?.revision).data;
  const states = mix && new Map(mix.wanted.map((w) => [key(w.shot, w.name), w]));
  const put = (index: number, to: Partial<SoundIdea>) =>
    void change({
      method: "PUT",
      path: "sounds",
      values: { sounds: story.sounds.map((s, i) => (i === index ? { ...s, ...to } : s)) },
    });
  const count = (state: WantedSound["state"]) =>
    mix?.wanted.filter((s) => s.state === state).length ?? 0;
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
              <SoundState wanted={states?.get(key(shot?.number, s.name))} name={s.name} />
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
          <Button
            component={Link}
            to={`/productions/${production.id}/mix`}
            size="small"
            sx={{ ml: 2 }}
          >
            Lay them in Mix
          </Button>
        </Box>
        <Words story={story} change={change} />
      </Box>
    </Box>
  );
}

/** How far a sound has come, and where it is looked for. */
function SoundState({ wanted, name }: { wanted: WantedSound | undefined; name: string }) {
  const state = wanted?.state ?? "WANTED";
  return (
    <Box
      aria-label={`State of ${name}`}
      sx={{
        display: "flex",
        gap: 2,
        color: state === "PLACED" ? ink.moss : state === "WANTED" ? ink.rust : ink.ink,
      }}
    >
      {STATES[state]}
      {wanted && wanted.item == null && state !== "WANTED" && (
        <Box sx={{ color: ink.ink2 }}>its shot is not in the cut</Box>
      )}
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
