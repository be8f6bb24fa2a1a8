import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import { useState } from "react";
import { finishFileUrl, finishedUrl, type Finish, type Treatment } from "../../api/client";
import { useFinishes, useKeepFinish } from "../../api/finishes";
import { useTreatments } from "../../api/queries";
import { BareButton } from "../../parts/BareButton";
import { FileButton } from "./FileButton";
import { GreySlider } from "./GreySlider";
import { NameForm } from "./NameForm";
import { grey, greyButton } from "./grey";
import { TREATMENT, shownAs, withAt } from "../score/treatments";

interface Props {
  production: number;
  revision: number;
  /** A frame of the film on which finishes are seen. */
  frame: number;
  treatments: readonly Treatment[];
  /** What it lies over, by its id in the film; "" for the whole film, or where nothing lies yet. */
  item: string;
  /** The same in words; null for the whole film. */
  over: string | null;
  /** In percent of the shots' pixels, what it makes black or white that was neither. */
  clipped: number;
  onMove: (treatments: readonly Treatment[]) => void;
  onSet: (treatments: readonly Treatment[]) => void;
  /** A table of colours, laid over the same. */
  onTable: (file: File) => void;
}

/** What lies over the whole film: ours to choose from, each of its values, and the person's own. */
export function FinishPanel(props: Props) {
  const { production, revision, frame, treatments, item, over, clipped } = props;
  const { onMove, onSet, onTable } = props;
  const kinds = useTreatments().data ?? [];
  const finishes = useFinishes().data ?? [];
  const keep = useKeepFinish();
  const [open, setOpen] = useState<number | null>(null);
  const [naming, setNaming] = useState(false);
  const bringIn = (file: File) => {
    if (/\.cube$/i.test(file.name)) onTable(file);
    else void file.text().then((text) => keep.bringIn(file.name, text));
  };
  const same = JSON.stringify(treatments);
  const chosen = finishes.find((f) => JSON.stringify(f.treatments) === same);
  return (
    <Box component="section" aria-label="Finish">
      <Box sx={{ fontSize: 13, color: grey.text2, mb: 2 }}>
        {over === null
          ? "Over the whole film, after each shot’s own correction."
          : `Over ${over} alone, under the finish of the film.`}
        {clipped >= 0.05 &&
          ` It makes ${clipped.toFixed(1)} % of the pixels black or white that were neither.`}
      </Box>
      {treatments.map((t, i) => {
        const kind = kinds.find((k) => k.kind === t.kind);
        const name = TREATMENT[t.kind];
        return (
          <Box key={`${i} ${t.kind}`} role="group" aria-label={name}>
            <Box sx={{ display: "flex", alignItems: "center", minHeight: 30, gap: 1 }}>
              <Checkbox
                size="small"
                checked={!t.bypassed}
                slotProps={{ input: { "aria-label": `${name} is done` } }}
                title="Leave it out to compare"
                onChange={(_, on) => onSet(withAt(treatments, i, { ...t, bypassed: !on }))}
                sx={{ p: 0.5, ml: -1, color: grey.text2, "&.Mui-checked": { color: "#FFFFFF" } }}
              />
              <BareButton
                aria-expanded={open === i}
                onClick={() => setOpen(open === i ? null : i)}
                sx={{ flex: 1, color: t.bypassed ? grey.rule : grey.text, fontWeight: 600 }}
              >
                {name}
                <Box component="span" sx={{ fontWeight: 400, color: grey.text2 }}>
                  {" "}
                  {open === i || !kind ? "" : inWords(t, kind.parameters)}
                </Box>
              </BareButton>
              <Button
                sx={greyButton}
                aria-label={`Take ${name} out`}
                onClick={() => onSet(treatments.filter((_, other) => other !== i))}
              >
                Out
              </Button>
            </Box>
            {open === i &&
              kind?.parameters.map((p, at) => {
                const value = t.values[at];
                if (!value) return null;
                const { unit, scale, digits, hint } = shownAs(p);
                const to = (v: number) =>
                  withAt(treatments, i, {
                    ...t,
                    values: withAt(t.values, at, {
                      ...value,
                      value: Math.max(p.least, Math.min(p.most, v)),
                    }),
                  });
                return (
                  <GreySlider
                    key={p.name}
                    label={p.name}
                    value={value.value}
                    least={p.least}
                    most={p.most}
                    parts={scale}
                    digits={digits}
                    unit={unit}
                    hint={hint}
                    onMove={(v) => onMove(to(v))}
                    onSet={(v) => onSet(to(v))}
                  />
                );
              })}
          </Box>
        );
      })}
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, my: 2 }}>
        {treatments.length > 0 && (
          <Button sx={greyButton} onClick={() => onSet([])}>
            No finish
          </Button>
        )}
        {treatments.length > 0 && !chosen && !naming && (
          <Button sx={greyButton} onClick={() => setNaming(true)}>
            Save as my own
          </Button>
        )}
        {naming && (
          <NameForm
            label="Name of the finish"
            placeholder="Its name"
            act="Save"
            onName={(name) => {
              keep.save(name, treatments);
              setNaming(false);
            }}
            onGiveUp={() => setNaming(false)}
          />
        )}
        {chosen && (
          <Button sx={greyButton} href={finishFileUrl(chosen.id)}>
            Save as a file
          </Button>
        )}
        {chosen?.own && (
          <Button sx={greyButton} onClick={() => keep.remove(chosen.id)}>
            Off my list
          </Button>
        )}
        <FileButton accept=".json,.cube" onFile={bringIn}>
          Bring one in
        </FileButton>
      </Box>
      <Box
        role="group"
        aria-label="Finishes"
        sx={{
          display: "grid",
          gridTemplateColumns: "repeat(auto-fill, minmax(128px, 1fr))",
          gap: 2,
        }}
      >
        {finishes.map((f) => (
          <Tile
            key={f.id}
            finish={f}
            src={finishedUrl(production, revision, frame, item, f.treatments, true)}
            chosen={f === chosen}
            onChoose={() => {
              onSet(f.treatments);
              setOpen(null);
            }}
          />
        ))}
      </Box>
    </Box>
  );
}

/** The first value of a treatment, with its unit. */
function inWords(t: Treatment, parameters: readonly Parameters<typeof shownAs>[0][]): string {
  const parameter = parameters[0];
  const value = t.values[0];
  if (!parameter || !value) return "";
  const { unit, scale, digits } = shownAs(parameter);
  return `${((value.follows?.to ?? value.value) / scale).toFixed(digits)} ${unit}`;
}

function Tile({
  finish,
  src,
  chosen,
  onChoose,
}: {
  finish: Finish;
  src: string;
  chosen: boolean;
  onChoose: () => void;
}) {
  return (
    <BareButton aria-pressed={chosen} title={finish.says} onClick={onChoose}>
      <Box
        component="img"
        alt=""
        loading="lazy"
        src={src}
        sx={{
          display: "block",
          width: "100%",
          aspectRatio: "16 / 9",
          objectFit: "cover",
          border: "2px solid",
          borderColor: chosen ? "#FFFFFF" : "transparent",
        }}
      />
      <Box sx={{ fontSize: 12, lineHeight: "16px", color: chosen ? "#FFFFFF" : grey.text2 }}>
        {finish.name}
        {finish.own ? ", mine" : ""}
      </Box>
    </BareButton>
  );
}
