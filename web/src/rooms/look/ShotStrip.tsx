import Box from "@mui/material/Box";
import { stillUrl, uncorrectedUrl, type Look } from "../../api/client";
import { grey } from "./grey";

/** All shots of the film side by side, as they are or as they came; groups are bracketed. */
export function ShotStrip({
  production,
  look,
  chosen,
  also,
  before,
  onChoose,
}: {
  production: number;
  look: Look;
  chosen: string;
  /** Further ones that are selected. */
  also: readonly string[];
  before: boolean;
  /** With `more` it is added to what is selected, or taken from it. */
  onChoose: (item: string, more: boolean) => void;
}) {
  const url = before ? uncorrectedUrl : stillUrl;
  return (
    <Box role="group" aria-label="Shots" sx={{ display: "flex", pl: "134px", mb: 1 }}>
      {look.shots.map((s, i) => {
        const selected = s.item === chosen || also.includes(s.item);
        return (
          <Box
            key={s.item}
            component="button"
            aria-pressed={selected}
            aria-label={`${s.label} ${s.title}`}
            title={s.group ? `${s.label} ${s.title}: ${s.group}` : `${s.label} ${s.title}`}
            onClick={(e) => onChoose(s.item, e.shiftKey || e.ctrlKey || e.metaKey)}
            sx={{
              flex: "1 1 0",
              minWidth: 0,
              p: "1px",
              border: "2px solid",
              borderColor: selected ? "#FFFFFF" : "transparent",
              borderStyle: s.item === chosen ? "solid" : "dashed",
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
                lineHeight: "16px",
                fontWeight: s.keyOf !== "NONE" || s.item === chosen ? 700 : 400,
                whiteSpace: "nowrap",
                overflow: "hidden",
              }}
            >
              {s.layer > 0 ? "over " : ""}
              {s.label}
              {s.keyOf === "NONE" ? "" : " key"}
            </Box>
            {look.groups.length > 0 && (
              <Box
                sx={{
                  height: 14,
                  fontSize: 11,
                  lineHeight: "13px",
                  textAlign: "left",
                  color: grey.text2,
                  whiteSpace: "nowrap",
                  // The name goes on over the shots beside it that are of the same group.
                  overflow: "visible",
                  borderTop: s.group ? `2px solid ${grey.rule}` : "2px solid transparent",
                  mx: "-2px",
                  pl: "2px",
                  width: 0,
                  minWidth: "100%",
                }}
              >
                {s.group && look.shots[i - 1]?.group !== s.group ? shortName(look, i) : ""}
              </Box>
            )}
          </Box>
        );
      })}
    </Box>
  );
}

/** A group's name as far as the shots from here on that are of it have room. */
function shortName(look: Look, from: number): string {
  const name = look.shots[from]?.group ?? "";
  let count = 1;
  while (look.shots[from + count]?.group === name) count++;
  const room = Math.floor((count * 1100) / look.shots.length / 6);
  return name.length <= room ? name : `${name.slice(0, Math.max(2, room - 1))}\u2026`;
}
