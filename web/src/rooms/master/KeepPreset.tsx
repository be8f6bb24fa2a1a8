import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import OutlinedInput from "@mui/material/OutlinedInput";
import { useState } from "react";
import type { OutputSaid } from "../../api/client";
import { usePresetActions } from "../../api/presets";
import { Labelled } from "../../parts/Labelled";
import { useNotice } from "../../parts/notice";

const LONGEST = 60;

/** Keeps what an output is, without its part of the film, for the next productions. */
export function KeepPreset({ said }: { said: OutputSaid }) {
  const [name, setName] = useState("");
  const { keep } = usePresetActions();
  const tell = useNotice((s) => s.tell);
  return (
    <Labelled label="Keep it as a preset">
      <Box
        component="form"
        onSubmit={(e) => {
          e.preventDefault();
          keep.mutate(
            { name, said: { ...said, from: null, to: null } },
            { onSuccess: (kept) => tell(`“${kept.name}” is kept; any production can add it.`) },
          );
          setName("");
        }}
        sx={{ display: "flex", gap: 2 }}
      >
        <OutlinedInput
          fullWidth
          size="small"
          value={name}
          placeholder="what kind of place it is for"
          inputProps={{ "aria-label": "What kind of place", maxLength: LONGEST }}
          onChange={(e) => setName(e.target.value)}
        />
        <Button type="submit">Keep</Button>
      </Box>
    </Labelled>
  );
}
