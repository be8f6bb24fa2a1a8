import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Popover from "@mui/material/Popover";
import { Fragment, useState } from "react";
import type { SafeArea, Words, Zone } from "../../api/client";
import { NumberField } from "../../parts/NumberField";
import { ink } from "../../theme";

/** Thousandths are shown as percent. */
const PER_PERCENT = 10;

const MOST = 400;

/** The sides, each where it is on the picture. */
const SIDES = [
  { side: "top", area: "1 / 2" },
  { side: "left", area: "2 / 1" },
  { side: "right", area: "2 / 3" },
  { side: "bottom", area: "3 / 2" },
] as const;

/** The numbers of a zone, in the order they are typed. */
const EDGES = ["left", "top", "right", "bottom"] as const;

/** What is kept free at least, in thousandths. */
const LEAST = 20;

const MOST_ZONES = 8;

/** Where buttons usually lie. */
const BUTTONS: Zone = { left: 860, top: 450, right: 1000, bottom: 800 };

/** What is kept free of words in a shape: what its publishers lay over the picture. */
export function SafeAreaFields(props: {
  shape: string;
  safe: Words["safe"];
  onSet: (area: SafeArea | null) => void;
}) {
  const { shape, safe, onSet } = props;
  const [at, setAt] = useState<HTMLElement | null>(null);
  const { left, top, right, bottom, zones, usual } = safe;
  const keep = (change: Partial<SafeArea>) => onSet({ left, top, right, bottom, zones, ...change });
  return (
    <>
      <Button
        size="small"
        title={`What is kept free of words in ${shape}`}
        onClick={(e) => setAt(e.currentTarget)}
      >
        kept free
      </Button>
      <Popover
        open={at !== null}
        anchorEl={at}
        onClose={() => setAt(null)}
        onKeyDown={(e) => e.stopPropagation()}
        anchorOrigin={{ vertical: "top", horizontal: "center" }}
        transformOrigin={{ vertical: "bottom", horizontal: "center" }}
      >
        <Box component="section" aria-label={`Safe area of ${shape}`} sx={{ p: 3, width: 400 }}>
          <Box sx={{ color: ink.ink2, pb: 2 }}>
            Words keep clear of what is laid over {shape}, in % of the picture: at its sides
          </Box>
          <Box
            sx={{
              display: "grid",
              gridTemplateColumns: "repeat(3, auto)",
              gap: 1,
              justifyItems: "center",
            }}
          >
            {SIDES.map(({ side, area }) => (
              <Box key={side} sx={{ gridArea: area }}>
                <NumberField
                  label={side}
                  unit="%"
                  digits={1}
                  value={safe[side] / PER_PERCENT}
                  hint={`Kept free at the ${side} of ${shape}`}
                  onChange={(to) =>
                    keep({
                      [side]: Math.min(MOST, Math.max(0, Math.round(to * PER_PERCENT))),
                    })
                  }
                />
              </Box>
            ))}
          </Box>
          <Box sx={{ color: ink.ink2, pt: 3, pb: 1 }}>
            and in parts of it, by their edges in % from the left and the top.
          </Box>
          {zones.length > 0 && (
            <Box
              sx={{
                display: "grid",
                gridTemplateColumns: "repeat(4, 54px) auto",
                gap: 1,
                alignItems: "center",
                justifyContent: "start",
                pb: 1,
                color: ink.ink2,
              }}
            >
              {EDGES.map((edge) => (
                <Box key={edge}>{edge}</Box>
              ))}
              <Box />
              {zones.map((zone, i) => (
                <Fragment key={i}>
                  {EDGES.map((edge) => (
                    <NumberField
                      key={edge}
                      bare
                      label={`${edge} edge of part ${i + 1}`}
                      unit="%"
                      digits={1}
                      value={zone[edge] / PER_PERCENT}
                      onChange={(to) =>
                        keep({
                          zones: zones.with(i, edged(zone, edge, Math.round(to * PER_PERCENT))),
                        })
                      }
                    />
                  ))}
                  <Button
                    size="small"
                    aria-label={`Take part ${i + 1} out`}
                    onClick={() => keep({ zones: zones.toSpliced(i, 1) })}
                  >
                    Take out
                  </Button>
                </Fragment>
              ))}
            </Box>
          )}
          <Box sx={{ display: "flex", gap: 2 }}>
            {zones.length < MOST_ZONES && (
              <Button size="small" onClick={() => keep({ zones: [...zones, BUTTONS] })}>
                Keep a part free
              </Button>
            )}
            {!usual && (
              <Button size="small" onClick={() => onSet(null)}>
                As usual
              </Button>
            )}
          </Box>
        </Box>
      </Popover>
    </>
  );
}

/** A zone with an edge elsewhere, as far as the picture and the opposite edge let it. */
function edged(zone: Zone, edge: keyof Zone, to: number): Zone {
  const least = edge === "right" ? zone.left + LEAST : edge === "bottom" ? zone.top + LEAST : 0;
  const most = edge === "left" ? zone.right - LEAST : edge === "top" ? zone.bottom - LEAST : 1000;
  return { ...zone, [edge]: Math.min(most, Math.max(least, to)) };
}
