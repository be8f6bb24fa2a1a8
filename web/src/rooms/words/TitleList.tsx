import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ButtonBase from "@mui/material/ButtonBase";
import { inShape, stillUrl, type Production, type TitleSight, type Words } from "../../api/client";
import { fraunces, ink } from "../../theme";
import { nameOf, titleFaults } from "./titles";

interface Props {
  production: Production;
  words: Words;
  sights: ReadonlyMap<string, TitleSight>;
  chosen: string | null;
  onChoose: (id: string) => void;
  onAdd: () => void;
}

/** The titles in the order they land, each with what is wrong with it. */
export function TitleList({ production, words, sights, chosen, onChoose, onAdd }: Props) {
  return (
    <Box component="section" aria-label="Titles" sx={{ flex: "none" }}>
      <Box sx={{ display: "flex", alignItems: "center", px: 3, py: 2 }}>
        <Box component="h2" sx={{ typography: "h1", m: 0, flex: 1 }}>
          Titles
        </Box>
        <Button size="small" title="Where the playhead is (N)" onClick={onAdd}>
          Add one here
        </Button>
      </Box>
      {words.titles.length === 0 && (
        <Box sx={{ px: 3, pb: 3, color: ink.ink2 }}>
          None yet. Put the playhead where one is to land, and add it.
        </Box>
      )}
      <Box sx={{ maxHeight: 216, overflow: "auto" }}>
        {words.titles.map((title) => {
          const faults = titleFaults(title, sights.get(title.id));
          const isChosen = title.id === chosen;
          return (
            <ButtonBase
              key={title.id}
              aria-pressed={isChosen}
              onClick={() => onChoose(title.id)}
              sx={{
                width: "100%",
                font: "inherit",
                px: 3,
                py: 1.5,
                gap: 2,
                display: "flex",
                textAlign: "left",
                justifyContent: "flex-start",
                borderTop: `1px solid ${ink.rule}`,
                bgcolor: isChosen ? ink.thistleWash : "transparent",
                "&:focus-visible": { outlineOffset: -2 },
              }}
            >
              {title.place && (
                <img
                  src={stillUrl(
                    production.id,
                    inShape(words.revision, null),
                    Math.max(0, Math.min(words.length - 1, title.place.landing)),
                  )}
                  alt=""
                  loading="lazy"
                  style={{ width: 54, height: 31, objectFit: "cover", flex: "none" }}
                />
              )}
              <Box sx={{ minWidth: 0, flex: 1 }}>
                <Box
                  sx={{
                    ...fraunces,
                    fontSize: 15,
                    fontWeight: 500,
                    lineHeight: "18px",
                    color: isChosen ? ink.thistleDeep : ink.ink,
                    whiteSpace: "nowrap",
                    overflow: "hidden",
                    textOverflow: "ellipsis",
                  }}
                >
                  {nameOf(title)}
                </Box>
                <Box sx={{ display: "flex", gap: 1, fontSize: 12, lineHeight: "16px" }}>
                  <Box
                    sx={{
                      flex: 1,
                      minWidth: 0,
                      color: ink.ink2,
                      whiteSpace: "nowrap",
                      overflow: "hidden",
                      textOverflow: "ellipsis",
                    }}
                  >
                    {title.says}
                  </Box>
                  <Box sx={{ color: ink.rust, fontWeight: 600, whiteSpace: "nowrap" }}>
                    {faults.join(", ")}
                  </Box>
                </Box>
              </Box>
            </ButtonBase>
          );
        })}
      </Box>
    </Box>
  );
}
