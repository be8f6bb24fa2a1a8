import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { ColourRange, Mask } from "../../api/client";
import { MASK_KINDS, MASK_NAMES, MOST_MASKS, withMask } from "../score/masks";
import { GreySlider } from "./GreySlider";
import { GreyToggle } from "./GreyToggle";
import { grey, greyButton } from "./grey";

const MOST_SOFTNESS = 500;

type Where = ColourRange["where"];

/** In what part of the shot's picture a range is meant. */
export function WherePanel({
  where,
  onMask,
  onMove,
  onSet,
}: {
  where: Where;
  /** Lays one more mask on it. */
  onMask: (kind: Mask["kind"]) => void;
  onMove: (where: Where) => void;
  onSet: (where: Where) => void;
}) {
  const { masks } = where;
  return (
    <Box
      component="section"
      aria-label="Where in the picture"
      sx={{ borderTop: `1px solid ${grey.rule}`, mt: 1, pt: 1 }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 3, minHeight: 34 }}>
        <Box sx={{ width: 84, flex: "none" }}>Where</Box>
        <GreyToggle
          label="Of the picture"
          value={where.of}
          options={[
            { value: "ALL", name: "all of it" },
            { value: "SUBJECT", name: "subject", hint: "What was cut out of the take" },
            { value: "BACKGROUND", name: "behind it", hint: "What is behind the subject" },
          ]}
          onChange={(of) => onSet({ ...where, of })}
        />
      </Box>
      <Box sx={{ display: "flex", alignItems: "center", gap: 2, minHeight: 34 }}>
        <Box sx={{ width: 84, flex: "none", mr: 1 }}>In a mask</Box>
        {masks.length < MOST_MASKS &&
          MASK_KINDS.map((kind) => (
            <Button
              key={kind}
              sx={greyButton}
              title={masks.length > 0 ? "Meant is what lies in all of them" : undefined}
              onClick={() => onMask(kind)}
            >
              {MASK_NAMES[kind]}
            </Button>
          ))}
      </Box>
      {masks.map((mask, i) => {
        const withIt = (to: Mask) => ({ ...where, masks: withMask(masks, i, to) });
        return (
          <Box key={i} role="group" aria-label={`Mask ${i + 1}`}>
            <GreySlider
              label={`${MASK_NAMES[mask.kind]}, soft`}
              hint="Over which its edge fades, of the picture’s height"
              value={mask.softness}
              least={0}
              most={MOST_SOFTNESS}
              parts={10}
              digits={1}
              unit="%"
              onMove={(softness) => onMove(withIt({ ...mask, softness }))}
              onSet={(softness) => onSet(withIt({ ...mask, softness }))}
            />
            <Box sx={{ display: "flex", alignItems: "center", gap: 2, minHeight: 34, pl: "96px" }}>
              <GreyToggle
                label={`Side of mask ${i + 1}`}
                value={mask.outside ? "outside" : "inside"}
                options={[
                  { value: "inside", name: "inside it" },
                  { value: "outside", name: "outside it" },
                ]}
                onChange={(side) => onSet(withIt({ ...mask, outside: side === "outside" }))}
              />
              <Button
                sx={greyButton}
                aria-label={`Take mask ${i + 1} away`}
                onClick={() => onSet({ ...where, masks: masks.filter((_, k) => k !== i) })}
              >
                Away
              </Button>
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}
