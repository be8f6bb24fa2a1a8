import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Slider from "@mui/material/Slider";
import { useState } from "react";
import type { ColourRange, Mask } from "../../api/client";
import { useSoon } from "../../parts/useSoon";
import { MASK_NAMES } from "../score/masks";
import { FiveSliders } from "./FiveSliders";
import { GreySlider } from "./GreySlider";
import { WherePanel } from "./WherePanel";
import { grey, greyButton } from "./grey";

const MOST_RANGES = 4;
const MOST_CHROMA = 400;

/** Colours of a shot that are corrected by themselves. */
export function RangePanel({
  ranges,
  open,
  picking,
  onOpen,
  onPick,
  onMask,
  onMove,
  onSet,
}: {
  ranges: readonly ColourRange[];
  open: number;
  /** Whether a press on the picture makes one. */
  picking: boolean;
  onOpen: (at: number) => void;
  onPick: () => void;
  /** Lays one more mask on a range; on one more than there are, it makes it. */
  onMask: (range: number, kind: Mask["kind"]) => void;
  onMove: (ranges: ColourRange[]) => void;
  onSet: (ranges: ColourRange[]) => void;
}) {
  const shown = ranges[open];
  const withShown = (to: ColourRange) => ranges.map((r, i) => (i === open ? to : r));
  return (
    <Box>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, mb: 2 }}>
        {ranges.map((r, i) => (
          <Button
            key={i}
            sx={{ ...greyButton, fontWeight: i === open ? 700 : 400 }}
            aria-pressed={i === open}
            onClick={() => onOpen(i)}
          >
            {nameOf(r)}
          </Button>
        ))}
        {ranges.length < MOST_RANGES && (
          <Button sx={greyButton} aria-pressed={picking} onClick={onPick}>
            {picking ? "Press the colour in the picture" : "Pick a colour"}
          </Button>
        )}
        {ranges.length < MOST_RANGES && (
          <Button
            sx={greyButton}
            title="All colours in a mask on the picture"
            onClick={() => onMask(ranges.length, "ELLIPSE")}
          >
            A part of it
          </Button>
        )}
      </Box>
      {!shown && (
        <Box sx={{ fontSize: 13, color: grey.text2 }}>
          A range is a hue, a strength and a brightness, or a part of the picture: a sky, skin, a
          coat. It has five numbers of its own.
        </Box>
      )}
      {shown && (
        <>
          <FiveSliders
            five={shown.basics}
            onMove={(basics) => onMove(withShown({ ...shown, basics }))}
            onSet={(basics) => onSet(withShown({ ...shown, basics }))}
          />
          <Box sx={{ borderTop: `1px solid ${grey.rule}`, mt: 1, pt: 1 }}>
            <GreySlider
              label="Hue"
              value={shown.hue}
              least={0}
              most={359}
              unit="°"
              onMove={(hue) => onMove(withShown({ ...shown, hue }))}
              onSet={(hue) => onSet(withShown({ ...shown, hue }))}
            />
            <GreySlider
              label="Width"
              hint="To either side; 180 is every hue, and grey"
              value={shown.width}
              least={0}
              most={180}
              unit="°"
              onMove={(width) => onMove(withShown({ ...shown, width }))}
              onSet={(width) => onSet(withShown({ ...shown, width }))}
            />
            <FromTo
              label="Colour"
              most={MOST_CHROMA}
              value={[shown.weakest, shown.strongest]}
              onMove={([weakest, strongest]) => onMove(withShown({ ...shown, weakest, strongest }))}
              onSet={([weakest, strongest]) => onSet(withShown({ ...shown, weakest, strongest }))}
            />
            <FromTo
              label="Brightness"
              most={100}
              value={[shown.darkest, shown.lightest]}
              onMove={([darkest, lightest]) => onMove(withShown({ ...shown, darkest, lightest }))}
              onSet={([darkest, lightest]) => onSet(withShown({ ...shown, darkest, lightest }))}
            />
            <GreySlider
              label="Softness"
              value={shown.softness}
              least={0}
              most={100}
              unit="%"
              onMove={(softness) => onMove(withShown({ ...shown, softness }))}
              onSet={(softness) => onSet(withShown({ ...shown, softness }))}
            />
          </Box>
          <WherePanel
            where={shown.where}
            onMask={(kind) => onMask(open, kind)}
            onMove={(where) => onMove(withShown({ ...shown, where }))}
            onSet={(where) => onSet(withShown({ ...shown, where }))}
          />
          <Button sx={greyButton} onClick={() => onSet(ranges.filter((_, i) => i !== open))}>
            Take this range out
          </Button>
        </>
      )}
    </Box>
  );
}

/** A range's name: where on the circle of hues it lies, or what part of the picture it is. */
function nameOf({ hue, width, lightest, darkest, where }: ColourRange): string {
  if (width < 180) return NAMES[Math.round(hue / 30) % NAMES.length] ?? "";
  if (darkest > 50) return "lights";
  if (lightest < 60) return "darks";
  if (where.of !== "ALL") return where.of === "SUBJECT" ? "subject" : "behind it";
  return where.masks[0] ? MASK_NAMES[where.masks[0].kind] : "all hues";
}

/** Hues of Oklab by steps of 30 degrees. */
const NAMES = [
  "pinks",
  "reds",
  "oranges",
  "yellows",
  "limes",
  "greens",
  "greens",
  "teals",
  "skies",
  "blues",
  "violets",
  "magentas",
];

function FromTo({
  label,
  most,
  value,
  onMove,
  onSet,
}: {
  label: string;
  most: number;
  value: [number, number];
  onMove: (to: [number, number]) => void;
  onSet: (to: [number, number]) => void;
}) {
  const [pressed, setPressed] = useState<[number, number] | null>(null);
  const soon = useSoon(() => {
    if (pressed) onSet(pressed);
    setPressed(null);
  });
  const pair = (to: number | number[]): [number, number] =>
    Array.isArray(to) ? [to[0] ?? 0, to[1] ?? most] : [0, to];
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 3, height: 30 }}>
      <Box sx={{ width: 84, flex: "none" }}>{label}</Box>
      <Slider
        value={pressed ?? value}
        min={0}
        max={most}
        disableSwap
        getAriaLabel={(i) => `${label}, ${i === 0 ? "from" : "to"}`}
        onChange={(_, to) => onMove(pair(to))}
        onChangeCommitted={(e, to) => {
          if (e.type !== "change" && e.type !== "keydown") {
            onSet(pair(to));
            return;
          }
          setPressed(pair(to));
          soon.ask();
        }}
        onBlur={soon.now}
        sx={{
          color: grey.text,
          "& .MuiSlider-rail": { bgcolor: grey.text2, opacity: 1 },
          "& .MuiSlider-thumb": { bgcolor: "#FFFFFF" },
        }}
      />
      <Box sx={{ width: 110, flex: "none", fontSize: 13, color: grey.text2 }}>
        {Math.round((value[0] / most) * 100)} to {Math.round((value[1] / most) * 100)} %
      </Box>
    </Box>
  );
}
