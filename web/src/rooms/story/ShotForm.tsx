import Autocomplete from "@mui/material/Autocomplete";
import Box from "@mui/material/Box";
import MenuItem from "@mui/material/MenuItem";
import Select from "@mui/material/Select";
import TextField from "@mui/material/TextField";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import type { ShotFields, StoryShot } from "../../api/client";
import { KeptText } from "../../parts/KeptText";
import { Labelled } from "../../parts/Labelled";
import { NumberField } from "../../parts/NumberField";
import { AS_THEY_ARE, MOVES, type StoryProps } from "./props";

/** The fields of one shot, or of several: then a field shows what they share, and sets it for all. */
export function ShotForm({ story, change, ids }: StoryProps & { ids: readonly number[] }) {
  const shots = story.shots.filter((s) => ids.includes(s.id));
  const set = (fields: Partial<ShotFields>) =>
    void change({
      method: "POST",
      path: "shots/change",
      values: { ids: [...ids], fields: { ...AS_THEY_ARE, ...fields } },
    });
  const shared = <K extends keyof StoryShot>(key: K): StoryShot[K] | undefined => {
    const first = shots[0]?.[key];
    return shots.every((s) => JSON.stringify(s[key]) === JSON.stringify(first)) ? first : undefined;
  };
  const many = shots.length > 1;
  const text = (key: "seen" | "where" | "action" | "mood" | "lettering", label: string) => (
    <KeptText
      label={label}
      value={shared(key) ?? ""}
      placeholder={many && shared(key) === undefined ? "several" : ""}
      onChange={(to) => set({ [key]: to })}
    />
  );
  const list = (key: "who" | "sounds", label: string, options: readonly string[]) => (
    <Labelled label={label}>
      <Autocomplete
        multiple
        freeSolo
        size="small"
        options={options as string[]}
        value={[...(shared(key) ?? [])]}
        onChange={(_, to) => set({ [key]: to })}
        renderInput={(params) => (
          <TextField
            {...params}
            placeholder={many && shared(key) === undefined ? "several" : ""}
            aria-label={label}
          />
        )}
      />
    </Labelled>
  );
  return (
    <Box sx={{ p: 4, display: "grid", gap: 3 }}>
      {text("seen", "What is seen")}
      {text("action", "Action")}
      {list(
        "who",
        "Who",
        story.sheets.people.map((p) => p.name),
      )}
      {text("where", "Where")}
      <Labelled label="Camera">
        <Box sx={{ display: "flex", gap: 2 }}>
          <Select
            value={shared("move") ?? ""}
            displayEmpty
            inputProps={{ "aria-label": "Camera move" }}
            onChange={(e) => set({ move: e.target.value as StoryShot["move"] })}
          >
            {shared("move") === undefined && <MenuItem value="">several</MenuItem>}
            {MOVES.map(([value, name]) => (
              <MenuItem key={value} value={value}>
                {name}
              </MenuItem>
            ))}
          </Select>
          <ToggleButtonGroup
            exclusive
            aria-label="Strength of the move"
            value={shared("strength") ?? null}
            onChange={(_, to: number | null) => to && set({ strength: to })}
          >
            <ToggleButton value={1}>a little</ToggleButton>
            <ToggleButton value={2}>usual</ToggleButton>
            <ToggleButton value={3}>far</ToggleButton>
          </ToggleButtonGroup>
        </Box>
      </Labelled>
      <NumberField
        label="wanted length"
        unit="s"
        digits={1}
        value={shared("seconds") ?? shots[0]?.seconds ?? 3}
        onChange={(to) => set({ seconds: to })}
      />
      {text("mood", "Mood")}
      {text("lettering", "Lettering seen")}
      {list("sounds", "Sound ideas", [...new Set(Object.values(story.lexicon).map((s) => s.name))])}
      <Labelled label="Line">
        <Select
          fullWidth
          value={shared("line") ?? ""}
          displayEmpty
          inputProps={{ "aria-label": "Line it belongs to" }}
          onChange={(e) => set({ line: Number(e.target.value) })}
        >
          {shared("line") === undefined && <MenuItem value="">several</MenuItem>}
          <MenuItem value={0}>no voice</MenuItem>
          {story.lines.map((l) => (
            <MenuItem key={l.number} value={l.number} sx={{ maxWidth: 420 }}>
              <Box sx={{ overflow: "hidden", textOverflow: "ellipsis" }}>
                {l.number}. {l.text}
              </Box>
            </MenuItem>
          ))}
        </Select>
      </Labelled>
    </Box>
  );
}
