import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import OutlinedInput from "@mui/material/OutlinedInput";
import { useState } from "react";
import { ink } from "../../theme";

/** Captions in another language: written by hand, or word for word by the stand-in translator. */
export function AddLanguage({ onAdd }: { onAdd: (language: string, translated: boolean) => void }) {
  const [text, setText] = useState("");
  const fits = /^[a-z]{2,3}(-[A-Za-z0-9]{2,8}){0,3}$/.test(text.trim());
  return (
    <Box sx={{ px: 3, py: 1, display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
      <OutlinedInput
        autoFocus
        placeholder="de, fr, pt-BR"
        value={text}
        inputProps={{ "aria-label": "Language, as in BCP 47" }}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === "Enter" && fits) onAdd(text.trim(), false);
        }}
        sx={{ width: 96, height: 26 }}
      />
      {fits ? (
        <>
          <Button size="small" onClick={() => onAdd(text.trim(), false)}>
            By hand
          </Button>
          <Button
            size="small"
            title="A stand-in: a small dictionary of English and German, word for word"
            onClick={() => onAdd(text.trim(), true)}
          >
            Word for word
          </Button>
        </>
      ) : (
        <Box sx={{ color: ink.ink2, fontSize: 12 }}>two or three letters</Box>
      )}
    </Box>
  );
}
