import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Select from "@mui/material/Select";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import type { Encoding, Film, Output, OutputSaid, Production } from "../../api/client";
import { useWords } from "../../api/words";
import { KeptText } from "../../parts/KeptText";
import { Labelled } from "../../parts/Labelled";
import { NumberField } from "../../parts/NumberField";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import { catches, freeAt } from "../mix/moments";
import { sidesOf } from "../score/shapes";
import { useEncodings } from "../../api/presets";
import { KeepPreset } from "./KeepPreset";
import { qualityName, rateOf } from "./quality";

/** What places of publication ask for, in LUFS. */
const LOUDNESS = [-14, -16, -23];

/** The language of the voice. */
const SPOKEN = "en";

const RATES = ["24", "24000/1001", "25", "30000/1001", "30"];

/** Lines of the shorter side that are offered; null is the film's own. */
const LINES = [null, 720, 1080, 2160];

interface Props {
  production: Production;
  film: Film;
  output: Output;
  onChange: (said: OutputSaid) => void;
  onRemove: () => void;
  onRender: () => void;
  onClose: () => void;
}

/** All that is said of an output; each change is kept at once. */
export function OutputCard(props: Props) {
  const { production, film, output, onRemove, onRender, onClose } = props;
  const { said } = output;
  const encodings = useEncodings().data ?? [];
  const change = (to: Partial<OutputSaid>) => props.onChange({ ...said, ...to });
  const sizing = encodings.find((e) => e.encoding === said.encoding)?.sizing ?? "NONE";
  return (
    <Box component="section" aria-label="Output" sx={{ p: 4, display: "grid", gap: 3 }}>
      <Box sx={{ display: "flex", alignItems: "center" }}>
        <Box component="h1" sx={{ typography: "h1", m: 0, flex: 1 }}>
          Output
        </Box>
        <Button size="small" onClick={onClose}>
          Release sheet
        </Button>
      </Box>
      <KeptText
        label="Name"
        value={said.name}
        most={120}
        onChange={(name) => name.trim() !== "" && change({ name })}
      />
      <Box sx={{ color: ink.ink2, mt: -2 }}>
        {/[{}]/.test(said.name)
          ? `Called “${output.called}”`
          : "{film}, {shape}, {lines} and {rate} stand for its own"}
      </Box>
      <Labelled label="Written as">
        <Select
          fullWidth
          value={said.encoding}
          inputProps={{ "aria-label": "Written as" }}
          onChange={(e) => {
            const encoding = e.target.value as Encoding;
            const to = encodings.find((one) => one.encoding === encoding)?.sizing;
            change({ encoding, megabytes: to === sizing ? said.megabytes : null });
          }}
        >
          {encodings.map(({ encoding, label }) => (
            <MenuItem key={encoding} value={encoding}>
              {label}
            </MenuItem>
          ))}
        </Select>
      </Labelled>
      {output.pictures && <PictureFields film={film} said={said} sizing={sizing} change={change} />}
      {output.pictures && (
        <Labelled label="Rate">
          <Select
            fullWidth
            value={said.rate ?? production.rate}
            inputProps={{ "aria-label": "Rate" }}
            onChange={(e) =>
              change({ rate: e.target.value === production.rate ? null : e.target.value })
            }
          >
            {(RATES.includes(production.rate) ? RATES : [production.rate, ...RATES]).map((r) => (
              <MenuItem key={r} value={r}>
                {Number(rateOf(r).toFixed(3))} fps
                {r === production.rate ? ", as the production" : ""}
              </MenuItem>
            ))}
          </Select>
        </Labelled>
      )}
      {output.pictures && (
        <CaptionField production={production} film={film} said={said} change={change} />
      )}
      {said.encoding === "STILL" ? (
        <StillFields film={film} output={output} change={change} />
      ) : (
        <>
          <PartFields film={film} output={output} change={change} />
          <Labelled label="The place it is for takes">
            <NumberField
              label="up to"
              unit="s"
              digits={0}
              value={said.longest ?? 0}
              zero="any length"
              hint="Seconds; a longer output is told among the checks; 0 for any length"
              onChange={(seconds) => change({ longest: seconds === 0 ? null : seconds })}
            />
          </Labelled>
        </>
      )}
      {output.sound && <LoudnessFields said={said} change={change} />}
      <Box sx={{ display: "flex", gap: 2 }}>
        <Button variant="contained" color="primary" onClick={onRender}>
          Render this
        </Button>
        <Box sx={{ flex: 1 }} />
        <Button onClick={onRemove}>Take it out</Button>
      </Box>
      <KeepPreset said={said} />
    </Box>
  );
}

type Change = (to: Partial<OutputSaid>) => void;

function PictureFields(props: {
  film: Film;
  said: OutputSaid;
  sizing: "NONE" | "MET" | "LIMIT";
  change: Change;
}) {
  const { film, said, sizing, change } = props;
  const own = film.shapes[0]?.name;
  const shape = said.shape ?? own;
  const known = film.shapes.some((s) => s.name === shape);
  const setShape = (to: string) => {
    const sides = sidesOf(to);
    if (sides) change({ shape: `${sides.across}:${sides.down}` });
  };
  return (
    <>
      <Labelled label="Shape">
        <ToggleButtonGroup
          exclusive
          fullWidth
          aria-label="Shape"
          value={shape}
          onChange={(_, to: string | null) => to && change({ shape: to === own ? null : to })}
        >
          {film.shapes.map((s) => (
            <ToggleButton key={s.name} value={s.name}>
              {s.name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <KeptText
          hideLabel
          label="Another shape"
          placeholder="or another, such as 2:1"
          value={known ? "" : (shape ?? "")}
          most={9}
          onChange={setShape}
          sx={{ mt: 1 }}
        />
      </Labelled>
      <Labelled label="Lines of the shorter side">
        <Box sx={{ display: "flex", gap: 3, alignItems: "center" }}>
          <ToggleButtonGroup
            exclusive
            aria-label="Lines"
            value={said.lines ?? "film"}
            onChange={(_, to: number | "film" | null) =>
              to !== null && change({ lines: to === "film" ? null : to })
            }
          >
            {LINES.map((lines) => (
              <ToggleButton key={lines ?? "film"} value={lines ?? "film"}>
                {lines ?? "as the film"}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          <NumberField
            label="lines"
            bare
            unit=""
            digits={0}
            value={said.lines ?? 0}
            zero="other"
            hint="Another number, 144 to 2160"
            onChange={(lines) => change({ lines })}
          />
        </Box>
      </Labelled>
      <Labelled label="Quality">
        <Box sx={{ display: "flex", gap: 3, alignItems: "center" }}>
          <ToggleButtonGroup
            exclusive
            aria-label="Quality"
            value={said.megabytes === null || sizing === "LIMIT" ? said.quality : "size"}
            onChange={(_, to: OutputSaid["quality"] | null) =>
              to && change({ quality: to, megabytes: sizing === "LIMIT" ? said.megabytes : null })
            }
          >
            {(["SMALL", "STANDARD", "HIGH"] as const).map((q) => (
              <ToggleButton key={q} value={q}>
                {qualityName[q]}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          {sizing !== "NONE" && (
            <NumberField
              label={sizing === "MET" ? "or a file of" : "up to"}
              unit="MB"
              digits={1}
              value={said.megabytes ?? 0}
              zero="any"
              hint={
                sizing === "MET"
                  ? "In two passes, met within 3 %; 0 for by its quality"
                  : "Its pictures are made smaller until it is; 0 for any size"
              }
              onChange={(size) => change({ megabytes: size === 0 ? null : size })}
            />
          )}
        </Box>
      </Labelled>
    </>
  );
}

/** Which captions stand in its pictures. */
function CaptionField(props: {
  production: Production;
  film: Film;
  said: OutputSaid;
  change: Change;
}) {
  const { production, film, said, change } = props;
  const words = useWords(production.id, film.revision, SPOKEN, null).data;
  return (
    <Labelled label="Captions in the picture">
      <Select
        fullWidth
        value={said.captions ?? "film"}
        inputProps={{ "aria-label": "Captions in the picture" }}
        onChange={(e) => change({ captions: e.target.value === "film" ? null : e.target.value })}
      >
        <MenuItem value="film">as Words says for this shape</MenuItem>
        <MenuItem value="">none</MenuItem>
        {words?.languages.map(({ language }) => (
          <MenuItem key={language} value={language}>
            {language}
          </MenuItem>
        ))}
      </Select>
    </Labelled>
  );
}

interface OfPart {
  film: Film;
  output: Output;
  change: Change;
}

/** What a frame is nearest to, and keeps to. */
const tieAt = (film: Film, frame: number) =>
  catches(film, null).find((moment) => moment.frame === frame)?.tie ?? freeAt(frame);

/** Which picture of the film a still is. */
function StillFields({ film, output, change }: OfPart) {
  const frame = useRoom((s) => s.frame);
  return (
    <Labelled label="Picture">
      <Box sx={{ display: "flex", alignItems: "center", gap: 2 }}>
        <Box sx={{ flex: 1 }}>{output.part}</Box>
        {output.start !== frame && (
          <Button
            size="small"
            title={`Frame ${frame}, where the film stands in Score; it keeps to the beat or word there`}
            onClick={() => change({ from: tieAt(film, frame), to: null })}
          >
            The one at the playhead
          </Button>
        )}
      </Box>
    </Labelled>
  );
}

/** Where it begins and ends, tied to what is nearest to the chosen range's ends. */
function PartFields({ film, output, change }: OfPart) {
  const range = useRoom((s) => s.range);
  const whole = output.said.from === null && output.said.to === null;
  return (
    <Labelled label="Part">
      <Box sx={{ display: "flex", alignItems: "center", gap: 2 }}>
        <Box sx={{ flex: 1 }}>{output.part}</Box>
        {!whole && (
          <Button size="small" onClick={() => change({ from: null, to: null })}>
            The whole film
          </Button>
        )}
        {range && (
          <Button
            size="small"
            title="Chosen in Score with ( and ); it keeps to the beats and words it begins and ends on"
            onClick={() => change({ from: tieAt(film, range.from), to: tieAt(film, range.to) })}
          >
            The chosen range
          </Button>
        )}
      </Box>
      {!range && whole && (
        <Box sx={{ color: ink.ink2 }}>Choose a range in Score with ( and ) for a part of it.</Box>
      )}
    </Labelled>
  );
}

function LoudnessFields({ said, change }: { said: OutputSaid; change: Change }) {
  const { loudness } = said;
  return (
    <Labelled label="Loudness">
      <ToggleButtonGroup
        exclusive
        fullWidth
        aria-label="Loudness"
        value={loudness === null ? "mixed" : LOUDNESS.includes(loudness) ? loudness : "own"}
        onChange={(_, to: number | "mixed" | "own" | null) => {
          if (to === null || to === "own") return;
          change(
            to === "mixed"
              ? { loudness: null, peak: null }
              : { loudness: to, peak: said.peak ?? -1 },
          );
        }}
      >
        <ToggleButton value={-14} title="LUFS; for the web, louder places">
          −14
        </ToggleButton>
        <ToggleButton value={-16} title="LUFS; for the web, softer places">
          −16
        </ToggleButton>
        <ToggleButton value={-23} title="LUFS; broadcast, EBU R 128">
          −23
        </ToggleButton>
        <ToggleButton value="mixed" title="Peaks under −1 dBTP, nothing else">
          as mixed
        </ToggleButton>
      </ToggleButtonGroup>
      {loudness !== null && (
        <Box sx={{ display: "flex", gap: 4, mt: 1 }}>
          <NumberField
            label="LUFS"
            unit=""
            digits={1}
            value={loudness}
            hint="Integrated loudness, -40 to -5"
            onChange={(to) => change({ loudness: to })}
          />
          <NumberField
            label="peaks under"
            unit="dBTP"
            digits={1}
            value={said.peak ?? -1}
            hint="True peaks, -20 to 0"
            onChange={(peak) => change({ peak })}
          />
        </Box>
      )}
    </Labelled>
  );
}
