import Box from "@mui/material/Box";
import MenuItem from "@mui/material/MenuItem";
import Select from "@mui/material/Select";
import { useEffect, useState } from "react";
import { fraunces, ink } from "../theme";
import { NoteForm } from "./NoteForm";
import { NoteList } from "./NoteList";
import { Screen } from "./Screen";
import { reelsOf, type Watched } from "./reels";

/** A film to watch, on a phone first: the picture, what moves it under the thumb, the notes. */
export function Watch({ link }: { link: string }) {
  const [watched, setWatched] = useState<Watched | null>(null);
  const [trouble, setTrouble] = useState("");
  const [chosen, setChosen] = useState("");
  const [second, setSecond] = useState(0);
  const [jump, setJump] = useState<{ to: number } | null>(null);

  useEffect(() => {
    reelsOf(link).then(setWatched, (e: unknown) =>
      setTrouble(e instanceof Error ? e.message : String(e)),
    );
  }, [link]);

  const title = watched?.title;
  useEffect(() => {
    if (title !== undefined) document.title = title;
  }, [title]);

  if (trouble !== "") return <Said>{trouble}</Said>;
  if (!watched) return <Said>The film is on its way…</Said>;
  const reel = watched.reels.find((r) => r.id === chosen) ?? watched.reels[0];
  return (
    <Box
      sx={{
        minHeight: "100dvh",
        bgcolor: ink.sheet,
        maxWidth: 720,
        mx: "auto",
        pb: "env(safe-area-inset-bottom)",
      }}
    >
      <Box component="header" sx={{ px: 4, pt: 3, pb: 2, bgcolor: ink.band }}>
        <Box component="h1" sx={{ ...fraunces, m: 0, fontSize: 22, lineHeight: "28px" }}>
          {watched.title}
        </Box>
        <Box sx={{ color: ink.ink2 }}>
          For {watched.name}, until{" "}
          {new Date(watched.endsAt).toLocaleDateString(undefined, {
            day: "numeric",
            month: "long",
          })}
        </Box>
      </Box>
      {!reel && (
        <Box sx={{ p: 4 }}>There is no film yet. Whoever sent the link is still cutting it.</Box>
      )}
      {reel && (
        <>
          <Screen
            key={reel.id}
            source={`${link}/${reel.source}`}
            reel={reel}
            notes={watched.notes}
            jump={jump}
            onSecond={setSecond}
          />
          {watched.reels.length > 1 && (
            <Box sx={{ px: 4, pt: 2 }}>
              <Select
                fullWidth
                value={reel.id}
                inputProps={{ "aria-label": "What to watch" }}
                onChange={(e) => {
                  setChosen(e.target.value);
                  setSecond(0);
                }}
                sx={{ height: 48, fontSize: 16 }}
              >
                {watched.reels.map((r) => (
                  <MenuItem key={r.id} value={r.id} sx={{ minHeight: 48, whiteSpace: "normal" }}>
                    {r.name}
                  </MenuItem>
                ))}
              </Select>
            </Box>
          )}
          <NoteForm
            link={link}
            reel={reel}
            second={second}
            onLeft={(notes) => setWatched({ ...watched, notes })}
          />
          <NoteList
            notes={watched.notes}
            onOpen={(note) => setJump({ to: Math.max(0, note.second - reel.from) })}
          />
        </>
      )}
    </Box>
  );
}

function Said({ children }: { children: string }) {
  return (
    <Box sx={{ ...fraunces, p: 6, fontSize: 22, lineHeight: "30px", maxWidth: 480, mx: "auto" }}>
      {children}
    </Box>
  );
}
