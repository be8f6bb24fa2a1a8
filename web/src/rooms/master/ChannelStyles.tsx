import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import OutlinedInput from "@mui/material/OutlinedInput";
import { useState } from "react";
import type { Film, Production } from "../../api/client";
import { useStyleActions, useStyles, useTakenStyle } from "../../api/styles";
import { BringText } from "../../parts/BringText";
import { ink } from "../../theme";

const LONGEST = 60;

/** What all films of a channel share: kept of this one, or taken by it. */
export function ChannelStyles({
  production,
  film,
  onClose,
}: {
  production: Production;
  film: Film;
  onClose: () => void;
}) {
  const styles = useStyles().data ?? [];
  const taken = useTakenStyle(production.id).data;
  const actions = useStyleActions(production.id);
  const [name, setName] = useState<string | null>(null);
  const called = name ?? taken?.style?.name ?? "";
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth>
      <DialogTitle sx={{ typography: "h1" }}>The channel’s style</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 3 }}>
        <Box>
          The badge, the designs of titles, the captions’ look, the finish, the outputs and the tags
          of a production, for all others of its channel.
        </Box>
        <Box
          component="form"
          onSubmit={(e) => {
            e.preventDefault();
            actions.keep.mutate(called);
            setName(null);
          }}
          sx={{ display: "flex", gap: 2 }}
        >
          <OutlinedInput
            autoFocus
            fullWidth
            value={called}
            placeholder="The channel’s name"
            inputProps={{ "aria-label": "The channel’s name", maxLength: LONGEST }}
            onChange={(e) => setName(e.target.value)}
          />
          <Button type="submit" variant="contained" color="primary" sx={{ flex: "none" }}>
            {styles.some((s) => s.name === called) ? "Keep it anew" : "Keep this one’s"}
          </Button>
        </Box>
        {styles.map((style) => {
          const follows = taken?.style?.id === style.id;
          return (
            <Box
              key={style.id}
              component="section"
              aria-label={style.name}
              sx={{ borderTop: `1px solid ${ink.rule}`, pt: 2 }}
            >
              <Box sx={{ display: "flex", alignItems: "center", gap: 2 }}>
                <Box sx={{ flex: 1, fontWeight: 600 }}>{style.name}</Box>
                {follows && (
                  <Button onClick={() => actions.leave.mutate()}>Follow it no more</Button>
                )}
                <Button href={`/api/styles/${style.id}/document`} download>
                  Save
                </Button>
                <Button onClick={() => actions.remove.mutate(style.id)}>Throw away</Button>
                <Button
                  onClick={() => actions.take.mutate({ style: style.id, revision: film.revision })}
                >
                  {follows ? "Take it again" : "Take it"}
                </Button>
              </Box>
              <Box sx={{ color: ink.ink2 }}>{style.holds.join(", ")}</Box>
              {follows && (
                <Box sx={{ color: taken.changed ? ink.rust : ink.moss }}>
                  {taken.changed
                    ? "It was kept anew since this production took it."
                    : "This production has it as it is."}
                </Box>
              )}
            </Box>
          );
        })}
      </DialogContent>
      <DialogActions sx={{ p: 4, gap: 2 }}>
        <BringText onText={(text) => actions.bringIn.mutate(text)}>Bring one in</BringText>
        <Box sx={{ flex: 1 }} />
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
