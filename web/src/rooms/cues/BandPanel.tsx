import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import MenuItem from "@mui/material/MenuItem";
import OutlinedInput from "@mui/material/OutlinedInput";
import Select from "@mui/material/Select";
import { useState } from "react";
import { under, type Production } from "../../api/client";
import { useChange } from "../../api/queries";
import { NumberField } from "../../parts/NumberField";
import { ink } from "../../theme";

interface Props {
  production: Production;
  onClose: () => void;
}

const MOODS = { DARK: "dark", WARM: "warm", BRIGHT: "bright" };

/** What is asked of the house band, which answers with two songs. */
export function BandPanel({ production, onClose }: Props) {
  const [wish, setWish] = useState({
    style: "drums",
    mood: "WARM",
    bpm: 96,
    seconds: Math.round(production.targetSeconds),
    voice: false,
  });
  const ask = useChange<typeof wish>(production.id, (body) => ({
    method: "POST",
    path: `${under(production.id)}/band`,
    body,
  }));
  const set = (part: Partial<typeof wish>) => setWish((w) => ({ ...w, ...part }));
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
        sx={{ width: 230 }}
      />
      <Select
        value={wish.mood}
        inputProps={{ "aria-label": "mood" }}
        onChange={(e) => set({ mood: e.target.value })}
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
        {ask.isPending ? "The band plays …" : "it answers with two"}
      </Box>
      <Box sx={{ flex: 1 }} />
      <Button onClick={onClose}>Close</Button>
      <Button type="submit" variant="contained" color="primary" disabled={ask.isPending}>
        Ask the house band
      </Button>
    </Box>
  );
}
