import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { Mix, WantedSound } from "../../api/client";
import { fraunces, ink } from "../../theme";

interface Props {
  mix: Mix;
  /** The wanted sound that is looked at, by its place in the list; null for none. */
  at: number | null;
  onChoose: (at: number) => void;
  onLay: (item: string) => void;
}

/** The story's wanted sounds, one square each: laid, on the shelf, or not there yet. */
export function WantedStrip({ mix, at, onChoose, onLay }: Props) {
  const laid = mix.wanted.filter((w) => w.state === "PLACED").length;
  const one = at === null ? undefined : mix.wanted[at];
  const item = one?.item;
  if (mix.wanted.length === 0) {
    return (
      <Box sx={{ px: 3, py: 2, color: ink.ink2 }}>
        The story asks for no sounds. Find one below, and lay it where the playhead is.
      </Box>
    );
  }
  return (
    <Box sx={{ px: 3, pt: 2, flex: "none" }}>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, minHeight: 26 }}>
        <Box sx={{ ...fraunces, fontSize: 17, fontWeight: 460 }}>
          {one ? `Wanted in ${one.shot}` : "Wanted"}
        </Box>
        {one && (
          <Box
            sx={{
              px: 1.5,
              borderRadius: "3px",
              bgcolor: ink.thistleWash,
              color: ink.thistleDeep,
              fontWeight: 600,
              overflow: "hidden",
              textOverflow: "ellipsis",
              whiteSpace: "nowrap",
            }}
          >
            {one.name}
          </Box>
        )}
        <Box sx={{ flex: 1 }} />
        <Box sx={{ color: ink.ink2, whiteSpace: "nowrap" }}>
          {laid} of {mix.wanted.length} laid
        </Box>
      </Box>
      <Box
        sx={{ display: "flex", flexWrap: "wrap", gap: "3px", py: 1 }}
        role="group"
        aria-label="Wanted sounds"
      >
        {mix.wanted.map((w, i) => (
          <Box
            key={`${w.shot} ${w.name}`}
            component="button"
            aria-pressed={i === at}
            aria-label={`${w.name}, shot ${w.shot}: ${said(w)}`}
            title={`${w.shot}: ${w.name}, ${said(w)}`}
            onClick={() => onChoose(i)}
            sx={{
              all: "unset",
              width: 12,
              height: 12,
              cursor: "pointer",
              boxSizing: "border-box",
              borderRadius: "2px",
              border: `1.5px ${w.state === "WANTED" ? "dashed" : "solid"} ${i === at ? ink.thistle : ink.moss}`,
              bgcolor: w.state === "PLACED" ? (i === at ? ink.thistle : ink.moss) : "transparent",
              "&:focus-visible": { outline: `2px solid ${ink.thistle}`, outlineOffset: 1 },
            }}
          />
        ))}
      </Box>
      {one && one.state !== "PLACED" && item != null && (
        <Button size="small" onClick={() => onLay(item)} disabled={one.state === "WANTED"}>
          {one.state === "FOUND" ? `Lay what ${one.shot} wants` : "The shelf has nothing for it"}
        </Button>
      )}
    </Box>
  );
}

function said(wanted: WantedSound): string {
  switch (wanted.state) {
    case "PLACED":
      return "laid";
    case "FOUND":
      return "on the shelf";
    case "WANTED":
      return "not on the shelf";
  }
}
