import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Select from "@mui/material/Select";
import Slider from "@mui/material/Slider";
import type { ReactNode } from "react";
import type { Film, LaidSound, Production, SoundManner } from "../../api/client";
import { aloneUrl } from "../../api/sounds";
import { LowButton } from "../../parts/LowButton";
import { NumberField } from "../../parts/NumberField";
import { decimal } from "../../parts/words";
import { fraunces, ink } from "../../theme";
import { FollowRow } from "../follow/FollowRow";
import type { Follow } from "../follow/useFollow";
import { AsideFields } from "./AsideFields";
import { FadeField } from "./FadeField";
import { SoundFilters } from "./SoundFilters";
import { hear, hearAround } from "./hearing";
import { RATE, frameOf, freeAt, onCut } from "./moments";
import { TiesThere } from "./TiesThere";
import { panOf } from "./pan";
import type { MixActions } from "./useMixActions";

interface Props {
  production: Production;
  film: Film;
  sound: LaidSound;
  chosen: readonly string[];
  actions: MixActions;
  follow: Follow;
  onLike: (sound: number) => void;
}

const ROOMS: readonly { room: SoundManner["room"]; name: string }[] = [
  { room: "NONE", name: "as it is" },
  { room: "CUPBOARD", name: "cupboard" },
  { room: "CABIN", name: "cabin" },
  { room: "PARLOUR", name: "parlour" },
  { room: "STAIRWELL", name: "stairwell" },
  { room: "CELLAR", name: "cellar" },
  { room: "HALL", name: "hall" },
  { room: "NAVE", name: "nave" },
  { room: "VALLEY", name: "valley" },
  { room: "OUT_OF_DOORS", name: "out of doors" },
  { room: "THROUGH_A_WALL", name: "through a wall" },
  { room: "SMALL_SPEAKER", name: "small speaker" },
  { room: "UNDER_WATER", name: "under water" },
];

const MILLISECOND = RATE / 1000;

/** What is said of a laid sound; with several chosen, of all of them. */
export function SoundCard(props: Props) {
  const { production, film, sound, chosen, actions, follow, onLike } = props;
  const fps = production.framesPerSecond;
  const { how } = sound;
  const landing = sound.place ? frameOf(sound.place.landing, fps) : null;
  const change = (to: Partial<SoundManner>) => actions.change(chosen, (own) => ({ ...own, ...to }));
  const step = (way: 1 | -1) => actions.step(sound, way);
  const cut = film.shots.find(
    (s) => landing !== null && s.start <= landing + 0.5 && s.end > landing + 0.5,
  );
  const after = film.shots[(cut?.place ?? -2) + 1];
  return (
    <Box
      component="section"
      aria-label={sound.name}
      sx={{
        px: 3,
        py: 2,
        borderTop: `1px solid ${ink.rule2}`,
        overflow: "auto",
        flex: "none",
        maxHeight: 312,
      }}
    >
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 2 }}>
        <Box sx={{ ...fraunces, fontSize: 17, fontWeight: 460, flex: 1, minWidth: 0 }}>
          {chosen.length > 1 ? `${chosen.length} sounds` : sound.name}
        </Box>
        <Box sx={{ color: ink.ink2, fontSize: 12 }}>
          {sound.place
            ? `${((sound.place.end - sound.place.start) / RATE).toFixed(2)} s`
            : "what it is tied to is gone"}
        </Box>
      </Box>
      <Line label="Lands">
        <Box sx={{ flex: 1, minWidth: 0, lineHeight: "15px" }}>
          {sound.says}
          {sound.offset !== 0 && (
            <Box component="span" sx={{ color: ink.ink2 }}>
              , {decimal(sound.offset / MILLISECOND, 2)} ms
            </Box>
          )}
        </Box>
        <LowButton title="Sooner: the moment before (,)" onPress={() => step(-1)}>
          ‹
        </LowButton>
        <LowButton title="Later: the next moment (.)" onPress={() => step(1)}>
          ›
        </LowButton>
        {cut && sound.at.item !== cut.id && (
          <LowButton onPress={() => actions.land(sound, onCut(cut.id))}>on its cut</LowButton>
        )}
        {sound.at.tie !== "free" && landing !== null && (
          <LowButton onPress={() => actions.land(sound, freeAt(landing))}>free</LowButton>
        )}
      </Line>
      {landing !== null && (
        <TiesThere
          film={film}
          of={sound.id}
          frame={landing}
          now={sound.at}
          onTie={(tie) => actions.land(sound, tie)}
        />
      )}
      <Line label="Goes on">
        <Box sx={{ flex: 1 }}>
          {sound.until ? "to the moment it is tied to" : "as long as it is"}
        </Box>
        {sound.until ? (
          <LowButton onPress={() => actions.until(sound, null)}>as it is</LowButton>
        ) : (
          <LowButton
            title="Repeats it without a seam where it can be, to the next cut"
            onPress={() => actions.until(sound, onCut(after?.id ?? ""))}
          >
            to the next cut
          </LowButton>
        )}
        <LowButton onPress={() => actions.until(sound, onCut(""))}>to the end</LowButton>
      </Line>
      <Value
        label="Gain"
        unit="dB"
        value={how.gain}
        from={-40}
        to={12}
        digits={1}
        onChange={(gain) => change({ gain })}
      />
      <Value
        label="Distance"
        unit="%"
        value={how.distance}
        from={0}
        to={100}
        digits={0}
        onChange={(distance) => change({ distance })}
      />
      {!sound.follows && (
        <Value
          label="Left, right"
          unit="%"
          value={how.pan}
          from={-100}
          to={100}
          digits={0}
          onChange={(pan) => change({ pan })}
        />
      )}
      <FollowRow
        film={film}
        fps={fps}
        follows={sound.follows}
        does="comes from"
        stays="stays on its side"
        busy={follow.busy}
        onPick={() => follow.begin(sound.id)}
        onStay={() => follow.stay(sound.id)}
      />
      {!sound.follows && cut?.focus && landing !== null && (
        <Line label="">
          <LowButton
            title={`From where the focus of ${cut.label} is seen as it lands`}
            onPress={() => change({ pan: panOf(film, cut, landing, production) })}
          >
            as in the picture
          </LowButton>
        </Line>
      )}
      <Line label="Room">
        <Select
          value={how.room}
          size="small"
          inputProps={{ "aria-label": "Room" }}
          onChange={(e) => change({ room: e.target.value })}
          sx={{ height: 26, width: 130 }}
        >
          {ROOMS.map(({ room, name }) => (
            <MenuItem key={room} value={room}>
              {name}
            </MenuItem>
          ))}
        </Select>
        <Box sx={{ flex: 1 }} />
        <LowButton
          pressed={how.time.reversed}
          onPress={() => change({ time: { ...how.time, reversed: !how.time.reversed } })}
        >
          {how.time.reversed ? "backwards: on" : "backwards"}
        </LowButton>
      </Line>
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: "4px 12px", py: 1 }}>
        <FadeField label="Fade in" fade={how.in} onChange={(to) => change({ in: to })} />
        <FadeField label="out" fade={how.out} onChange={(to) => change({ out: to })} />
        <NumberField
          label="Length"
          unit="%"
          digits={0}
          value={how.time.stretch}
          onChange={(stretch) => change({ time: { ...how.time, stretch: Math.round(stretch) } })}
        />
        <NumberField
          label="Pitch"
          unit="half-tones"
          digits={1}
          value={how.time.pitch}
          onChange={(pitch) => change({ time: { ...how.time, pitch } })}
        />
        <NumberField
          label="Times"
          unit=""
          digits={0}
          value={how.repeat.times}
          hint="How often it strikes, each time a little differently"
          onChange={(times) =>
            change({
              repeat: {
                ...how.repeat,
                times: Math.round(times),
                vary: how.repeat.vary === 0 ? 30 : how.repeat.vary,
              },
            })
          }
        />
        <NumberField
          label="every"
          unit="s"
          digits={2}
          value={how.repeat.every / RATE}
          onChange={(s) => change({ repeat: { ...how.repeat, every: Math.round(s * RATE) } })}
        />
      </Box>
      <SoundFilters how={how} onChange={(bands) => change({ equaliser: { bands } })} />
      <AsideFields asked={sound.asked} onAsk={(asked) => actions.aside(chosen, asked)} />
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
        {landing !== null && (
          <Button
            size="small"
            title="The film around it (H)"
            onClick={() => hearAround(film, landing, fps)}
          >
            Hear it there
          </Button>
        )}
        {sound.place && (
          <Button
            size="small"
            onClick={() => hear(aloneUrl(production.id, film.revision, sound.id))}
            title="As it is heard in the film, with nothing else (hold A)"
          >
            Alone
          </Button>
        )}
        {sound.sound != null && (
          <Button size="small" onClick={() => onLike(sound.sound ?? 0)}>
            Others like it
          </Button>
        )}
        <Box sx={{ flex: 1 }} />
        <Button size="small" title="Delete" onClick={() => actions.out(chosen)}>
          Take out
        </Button>
      </Box>
    </Box>
  );
}

function Line({ label, children }: { label: string; children: ReactNode }) {
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1, minHeight: 30 }}>
      <Box sx={{ width: 66, flex: "none", color: ink.ink2 }}>{label}</Box>
      {children}
    </Box>
  );
}

function Value(props: {
  label: string;
  unit: string;
  value: number;
  from: number;
  to: number;
  digits: number;
  onChange: (to: number) => void;
}) {
  const { label, unit, value, from, to, digits, onChange } = props;
  return (
    <Line label={label}>
      <Slider
        size="small"
        key={value}
        defaultValue={value}
        min={from}
        max={to}
        step={digits === 0 ? 1 : 0.1}
        marks={[{ value: 0 }]}
        aria-label={label}
        onChangeCommitted={(_, next) => onChange(next as number)}
        sx={{ flex: 1, mx: 2 }}
      />
      <NumberField
        label={label}
        unit={unit}
        digits={digits}
        value={value}
        bare
        onChange={onChange}
      />
      <Box sx={{ width: 16, color: ink.ink2 }}>{unit}</Box>
    </Line>
  );
}
