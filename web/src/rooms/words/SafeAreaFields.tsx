import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Popover from "@mui/material/Popover";
import { useState } from "react";
import type { SafeArea, Words } from "../../api/client";
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

/** What is kept free of words at the sides of a shape: what its publishers lay over the picture. */
export function SafeAreaFields(props: {
  shape: string;
  safe: Words["safe"];
  onSet: (area: SafeArea | null) => void;
}) {
  const { shape, safe, onSet } = props;
  const [at, setAt] = useState<HTMLElement | null>(null);
  const { left, top, right, bottom, usual } = safe;
  return (
    <>
      <Button
        size="small"
        title={`What is kept free of words at the sides in ${shape}`}
        onClick={(e) => setAt(e.currentTarget)}
      >
        {usual ? "sides" : "own sides"}
      </Button>
      <Popover
        open={at !== null}
        anchorEl={at}
        onClose={() => setAt(null)}
        onKeyDown={(e) => e.stopPropagation()}
        anchorOrigin={{ vertical: "top", horizontal: "center" }}
        transformOrigin={{ vertical: "bottom", horizontal: "center" }}
      >
        <Box component="section" aria-label={`Safe area of ${shape}`} sx={{ p: 3, width: 340 }}>
          <Box sx={{ color: ink.ink2, pb: 2 }}>
            Words keep clear of what is laid over {shape} at its sides, in % of the picture.
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
                    onSet({
                      ...{ left, top, right, bottom },
                      [side]: Math.min(MOST, Math.max(0, Math.round(to * PER_PERCENT))),
                    })
                  }
                />
              </Box>
            ))}
          </Box>
          {!usual && (
            <Button size="small" sx={{ mt: 2 }} onClick={() => onSet(null)}>
              As usual
            </Button>
          )}
        </Box>
      </Popover>
    </>
  );
}
