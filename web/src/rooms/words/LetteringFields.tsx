import Box from "@mui/material/Box";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import type { Lettering } from "../../api/client";
import { useWordChoices } from "../../api/words";
import { CardRow } from "../../parts/CardRow";
import { Choice } from "../../parts/Choice";
import { NumberField } from "../../parts/NumberField";
import { ink } from "../../theme";
import { ColourField } from "./ColourField";
import { FaceChoice } from "./FaceChoice";
import { lettersOf, shaded, sized } from "./titles";

interface Props {
  lettering: Lettering;
  /** Lines of the film's picture, by which sizes are said. */
  lines: number;
  onTry: (to: Lettering) => void;
  onKeep: (to: Lettering) => void;
}

const PLATES = [
  ["NONE", "no plate"],
  ["BLOCK", "plate behind all"],
  ["LINES", "plate by lines"],
  ["BAND", "dark band"],
  ["PICTURE", "over all"],
] as const;

const FILLS = [
  ["COLOUR", "of one colour"],
  ["FILM", "the film seen through"],
] as const;

/** How a title's letters are set, of what they are made, and what lies round and behind them. */
export function LetteringFields({ lettering, lines, onTry, onKeep }: Props) {
  const family = useWordChoices().data?.families.find((f) => f.name === lettering.face.family);
  const { face, spacing, outline, shadow, plate } = lettering;
  const set = (to: Partial<Lettering>) => onKeep({ ...lettering, ...to });
  const attempt = (to: Partial<Lettering>) => onTry({ ...lettering, ...to });
  return (
    <>
      <CardRow>
        <FaceChoice
          label="Face"
          value={face.family}
          onChange={(to) => set({ face: { family: to, bold: false, italic: false } })}
        />
        <NumberField
          label="size"
          unit="px"
          digits={0}
          bare
          value={(lettering.size * lines) / 1000}
          hint={`The letters' size in a picture of ${lines} lines`}
          onChange={(px) => onKeep(sized(lettering, px, lines))}
        />
        <Box sx={{ color: ink.ink2 }}>px</Box>
      </CardRow>
      {!family?.logotype && (
        <>
          <CardRow>
            <ToggleButtonGroup
              size="small"
              aria-label="Letters"
              value={[
                ...(face.bold ? ["bold"] : []),
                ...(face.italic ? ["italic"] : []),
                spacing.letters,
              ]}
              onChange={(_, on: string[]) =>
                set({
                  face: { ...face, bold: on.includes("bold"), italic: on.includes("italic") },
                  spacing: { ...spacing, letters: lettersOf(on, spacing.letters) },
                })
              }
            >
              {family?.bold && <ToggleButton value="bold">bold</ToggleButton>}
              {family?.italic && <ToggleButton value="italic">italic</ToggleButton>}
              <ToggleButton value="CAPITALS">capitals</ToggleButton>
              <ToggleButton
                value="SMALL_CAPITALS"
                title="The face's own small capitals, if it has them"
              >
                small
              </ToggleButton>
            </ToggleButtonGroup>
          </CardRow>
          <CardRow>
            <NumberField
              label="apart"
              unit=""
              digits={0}
              value={spacing.tracking}
              hint="More between letters, in thousandths of their size"
              onChange={(tracking) =>
                set({ spacing: { ...spacing, tracking: Math.round(tracking) } })
              }
            />
            <NumberField
              label="lines"
              unit="%"
              digits={0}
              value={spacing.leading}
              hint="From line to line, in percent of the letters' size"
              onChange={(leading) => set({ spacing: { ...spacing, leading: Math.round(leading) } })}
            />
          </CardRow>
          <CardRow>
            <Choice
              label="Letters are"
              value={lettering.fill}
              of={FILLS}
              onChange={(fill) => set({ fill })}
            />
            <ColourField
              label="Colour of the letters"
              value={lettering.colour}
              onTry={(colour) => attempt({ colour })}
              onKeep={(colour) => set({ colour })}
            />
          </CardRow>
          <CardRow>
            <NumberField
              label="outline"
              unit="%"
              digits={1}
              value={outline.width / 10}
              hint="How wide it is, in percent of the letters' size; half of it lies under them"
              onChange={(width) => set({ outline: { ...outline, width: Math.round(10 * width) } })}
            />
            <ColourField
              label="Colour of the outline"
              value={outline.colour}
              onTry={(colour) => attempt({ outline: { ...outline, colour } })}
              onKeep={(colour) => set({ outline: { ...outline, colour } })}
            />
          </CardRow>
        </>
      )}
      <CardRow>
        <NumberField
          label="shadow"
          unit="%"
          digits={0}
          value={shadow.opacity}
          hint="How dense it is"
          onChange={(opacity) => set({ shadow: shaded(shadow, Math.round(opacity)) })}
        />
        <ColourField
          label="Colour of the shadow"
          value={shadow.colour}
          onTry={(colour) => attempt({ shadow: { ...shadow, colour } })}
          onKeep={(colour) => set({ shadow: { ...shadow, colour } })}
        />
      </CardRow>
      <CardRow>
        <NumberField
          label="away"
          unit="%"
          digits={1}
          value={shadow.away / 10}
          hint="How far it is thrown, in percent of the letters' size; at 0 it glows"
          onChange={(away) => set({ shadow: { ...shadow, away: Math.round(10 * away) } })}
        />
        <NumberField
          label="soft"
          unit="%"
          digits={1}
          value={shadow.softness / 10}
          hint="How soft the shadow is, in percent of the letters' size"
          onChange={(soft) => set({ shadow: { ...shadow, softness: Math.round(10 * soft) } })}
        />
      </CardRow>
      <CardRow>
        <Choice
          label="Plate"
          value={plate.kind}
          of={PLATES}
          onChange={(kind) =>
            set({
              plate: {
                ...plate,
                kind,
                opacity: kind !== "NONE" && plate.opacity === 0 ? 65 : plate.opacity,
              },
            })
          }
        />
        <NumberField
          label="plate"
          unit="%"
          digits={0}
          bare
          value={plate.opacity}
          hint="How dense the plate is, in percent"
          onChange={(opacity) => set({ plate: { ...plate, opacity: Math.round(opacity) } })}
        />
        <Box sx={{ color: ink.ink2 }}>%</Box>
        <ColourField
          label="Colour of the plate"
          value={plate.colour}
          onTry={(colour) => attempt({ plate: { ...plate, colour } })}
          onKeep={(colour) => set({ plate: { ...plate, colour } })}
        />
      </CardRow>
    </>
  );
}
