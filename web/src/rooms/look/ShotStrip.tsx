import Box from "@mui/material/Box";
import { stillUrl, uncorrectedUrl, type Look } from "../../api/client";
import { grey } from "./grey";

/** All shots of the film side by side, as they are or as they came. */
export function ShotStrip({
  production,
  look,
  chosen,
  before,
  onChoose,
}: {
  production: number;
  look: Look;
  chosen: string;
  before: boolean;
  onChoose: (item: string) => void;
}) {
  const url = before ? uncorrectedUrl : stillUrl;
  return (
    <Box role="group" aria-label="Shots" sx={{ display: "flex", pl: "134px", mb: 1 }}>
      {look.shots.map((s) => (
        <Box
          key={s.item}
          component="button"
          aria-pressed={s.item === chosen}
          aria-label={`${s.label} ${s.title}`}
          onClick={() => onChoose(s.item)}
          sx={{
            flex: "1 1 0",
            minWidth: 0,
            p: "1px",
            border: "2px solid",
            borderColor: s.item === chosen ? "#FFFFFF" : "transparent",
            bgcolor: "transparent",
            color: grey.text,
            cursor: "pointer",
            font: "inherit",
          }}
        >
          <Box
            component="img"
            src={url(production, look.revision, s.frame)}
            alt=""
            sx={{ width: "100%", aspectRatio: "16 / 9", objectFit: "cover", display: "block" }}
          />
          <Box
            sx={{
              fontSize: 12,
              fontWeight: s.item === look.key || s.item === chosen ? 700 : 400,
              whiteSpace: "nowrap",
              overflow: "hidden",
            }}
          >
            {s.label}
            {s.item === look.key ? " key" : ""}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
