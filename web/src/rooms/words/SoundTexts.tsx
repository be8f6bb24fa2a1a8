import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import OutlinedInput from "@mui/material/OutlinedInput";
import type { Production, Words } from "../../api/client";
import { clockTime } from "../../parts/time";
import { ink } from "../../theme";
import type { WordsActions } from "./useWordsActions";

interface Props {
  production: Production;
  words: Words;
  language: string;
  actions: WordsActions;
}

/** What captions say of the film's sounds, for those who do not hear; an empty one is not told. */
export function SoundTexts({ production, words, language, actions }: Props) {
  const { sounds } = words.captions;
  const all = (text: (name: string) => string) =>
    actions.sounds(language, Object.fromEntries(sounds.map((s) => [s.sound, text(s.name)])));
  return (
    <Box
      role="group"
      aria-label="Sounds in captions"
      sx={{ borderTop: `1px solid ${ink.rule2}`, bgcolor: ink.paper, px: 3, py: 2 }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 1, pb: 1 }}>
        <Box sx={{ flex: 1, color: ink.ink2 }}>What is heard beside the voice</Box>
        <Button size="small" onClick={() => all((name) => `[${name}]`)}>
          Tell all
        </Button>
        <Button size="small" onClick={() => all(() => "")}>
          None
        </Button>
      </Box>
      <Box sx={{ maxHeight: 190, overflow: "auto" }} tabIndex={0}>
        {sounds.map((s) => (
          <Box
            key={s.sound}
            sx={{
              display: "grid",
              gridTemplateColumns: "44px 1fr 120px",
              gap: 1,
              alignItems: "center",
            }}
          >
            <Box sx={{ color: ink.ink2, fontSize: 12 }}>
              {clockTime(s.frame / production.framesPerSecond)}
            </Box>
            <Box
              sx={{
                color: s.crowded ? ink.rust : ink.ink,
                whiteSpace: "nowrap",
                overflow: "hidden",
              }}
              title={s.crowded ? `${s.name}: there is no room for it` : s.name}
            >
              {s.crowded ? `no room: ${s.name}` : s.name}
            </Box>
            <OutlinedInput
              key={s.text}
              defaultValue={s.text}
              placeholder="not told"
              inputProps={{ "aria-label": `What is said of ${s.name}`, maxLength: 80 }}
              onBlur={(e) => {
                const text = e.target.value.trim();
                if (text !== s.text) actions.sounds(language, { [s.sound]: text });
              }}
              onKeyDown={(e) => {
                if (e.key === "Enter") (e.target as HTMLElement).blur();
              }}
              sx={{ height: 26, bgcolor: ink.sheet, "& input": { px: 1 } }}
            />
          </Box>
        ))}
        {sounds.length === 0 && (
          <Box sx={{ color: ink.ink2 }}>No sound is laid yet; lay them in Mix.</Box>
        )}
      </Box>
    </Box>
  );
}
