import Box from "@mui/material/Box";
import Dialog from "@mui/material/Dialog";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { Fragment, useEffect, useState } from "react";
import { face, ink } from "../theme";
import { isTyping } from "./isTyping";

const GROUPS: { name: string; keys: [string, string][] }[] = [
  {
    name: "Watch",
    keys: [
      ["Space", "play from here, stop"],
      ["Shift+Space", "play this bar and the next"],
      ["← →", "one frame (Shift: ten)"],
      ["↑ ↓", "same bar in the line above, below"],
      ["B, Shift+B", "next, previous beat"],
      ["W, Shift+W", "next, previous word"],
      ["Home, End", "start, end of the film"],
      ["H, G", "run forward, backward; again: twice as fast"],
      ["V, Shift+V", "play into the cut, from the cut on"],
      ["R", "round the cut, or the chosen stretch, again and again"],
      ["( )", "the stretch begins, ends at the playhead"],
      ["Shift+drag", "on the music: choose a stretch"],
      ["J", "set a marker at the playhead"],
    ],
  },
  {
    name: "Choose",
    keys: [
      ["S", "select the shot at the playhead"],
      ["N, Shift+N", "select the next, previous shot"],
      ["X", "its other cut: in or out"],
      ["Shift+click", "select all shots up to it"],
      ["Ctrl+A", "select all shots"],
      ["Esc", "select nothing"],
      ["P", "next problem"],
    ],
  },
  {
    name: "The selected cut",
    keys: [
      ["E", "what moving it does: trim, ripple, roll, slide"],
      [", .", "to the previous, next beat, or word if it is tied to one"],
      ["< >", "one frame earlier, later"],
      ["1", "tie to the nearest downbeat"],
      ["2", "tie to the nearest beat"],
      ["3", "tie to the nearest end of a word"],
      ["0", "set free where it is"],
      ["Alt+drag", "drag it without tying it"],
    ],
  },
  {
    name: "The selected shot",
    keys: [
      ["M", "slip: then ← → move the material (Shift: ten)"],
      ["T, Shift+T", "next, previous take"],
      ["F", "next framing: fit, fill, soft"],
      ["L", "lock, unlock"],
      ["/", "split at the playhead"],
      ["[ ]", "change places with the one before, after"],
      ["{ }", "move earlier, later with the time it lasts"],
      ["Delete", "take it out; a neighbour takes its time"],
      ["Shift+Delete", "take out and close the gap"],
      ["Alt+Delete", "take out and leave a gap"],
      ["O", "lay a copy over the cut, from the playhead"],
      ["Ctrl+C, X, V", "copy, cut out, paste (Shift: without speed)"],
      ["Ctrl+G", "group the selected shots (Shift: let go)"],
    ],
  },
  {
    name: "Story, prompts",
    keys: [
      ["C", "copy the prompt, tick it, go to the next"],
      ["↑ ↓", "the prompt before, after"],
    ],
  },
  {
    name: "Takes",
    keys: [
      ["← → ↑ ↓", "go from take to take"],
      ["Enter", "make it the pick"],
      ["R", "put it aside, take it back"],
      ["V", "add to what is compared, take it out"],
      ["1 to 6", "say a fault: move, limbs, face, lettering, look, other"],
    ],
  },
  {
    name: "Cues",
    keys: [
      ["Space", "hear the song, stop"],
      ["C", "clicks on the beats"],
      ["T", "tap the beats along"],
      ["H, D", "halve, double the tempo"],
      ["B", "the beat at the playhead begins a bar"],
      ["S", "a section begins at the playhead"],
      ["Z", "look closely at the song, or see all of it"],
      ["Alt+drag", "move a beat a tenth as far"],
      [", .", "move the beat at the playhead 10 ms"],
      ["Tab, Enter", "go from line to line, open its tools"],
    ],
  },
  {
    name: "Anywhere",
    keys: [
      ["Ctrl+Z", "undo"],
      ["Ctrl+Shift+Z", "redo"],
      ["?", "this sheet"],
    ],
  },
];

/** The sheet of all keys, opened by "?". */
export function KeyHelp() {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      if (e.key === "?" && !isTyping(e)) setOpen((is) => !is);
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, []);
  return (
    <Dialog open={open} onClose={() => setOpen(false)} maxWidth="md">
      <DialogTitle sx={{ typography: "h1", pb: 1 }}>Keys</DialogTitle>
      <DialogContent>
        <Box sx={{ columns: 2, columnGap: 10, width: 680 }}>
          {GROUPS.map((group) => (
            <Box key={group.name} sx={{ breakInside: "avoid", mb: 4 }}>
              <Box sx={{ typography: "h2", mb: 1 }}>{group.name}</Box>
              <Box sx={{ display: "grid", gridTemplateColumns: "110px 1fr", rowGap: 1 }}>
                {group.keys.map(([key, meaning]) => (
                  <Fragment key={key}>
                    <Box sx={{ fontFamily: face.mono, fontSize: 12, color: ink.thistleDeep }}>
                      {key}
                    </Box>
                    <Box>{meaning}</Box>
                  </Fragment>
                ))}
              </Box>
            </Box>
          ))}
        </Box>
      </DialogContent>
    </Dialog>
  );
}
