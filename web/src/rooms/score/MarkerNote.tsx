import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import OutlinedInput from "@mui/material/OutlinedInput";
import { useState } from "react";
import type { Film } from "../../api/client";
import { useRoom } from "../../store";
import type { ScoreActions } from "./useScoreActions";

/** Asks what a marker is to say: a new one at the playhead, or one that is there. */
export function MarkerNote({ film, actions }: { film: Film; actions: ScoreActions }) {
  const noting = useRoom((s) => s.noting);
  if (noting === null) return null;
  const old = film.markers.find((m) => m.name === noting);
  return <Asked key={noting} name={old?.name ?? null} note={old?.note ?? ""} actions={actions} />;
}

function Asked({
  name,
  note,
  actions,
}: {
  name: string | null;
  note: string;
  actions: ScoreActions;
}) {
  const [text, setText] = useState(note);
  const { set } = useRoom.getState();
  const close = () => set({ noting: null });
  const save = () => {
    actions.setMarker(name, text, name === null ? useRoom.getState().frame : undefined);
    close();
  };
  return (
    <Dialog open onClose={close} maxWidth="xs" fullWidth>
      <DialogTitle sx={{ typography: "h1" }}>
        {name === null ? "A marker at the playhead" : "The marker"}
      </DialogTitle>
      <DialogContent>
        <OutlinedInput
          autoFocus
          fullWidth
          size="small"
          value={text}
          placeholder="What to remember here; it may stay empty"
          inputProps={{ maxLength: 500, "aria-label": "Note" }}
          onChange={(e) => setText(e.target.value)}
          onKeyDown={(e) => e.key === "Enter" && save()}
        />
      </DialogContent>
      <DialogActions>
        {name !== null && (
          <Button
            onClick={() => {
              actions.markerOut(name);
              close();
            }}
          >
            Take it out
          </Button>
        )}
        <Button onClick={close}>Cancel</Button>
        <Button variant="contained" color="primary" onClick={save}>
          {name === null ? "Set it" : "Save"}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
