import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import OutlinedInput from "@mui/material/OutlinedInput";
import { useState } from "react";
import type { OutputSaid } from "../../api/client";
import { useEncodings, usePresetActions, usePresets } from "../../api/presets";
import { BringText } from "../../parts/BringText";
import { face, ink } from "../../theme";

type Preset = NonNullable<ReturnType<typeof usePresets>["data"]>[number];

/** Adds an output of a preset, or like the first one; presets are edited here as documents. */
export function Presets({
  first,
  onAdd,
  onClose,
}: {
  first: OutputSaid | undefined;
  onAdd: (said: OutputSaid) => void;
  onClose: () => void;
}) {
  const presets = usePresets().data ?? [];
  const encodings = useEncodings().data ?? [];
  const actions = usePresetActions();
  const [edited, setEdited] = useState<string | null>(null);
  const label = ({ said }: Preset) =>
    [
      said.shape ?? "as the film",
      said.lines ? `${said.lines} lines` : null,
      encodings.find((e) => e.encoding === said.encoding)?.label ?? said.encoding,
      said.longest ? `up to ${said.longest} s` : null,
    ]
      .filter(Boolean)
      .join(", ");
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth>
      <DialogTitle sx={{ typography: "h1" }}>Add an output</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 1 }}>
        {presets.map((preset) => (
          <Box
            key={preset.id}
            component="section"
            aria-label={preset.name}
            sx={{
              display: "flex",
              alignItems: "center",
              gap: 2,
              borderTop: `1px solid ${ink.rule}`,
              py: 1,
            }}
          >
            <Box sx={{ flex: 1, minWidth: 0 }}>
              <Box sx={{ fontWeight: 600 }}>{preset.name}</Box>
              <Box sx={{ color: ink.ink2 }}>{label(preset)}</Box>
            </Box>
            <Button onClick={() => setEdited(pretty(preset.text))}>Edit</Button>
            <Button href={`/api/presets/${preset.id}/document`} download>
              Save
            </Button>
            <Button onClick={() => actions.remove.mutate(preset.id)}>Throw away</Button>
            <Button variant="contained" color="primary" onClick={() => onAdd(preset.said)}>
              Add
            </Button>
          </Box>
        ))}
        {edited !== null && (
          <Box sx={{ borderTop: `1px solid ${ink.rule2}`, pt: 2, display: "grid", gap: 2 }}>
            <OutlinedInput
              multiline
              rows={12}
              value={edited}
              inputProps={{ "aria-label": "The preset’s document", spellCheck: false }}
              onChange={(e) => setEdited(e.target.value)}
              sx={{ "& textarea": { fontFamily: face.mono, fontSize: 12 } }}
            />
            <Box sx={{ display: "flex", gap: 2, alignItems: "center" }}>
              <Box sx={{ flex: 1, color: ink.ink2 }}>
                Under another name it is kept beside the first.
              </Box>
              <Button onClick={() => setEdited(null)}>Leave it</Button>
              <Button
                variant="contained"
                color="primary"
                onClick={() => actions.write.mutate(edited, { onSuccess: () => setEdited(null) })}
              >
                Keep it
              </Button>
            </Box>
          </Box>
        )}
      </DialogContent>
      <DialogActions sx={{ p: 4, gap: 2 }}>
        <BringText onText={setEdited}>Bring one in</BringText>
        {first && (
          <Button
            onClick={() => onAdd({ ...first, name: `${first.name}, another`, ticked: false })}
          >
            One like the first
          </Button>
        )}
        <Box sx={{ flex: 1 }} />
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

const pretty = (text: string) => JSON.stringify(JSON.parse(text), null, 2);
