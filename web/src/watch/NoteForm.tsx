import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import OutlinedInput from "@mui/material/OutlinedInput";
import { useState } from "react";
import { ink } from "../theme";
import { clock, leave, type Note, type Reel } from "./reels";

const WHO = "late-thistle-watched-by";

/** Leaves a note at the moment that is shown. */
export function NoteForm({
  link,
  reel,
  second,
  onLeft,
}: {
  link: string;
  reel: Reel;
  second: number;
  onLeft: (notes: Note[]) => void;
}) {
  const [by, setBy] = useState(localStorage.getItem(WHO) ?? "");
  const [text, setText] = useState("");
  // The moment at which the note was begun: who writes does not stop the film first.
  const [at, setAt] = useState<number | null>(null);
  const [trouble, setTrouble] = useState("");
  const moment = at ?? second;
  const send = async () => {
    try {
      onLeft(await leave(link, { reel: reel.id, second: moment, by, text }));
      localStorage.setItem(WHO, by);
      setText("");
      setAt(null);
      setTrouble("");
    } catch (e) {
      setTrouble(e instanceof Error ? e.message : String(e));
    }
  };
  return (
    <Box
      component="form"
      onSubmit={(e) => {
        e.preventDefault();
        void send();
      }}
      sx={{ px: 4, pt: 3, display: "grid", gap: 2 }}
    >
      <OutlinedInput
        multiline
        minRows={2}
        maxRows={6}
        value={text}
        placeholder="What do you notice here?"
        inputProps={{ "aria-label": "Note", maxLength: 500 }}
        onChange={(e) => {
          if (e.target.value !== "" && at === null) setAt(second);
          if (e.target.value === "") setAt(null);
          setText(e.target.value);
        }}
        sx={{ fontSize: 16, height: "auto", p: 2 }}
      />
      <Box sx={{ display: "flex", gap: 2 }}>
        <OutlinedInput
          value={by}
          placeholder="Your name"
          inputProps={{ "aria-label": "Your name", maxLength: 40 }}
          onChange={(e) => setBy(e.target.value)}
          sx={{ flex: 1, height: 48, fontSize: 16 }}
        />
        <Button
          type="submit"
          variant="contained"
          color="primary"
          sx={{ height: 48, fontSize: 16, whiteSpace: "nowrap" }}
        >
          Leave it at {clock(moment)}
        </Button>
      </Box>
      {trouble !== "" && (
        <Box role="alert" sx={{ color: ink.rust }}>
          {trouble}
        </Box>
      )}
    </Box>
  );
}
