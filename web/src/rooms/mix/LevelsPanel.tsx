import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import type { BusFader, Film, HeardMix, Mix, Production } from "../../api/client";
import { NumberField } from "../../parts/NumberField";
import { fraunces } from "../../theme";
import { BusRow } from "./BusRow";
import { TurnRows } from "./TurnRows";
import { VoiceStand } from "./VoiceStand";
import type { Bus } from "./busLine";
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

const ORDER: readonly BusFader["bus"][] = ["VOICE", "MUSIC", "SOUNDS", "CLIPS"];

/** The buses, the rule by which music steps aside, what is done to the voice, and how it stands. */
export function LevelsPanel(props: Props) {
  const { production, film, mix, heard, lined, onLine, actions } = props;
  const { rule, care } = mix;
  const fps = production.framesPerSecond;
  const files = `/api/productions/${production.id}/film`;
  return (
    <Box sx={{ px: 3, py: 2, overflow: "auto", flex: 1, minHeight: 0 }}>
      <Title>Levels</Title>
      {ORDER.map((name) => {
        const bus = mix.buses.find((b) => b.bus === name);
        if (!bus) return null;
        return (
          <BusRow
            key={name}
            film={film}
            fps={fps}
            mix={mix}
            bus={bus}
            lined={lined === name}
            onLine={(on) => onLine(on ? name : null)}
            actions={actions}
          />
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
      <VoiceStand production={production.id} film={film} mix={mix} heard={heard} />
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
