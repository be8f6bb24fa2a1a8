import Box from "@mui/material/Box";
import MenuItem from "@mui/material/MenuItem";
import Select from "@mui/material/Select";
import Slider from "@mui/material/Slider";
import { useState } from "react";
import type { Film } from "../../api/client";
import { NumberField } from "../../parts/NumberField";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import { WordChoice, isSpoken } from "./WordChoice";
import {
  SOURCE,
  following,
  isLevel,
  shownAs,
  still,
  wordNear,
  type Follows,
  type Parameter,
  type Value,
} from "./treatments";

interface Props {
  parameter: Parameter;
  value: Value;
  film: Film;
  onSet: (to: Value) => void;
}

const STILL = "still";

/** One value of a treatment: by a slider or typed, still or following a clock. */
export function ParameterRow({ parameter, value, film, onSet }: Props) {
  const follows = value.follows;
  const { unit, scale, digits, hint } = shownAs(parameter);
  const typed = (v: number) =>
    Math.max(parameter.least, Math.min(parameter.most, Math.round(v * scale)));
  return (
    <Box sx={{ pl: 6, pb: 2 }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 2 }}>
        <Box sx={{ width: 58, color: ink.ink2 }}>{parameter.name}</Box>
        <Range
          parameter={parameter}
          value={value}
          onSet={(rest, to) =>
            onSet({ value: rest, follows: follows ? { ...follows, to: to ?? follows.to } : null })
          }
        />
        <NumberField
          bare
          label={parameter.name}
          unit={unit}
          digits={digits}
          value={(follows?.to ?? value.value) / scale}
          hint={follows ? `${hint ?? "What it reaches"}, on a hit` : hint}
          onChange={(v) =>
            onSet(
              follows
                ? { ...value, follows: { ...follows, to: typed(v) } }
                : { ...value, value: typed(v) },
            )
          }
        />
        <Box sx={{ width: 16, color: ink.ink2 }}>{unit}</Box>
      </Box>
      <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "center", gap: 2 }}>
        <Select
          size="small"
          value={follows?.source ?? STILL}
          inputProps={{ "aria-label": `What ${parameter.name} follows` }}
          sx={{ height: 24 }}
          onChange={(e) => {
            const to = e.target.value as Follows["source"] | typeof STILL;
            if (to === STILL) onSet(still(value));
            else if (to !== "WORD") onSet(following(value, parameter, to));
            else onSet(following(value, parameter, to, wordNear(film, useRoom.getState().frame)));
          }}
        >
          <MenuItem value={STILL}>stays</MenuItem>
          {(Object.keys(SOURCE) as Follows["source"][])
            .filter((source) => source !== "WORD" || source === follows?.source || hasWords(film))
            .map((source) => (
              <MenuItem key={source} value={source} title={SOURCE[source].says}>
                on {SOURCE[source].name}
              </MenuItem>
            ))}
        </Select>
        {follows?.source === "WORD" && (
          <WordChoice
            label={`The word ${parameter.name} follows`}
            film={film}
            at={follows}
            onSet={(at) => onSet({ ...value, follows: { ...follows, ...at } })}
          />
        )}
        {follows && (
          <>
            <NumberField
              label="rises"
              unit="ms"
              digits={0}
              value={follows.attack}
              hint={
                isLevel(follows.source)
                  ? "How slowly it follows a rising level"
                  : "How long before a hit it begins to rise"
              }
              onChange={(v) => onSet({ ...value, follows: { ...follows, attack: Math.round(v) } })}
            />
            <NumberField
              label="falls"
              unit="ms"
              digits={0}
              value={follows.decay}
              hint="How long it takes back to rest"
              onChange={(v) => onSet({ ...value, follows: { ...follows, decay: Math.round(v) } })}
            />
            {missing(film, follows) && <Box sx={{ color: ink.rust }}>{missing(film, follows)}</Box>}
          </>
        )}
      </Box>
    </Box>
  );
}

/** Why nothing is heard of what a value follows; null if something is. */
function missing(film: Film, follows: Follows): string | null {
  switch (follows.source) {
    case "MARKERS":
      return film.markers.length === 0 ? "No marker is set yet: N sets one at the playhead." : null;
    case "WORDS":
      return film.voice.length === 0 ? "No line is read yet." : null;
    case "WORD":
      return isSpoken(film, follows) ? null : "Its line is not heard any more: choose a word.";
    default:
      return film.clock.song === null ? "There is no song yet." : null;
  }
}

const hasWords = (film: Film) => film.voice.some(({ words }) => words.length > 0);

/** A slider of one value, or of rest and what is reached. */
function Range({
  parameter,
  value,
  onSet,
}: {
  parameter: Parameter;
  value: Value;
  onSet: (rest: number, to: number | null) => void;
}) {
  const now = value.follows ? [value.value, value.follows.to] : value.value;
  const [drawn, setDrawn] = useState<number | number[] | null>(null);
  const { least, most } = parameter;
  return (
    <Slider
      size="small"
      sx={{ flex: 1 }}
      min={least}
      max={most}
      value={drawn ?? now}
      disableSwap
      marks={least < 0 ? [{ value: 0 }] : false}
      aria-label={Array.isArray(now) ? undefined : parameter.name}
      getAriaLabel={
        Array.isArray(now)
          ? (i) => `${parameter.name} ${i === 0 ? "at rest" : "on a hit"}`
          : undefined
      }
      onChange={(_, to) => setDrawn(to)}
      onChangeCommitted={(_, to) => {
        setDrawn(null);
        if (Array.isArray(to)) onSet(to[0] ?? least, to[1] ?? most);
        else onSet(to, null);
      }}
    />
  );
}
