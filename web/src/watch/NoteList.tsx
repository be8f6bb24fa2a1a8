import Box from "@mui/material/Box";
import { BareButton } from "../parts/BareButton";
import { face, ink } from "../theme";
import { clock, type Note } from "./reels";

/** All notes there are, each a way to its moment. */
export function NoteList({
  notes,
  onOpen,
}: {
  notes: readonly Note[];
  onOpen: (note: Note) => void;
}) {
  if (notes.length === 0) return null;
  return (
    <Box component="ul" aria-label="Notes" sx={{ listStyle: "none", m: 0, p: 4, pt: 3 }}>
      {notes.map((note) => (
        <Box component="li" key={note.id} sx={{ borderTop: `1px solid ${ink.rule}` }}>
          <BareButton
            onClick={() => onOpen(note)}
            sx={{
              width: "100%",
              minHeight: 52,
              py: 2,
              display: "grid",
              gridTemplateColumns: "52px 1fr",
              textAlign: "left",
              fontSize: 16,
              lineHeight: "22px",
              color: note.done ? ink.ink3 : ink.ink,
            }}
          >
            <Box sx={{ fontFamily: face.mono, color: ink.ink2 }}>{clock(note.second)}</Box>
            <Box sx={{ overflowWrap: "anywhere" }}>
              {note.text}
              <Box sx={{ color: ink.ink2, fontSize: 14 }}>
                {note.by}
                {note.done && ", done"}
              </Box>
            </Box>
          </BareButton>
        </Box>
      ))}
    </Box>
  );
}
