import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import OutlinedInput from "@mui/material/OutlinedInput";
import { useState } from "react";
import type { Words } from "../../api/client";
import { ink } from "../../theme";
import type { WordsActions } from "./useWordsActions";

interface Props {
  words: Words;
  language: string;
  /** The line, by its id. */
  line: string;
  /** Is told null when it is done. */
  onWrite: (line: string | null) => void;
  actions: WordsActions;
}

/** The text of a line, from which its captions are broken. */
export function CaptionLine({ words, language, line, onWrite, actions }: Props) {
  const said = words.captions.said.find((s) => s.line === line);
  const [text, setText] = useState(said?.text ?? "");
  if (!said) return null;
  const keep = () => {
    if (text.trim() !== said.text) actions.write(language, line, text.trim());
    onWrite(null);
  };
  return (
    <Box sx={{ px: 3, py: 2, borderTop: `1px solid ${ink.rule2}`, bgcolor: ink.paper }}>
      <Box sx={{ color: ink.ink2, fontSize: 12 }}>
        Line {said.number}
        {language !== "en" && `: ${said.read}`}
      </Box>
      <OutlinedInput
        fullWidth
        multiline
        autoFocus
        minRows={2}
        value={text}
        inputProps={{ "aria-label": `Text of line ${said.number}` }}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === "Enter" && !e.shiftKey) {
            e.preventDefault();
            keep();
          }
          if (e.key === "Escape") onWrite(null);
        }}
        sx={{ bgcolor: ink.sheet, my: 1, "& .MuiOutlinedInput-input": { px: 1 } }}
      />
      <Box sx={{ display: "flex", gap: 1 }}>
        <Button size="small" variant="contained" color="primary" onClick={keep}>
          Keep
        </Button>
        {said.other && (
          <Button
            size="small"
            onClick={() => {
              actions.write(language, line, null);
              onWrite(null);
            }}
          >
            {language === "en" ? "As it is read" : "Without a text"}
          </Button>
        )}
      </Box>
    </Box>
  );
}
