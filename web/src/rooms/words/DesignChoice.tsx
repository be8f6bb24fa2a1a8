import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ButtonBase from "@mui/material/ButtonBase";
import OutlinedInput from "@mui/material/OutlinedInput";
import { useDeferredValue, useState } from "react";
import { designUrl, type Film, type Production, type Tie } from "../../api/client";
import { useKeepDesign, useWordChoices } from "../../api/words";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import { catches, freeAt, nearest } from "../mix/moments";

/** What a title is caught by when it is added, in frames. */
const REACH = 6;

/** The designs, each with the person's own words over their own picture. */
export function DesignChoice(props: {
  production: Production;
  film: Film;
  onTake: (design: string, text: string, at: Tie) => void;
  onClose: () => void;
}) {
  const { production, film, onTake, onClose } = props;
  const frame = useRoom((s) => s.frame);
  const choices = useWordChoices().data;
  const designs = useKeepDesign();
  const own = new Set(choices?.own.map((d) => d.name));
  const [text, setText] = useState(production.title);
  const seen = useDeferredValue(text);
  const take = (design: string) => {
    const at = nearest(catches(film, null), frame, REACH)?.tie ?? freeAt(frame);
    onTake(design, text, at);
  };
  return (
    <Box
      component="section"
      aria-label="Designs"
      sx={{ display: "flex", flexDirection: "column", minHeight: 0, flex: 1 }}
      onKeyDown={(e) => {
        if (e.key === "Escape") onClose();
      }}
    >
      <Box sx={{ display: "flex", alignItems: "center", px: 3, py: 2 }}>
        <Box component="h2" sx={{ typography: "h1", m: 0, flex: 1 }}>
          A new title
        </Box>
        <Button size="small" onClick={onClose}>
          Not now
        </Button>
      </Box>
      <Box sx={{ px: 3, pb: 2 }}>
        <OutlinedInput
          fullWidth
          autoFocus
          value={text}
          inputProps={{ "aria-label": "Words of the new title", maxLength: 300 }}
          onChange={(e) => setText(e.target.value)}
          onFocus={(e) => e.target.select()}
          sx={{ bgcolor: ink.sheet, "& input": { py: 1, px: 1.5 } }}
        />
      </Box>
      <Box
        sx={{
          overflow: "auto",
          px: 3,
          pb: 3,
          display: "grid",
          gridTemplateColumns: "1fr 1fr",
          gap: 2,
          alignContent: "start",
        }}
      >
        {[...(choices?.own ?? []), ...(choices?.designs ?? [])].map((design) => (
          <Box key={design.name} sx={{ position: "relative" }}>
            <ButtonBase
              onClick={() => take(design.name)}
              sx={{
                display: "block",
                width: "100%",
                font: "inherit",
                textAlign: "left",
                borderRadius: 1,
              }}
            >
              <img
                src={designUrl(production.id, film.revision, frame, design.name, seen.trim())}
                alt=""
                loading="lazy"
                style={{
                  width: "100%",
                  aspectRatio: `${production.width} / ${production.height}`,
                  objectFit: "cover",
                  display: "block",
                  backgroundColor: ink.well,
                }}
              />
              <Box sx={{ fontSize: 12, lineHeight: "16px", pt: 0.5 }}>{design.name}</Box>
            </ButtonBase>
            {own.has(design.name) && (
              <Button
                size="small"
                aria-label={`Take the design ${design.name} off the list`}
                title="Take it off the list; titles that began with it stay"
                onClick={() => designs.remove(design.name)}
                sx={{ position: "absolute", top: 4, right: 4, minWidth: 0, px: 1, minHeight: 20 }}
              >
                ×
              </Button>
            )}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
