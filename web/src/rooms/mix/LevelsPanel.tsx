import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import Slider from "@mui/material/Slider";
import { Fragment } from "react";
import type { BusFader, Film, HeardMix, Mix, Production } from "../../api/client";
import { lineUrl } from "../../api/sounds";
import { NumberField } from "../../parts/NumberField";
import { decimal } from "../../parts/words";
import { fraunces, ink } from "../../theme";
import { LinePoints } from "./LinePoints";
import { TurnRows } from "./TurnRows";
import type { Bus } from "./busLine";
import { hear } from "./hearing";
import { TARGET } from "./parts";
import type { MixActions } from "./useMixActions";

interface Props {
  production: Production;
  film: Film;
  mix: Mix;
  heard: HeardMix | undefined;
  /** The bus whose line is drawn, or null. */
  lined: Bus | null;
  onLine: (bus: Bus | null) => void;
  actions: MixActions;
}

const NAMES: Record<BusFader["bus"], string> = {
  VOICE: "voice",
  MUSIC: "music",
  SOUNDS: "sounds",
  CLIPS: "clips",
};

const ORDER: readonly BusFader["bus"][] = ["VOICE", "MUSIC", "SOUNDS", "CLIPS"];

/** The buses, the rule by which music steps aside, what is done to the voice, and how it stands. */
export function LevelsPanel(props: Props) {
  const { production, film, mix, heard, lined, onLine, actions } = props;
  const { rule, care } = mix;
  const fps = production.framesPerSecond;
  const files = `/api/productions/${production.id}/film`;
  const cares = care.rumble || care.even + care.hiss + care.sharp + care.breaths > 0;
  const alone = (bus: BusFader["bus"]) => mix.buses.every((b) => b.muted === (b.bus !== bus));
  return (
    <Box sx={{ px: 3, py: 2, overflow: "auto", flex: 1, minHeight: 0 }}>
      <Title>Levels</Title>
      {ORDER.map((name) => {
        const bus = mix.buses.find((b) => b.bus === name);
        if (!bus) return null;
        return (
          <Fragment key={name}>
            <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, minHeight: 32 }}>
              <Box sx={{ width: 46 }}>{NAMES[name]}</Box>
              <Slider
                size="small"
                key={bus.gain}
                defaultValue={bus.gain}
                min={-30}
                max={12}
                step={0.5}
                marks={[{ value: 0 }]}
                aria-label={`Level of ${NAMES[name]}`}
                onChangeCommitted={(_, gain) => actions.bus(bus, { gain: gain as number })}
                sx={{ flex: 1 }}
              />
              <NumberField
                label={`Level of ${NAMES[name]}`}
                unit="dB"
                digits={1}
                value={bus.gain}
                bare
                onChange={(gain) => actions.bus(bus, { gain })}
              />
              <Button
                size="small"
                aria-pressed={bus.muted}
                sx={press(bus.muted)}
                onClick={() => actions.bus(bus, { muted: !bus.muted })}
              >
                mute
              </Button>
              <Button
                size="small"
                aria-pressed={alone(name)}
                sx={press(alone(name))}
                onClick={() => {
                  const only = !alone(name);
                  for (const other of mix.buses) {
                    const muted = only && other.bus !== name;
                    if (other.muted !== muted) actions.bus(other, { muted });
                  }
                }}
              >
                alone
              </Button>
              <Button
                size="small"
                aria-pressed={lined === name}
                aria-label={`Line of ${NAMES[name]}`}
                title="Its level from moment to moment, drawn on the staves"
                sx={{ ...press(lined === name), width: 44 }}
                onClick={() => onLine(lined === name ? null : name)}
              >
                line{bus.line.length > 0 && ` ${bus.line.length}`}
              </Button>
            </Box>
            {lined === name && (
              <LinePoints film={film} bus={bus} name={NAMES[name]} fps={fps} actions={actions} />
            )}
          </Fragment>
        );
      })}
      <Title>The music itself</Title>
      <TurnRows film={film} mix={mix} fps={fps} actions={actions} />
      <Title>Music steps aside</Title>
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: "6px 12px" }}>
        <NumberField
          label="by rule to"
          unit="LU under"
          digits={1}
          value={rule.over}
          onChange={(over) => actions.rule({ over })}
        />
        <NumberField
          label="before"
          unit="ms"
          digits={0}
          value={rule.early}
          onChange={(early) => actions.rule({ early: Math.round(early) })}
        />
        <NumberField
          label="after"
          unit="ms"
          digits={0}
          value={rule.late}
          onChange={(late) => actions.rule({ late: Math.round(late) })}
        />
        <NumberField
          label="gap from"
          unit="ms"
          digits={0}
          value={rule.gap}
          onChange={(gap) => actions.rule({ gap: Math.round(gap) })}
        />
        <Check
          label="begins on a beat"
          on={rule.onBeat}
          onChange={(onBeat) => actions.rule({ onBeat })}
        />
        <Check
          label="only where speech lies"
          on={rule.speechBand}
          onChange={(speechBand) => actions.rule({ speechBand })}
        />
      </Box>
      {mix.lines.some((l) => l.byHand) && (
        <Button
          size="small"
          sx={{ mt: 1 }}
          onClick={() => mix.lines.filter((l) => l.byHand).forEach((l) => actions.bend(l.id, null))}
        >
          By the rule everywhere
        </Button>
      )}
      <Title>Voice</Title>
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: "6px 12px" }}>
        <NumberField
          label="evened"
          unit="%"
          digits={0}
          value={care.even}
          onChange={(even) => actions.care({ even: Math.round(even) })}
        />
        <NumberField
          label="hiss out"
          unit="%"
          digits={0}
          value={care.hiss}
          onChange={(hiss) => actions.care({ hiss: Math.round(hiss) })}
        />
        <NumberField
          label="sharp s"
          unit="%"
          digits={0}
          value={care.sharp}
          onChange={(sharp) => actions.care({ sharp: Math.round(sharp) })}
        />
        <NumberField
          label="breaths"
          unit="%"
          digits={0}
          value={care.breaths}
          onChange={(breaths) => actions.care({ breaths: Math.round(breaths) })}
        />
        <Check
          label="rumble cut"
          on={care.rumble}
          onChange={(rumble) => actions.care({ rumble })}
        />
        <Box sx={{ display: "flex", gap: 1 }}>
          <Button
            size="small"
            onClick={() =>
              actions.care({ rumble: true, even: 40, hiss: 30, sharp: 30, breaths: 40 })
            }
          >
            a little
          </Button>
          <Button
            size="small"
            onClick={() => actions.care({ rumble: false, even: 0, hiss: 0, sharp: 0, breaths: 0 })}
          >
            off
          </Button>
        </Box>
      </Box>
      <Title>How lines stand</Title>
      {heard?.voice.map((line) => (
        <Box key={line.id} sx={{ display: "flex", gap: 2, minHeight: 20 }}>
          <Box sx={{ width: 46, color: ink.ink2 }}>line {line.number}</Box>
          <Box sx={{ width: 80 }}>{decimal(line.over)} LU over</Box>
          <Box sx={{ flex: 1, color: line.hard.length > 0 ? ink.rust : ink.ink2 }}>
            {line.hard.length === 0 ? "clear" : `hard to hear: ${line.hard.join(", ")}`}
          </Box>
          {cares && (
            <>
              <HearLine production={production.id} film={film} line={line} cared={false} />
              <HearLine production={production.id} film={film} line={line} cared />
            </>
          )}
        </Box>
      ))}
      {heard?.voice.length === 0 && <Box sx={{ color: ink.ink2 }}>Nobody speaks in the film.</Box>}
      <Title>Files</Title>
      <Box sx={{ display: "flex", gap: 1 }}>
        <Button size="small" href={`${files}/mix.wav?loudness=${TARGET}`} download>
          The mix at {TARGET} LUFS
        </Button>
        <Button size="small" href={`${files}/stems.zip`} download>
          Stems
        </Button>
        <Button size="small" href={`${files}/cues.csv`} download>
          Cue sheet
        </Button>
      </Box>
    </Box>
  );
}

/** Plays a line by itself, as it was read or with what is done to it, equally loud. */
function HearLine(props: {
  production: number;
  film: Film;
  line: HeardMix["voice"][number];
  cared: boolean;
}) {
  const { production, film, line, cared } = props;
  const how = cared ? "cared for" : "as read";
  return (
    <Button
      size="small"
      aria-label={`Line ${line.number} ${how}`}
      title="Both are heard equally loud"
      sx={{ minWidth: 0, px: 1, minHeight: 20, py: 0, fontSize: 12 }}
      onClick={() => hear(lineUrl(production, film.revision, line.id, cared))}
    >
      {how}
    </Button>
  );
}

const press = (on: boolean) =>
  ({
    minWidth: 0,
    px: 1.5,
    minHeight: 22,
    bgcolor: on ? ink.thistleWash : "transparent",
    color: on ? ink.thistleDeep : ink.ink,
  }) as const;

function Title({ children }: { children: string }) {
  return (
    <Box component="h2" sx={{ ...fraunces, fontSize: 17, fontWeight: 460, m: 0, mt: 3, mb: 1 }}>
      {children}
    </Box>
  );
}

function Check(props: { label: string; on: boolean; onChange: (on: boolean) => void }) {
  return (
    <Box component="label" sx={{ display: "flex", alignItems: "center", gap: 1 }}>
      <Checkbox
        size="small"
        checked={props.on}
        onChange={(_, on) => props.onChange(on)}
        sx={{ p: 0 }}
      />
      {props.label}
    </Box>
  );
}
