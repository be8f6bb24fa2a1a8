import ListSubheader from "@mui/material/ListSubheader";
import MenuItem from "@mui/material/MenuItem";
import Select from "@mui/material/Select";
import type { Film } from "../../api/client";
import type { WordAt } from "./treatments";

interface Props {
  label: string;
  film: Film;
  at: WordAt;
  onSet: (to: WordAt) => void;
}

/** One of the words that are spoken, under the lines they are in. */
export function WordChoice({ label, film, at, onSet }: Props) {
  const words = film.voice.flatMap(({ line, words }) =>
    words.map(({ word }) => ({ name: `${line} ${word}`, at: { line, word } })),
  );
  return (
    <Select
      size="small"
      displayEmpty
      value={isSpoken(film, at) ? `${at.line} ${at.word}` : ""}
      inputProps={{ "aria-label": label }}
      sx={{ height: 24 }}
      MenuProps={{ slotProps: { paper: { sx: { maxHeight: 360 } } } }}
      onChange={(e) => {
        const to = words.find(({ name }) => name === e.target.value);
        if (to) onSet(to.at);
      }}
    >
      {film.voice.flatMap(({ line, number, words }) => [
        <ListSubheader key={line} sx={{ lineHeight: "28px" }}>
          Line {number}
        </ListSubheader>,
        ...words.map(({ word, text }) => (
          <MenuItem key={`${line} ${word}`} value={`${line} ${word}`}>
            {text}
          </MenuItem>
        )),
      ])}
    </Select>
  );
}

/** Whether a word is among those spoken in the film. */
export const isSpoken = (film: Film, at: WordAt) =>
  film.voice.some(
    ({ line, words }) => line === at.line && words.some(({ word }) => word === at.word),
  );
