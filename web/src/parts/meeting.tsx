import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { create } from "zustand";

/** A change of ours that met another window's. */
interface Meeting {
  says: string;
  again: () => void;
}

interface State {
  now: Meeting | null;
  meet: (meeting: Meeting | null) => void;
}

export const useMeeting = create<State>((set) => ({
  now: null,
  meet: (now) => set({ now }),
}));

/** Asks which of two changes of the same thing shall stand. */
export function MeetingDialog() {
  const { now, meet } = useMeeting();
  if (!now) return null;
  return (
    <Dialog open onClose={() => meet(null)} maxWidth="xs">
      <DialogTitle sx={{ typography: "h1" }}>Changed in two windows</DialogTitle>
      <DialogContent>{now.says} The film is shown as the other window left it.</DialogContent>
      <DialogActions>
        <Button
          onClick={() => {
            meet(null);
            now.again();
          }}
        >
          Make my change on it
        </Button>
        <Button variant="contained" color="primary" autoFocus onClick={() => meet(null)}>
          Keep it as it is
        </Button>
      </DialogActions>
    </Dialog>
  );
}
