import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import MenuItem from "@mui/material/MenuItem";
import OutlinedInput from "@mui/material/OutlinedInput";
import Select from "@mui/material/Select";
import { useState } from "react";
import { api, type Production, type SongWish } from "../../api/client";
import { useChange } from "../../api/queries";
import { NumberField } from "../../parts/NumberField";
import { ink } from "../../theme";

interface Props {
  production: Production;
  onClose: () => void;
}

const MOODS = { DARK: "dark", WARM: "warm", BRIGHT: "bright" };

/** The band plays so many songs at a time at most. */
const MOST = 4;

/** What is asked of the house band, which answers with as many songs as are asked for. */
export function BandPanel({ production, onClose }: Props) {
  const [wish, setWish] = useState<SongWish>({
    style: "drums",
    mood: "WARM",
    bpm: 96,
    seconds: Math.round(production.targetSeconds),
    voice: false,
    songs: 2,
  });
  const ask = useChange<SongWish>(production.id, (body) =>
    api.POST("/api/productions/{productionId}/band", {
      params: { path: { productionId: production.id } },
      body,
    }),
  );
  const set = (part: Partial<SongWish>) => setWish((w) => ({ ...w, ...part }));
  return (
    <Box
      component="form"
      aria-label="house band"
      onSubmit={(e) => {
        e.preventDefault();
        ask.mutate(wish, { onSuccess: onClose });
      }}
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 3,
        border: `1px solid ${ink.rule2}`,
        borderRadius: 1,
        bgcolor: ink.paper,
        p: 3,
        mb: 2,
      }}
    >
      <OutlinedInput
        value={wish.style}
        placeholder="style: drums, waltz, slow reeds"
        inputProps={{ "aria-label": "style", maxLength: 120 }}
        onChange={(e) => set({ style: e.target.value })}
        sx={{ width: 190 }}
      />
      <Select
        value={wish.mood}
        inputProps={{ "aria-label": "mood" }}
        onChange={(e) => set({ mood: e.target.value as SongWish["mood"] })}
      >
        {Object.entries(MOODS).map(([value, text]) => (
          <MenuItem key={value} value={value}>
            {text}
          </MenuItem>
        ))}
      </Select>
      <NumberField
        label="at"
        unit="BPM"
        digits={0}
        value={wish.bpm}
        onChange={(bpm) => set({ bpm })}
      />
      <NumberField
        label="for"
        unit="s"
        digits={0}
        value={wish.seconds}
        onChange={(seconds) => set({ seconds })}
      />
      <NumberField
        label="songs"
        unit=""
        digits={0}
        value={wish.songs}
        onChange={(songs) => set({ songs: Math.max(1, Math.min(MOST, Math.round(songs))) })}
      />
      <FormControlLabel
        label="somebody hums"
        control={
          <Checkbox
            size="small"
            checked={wish.voice}
            onChange={(e) => set({ voice: e.target.checked })}
          />
        }
      />
      <Box sx={{ color: ink.ink2 }} aria-live="polite">
        {ask.isPending && "The band plays …"}
      </Box>
      <Box sx={{ flex: 1 }} />
      <Button onClick={onClose}>Close</Button>
      <Button type="submit" variant="contained" color="primary" disabled={ask.isPending}>
        Ask the house band
      </Button>
    </Box>
  );
}
