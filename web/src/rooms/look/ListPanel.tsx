import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { ColourList } from "../../api/client";
import { NumberField } from "../../parts/NumberField";
import { FileButton } from "./FileButton";
import { grey, greyButton } from "./grey";

const ROWS = [
  { name: "slope", label: "Slope", hint: "What a channel is multiplied by; 0 or more" },
  { name: "offset", label: "Offset", hint: "What is added to it" },
  { name: "power", label: "Power", hint: "What it is raised to; above 0" },
] as const;

const CHANNELS = ["red", "green", "blue"] as const;

/** A shot's colour decision list, ten numbers after ASC CDL 1.2. */
export function ListPanel({
  list,
  files,
  onSet,
  onBringIn,
}: {
  list: ColourList;
  /** Where the shot's correction is had as files. */
  files: { cube: string; cdl: string; all: string };
  onSet: (list: ColourList) => void;
  onBringIn: (file: File) => void;
}) {
  return (
    <Box sx={{ "& .MuiOutlinedInput-root": { bgcolor: grey.text, width: 80 } }}>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: "84px repeat(3, 80px)",
          gap: 2,
          alignItems: "center",
        }}
      >
        <Box />
        {CHANNELS.map((c) => (
          <Box key={c} sx={{ fontSize: 12, color: grey.text2, textAlign: "right" }}>
            {c}
          </Box>
        ))}
        {ROWS.map(({ name, label, hint }) => [
          <Box key={name} title={hint}>
            {label}
          </Box>,
          ...CHANNELS.map((channel) => (
            <NumberField
              key={`${name} ${channel}`}
              label={`${label} of ${channel}`}
              unit=""
              digits={3}
              bare
              value={list[name][channel]}
              onChange={(to) => onSet({ ...list, [name]: { ...list[name], [channel]: to } })}
            />
          )),
        ])}
        <Box title="About luma; 1 leaves it">Saturation</Box>
        <NumberField
          label="Saturation of the list"
          unit=""
          digits={3}
          bare
          value={list.saturation}
          onChange={(to) => onSet({ ...list, saturation: to })}
        />
      </Box>
      <Box sx={{ fontSize: 13, color: grey.text2, mt: 3 }}>
        Done after the numbers, tones and curves. A match that finds places both shots show puts
        here what the five numbers cannot say. What is meant in a part of the picture is in no file:
        a table does not know where a colour lies.
      </Box>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, mt: 3 }}>
        <FileButton accept=".cc,.ccc,.cdl,.cube" onFile={onBringIn}>
          Bring in .cdl or .cube
        </FileButton>
        <Button sx={greyButton} href={files.cdl} title="The nearest that a list can say">
          .cdl
        </Button>
        <Button sx={greyButton} href={files.cube} title="This shot’s correction as a table of 33">
          .cube
        </Button>
        <Button
          sx={greyButton}
          href={files.all}
          title="A table of each corrected shot, and one of the finish"
        >
          All as .cube
        </Button>
      </Box>
    </Box>
  );
}
