import Box from "@mui/material/Box";
import Slider from "@mui/material/Slider";
import type { BusFader, Film, Mix } from "../../api/client";
import { NumberField } from "../../parts/NumberField";
import { PressButton } from "../../parts/PressButton";
import { LinePoints } from "./LinePoints";
import type { MixActions } from "./useMixActions";

const NAMES: Record<BusFader["bus"], string> = {
  VOICE: "voice",
  MUSIC: "music",
  SOUNDS: "sounds",
  CLIPS: "clips",
};

interface Props {
  film: Film;
  fps: number;
  mix: Mix;
  bus: BusFader;
  /** Whether its line is drawn on the staves, and its points are shown. */
  lined: boolean;
  onLine: (on: boolean) => void;
  actions: MixActions;
}

/** How loud a bus is, whether it is heard, and its level from moment to moment. */
export function BusRow({ film, fps, mix, bus, lined, onLine, actions }: Props) {
  const name = NAMES[bus.bus];
  const alone = mix.buses.every((b) => b.muted === (b.bus !== bus.bus));
  return (
    <>
      <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, minHeight: 32 }}>
        <Box sx={{ width: 46 }}>{name}</Box>
        <Slider
          size="small"
          key={bus.gain}
          defaultValue={bus.gain}
          min={-30}
          max={12}
          step={0.5}
          marks={[{ value: 0 }]}
          aria-label={`Level of ${name}`}
          onChangeCommitted={(_, gain) => actions.bus(bus, { gain: gain as number })}
          sx={{ flex: 1 }}
        />
        <NumberField
          label={`Level of ${name}`}
          unit="dB"
          digits={1}
          value={bus.gain}
          bare
          onChange={(gain) => actions.bus(bus, { gain })}
        />
        <PressButton low on={bus.muted} onPress={() => actions.bus(bus, { muted: !bus.muted })}>
          mute
        </PressButton>
        <PressButton
          low
          on={alone}
          onPress={() => {
            for (const other of mix.buses) {
              const muted = !alone && other.bus !== bus.bus;
              if (other.muted !== muted) actions.bus(other, { muted });
            }
          }}
        >
          alone
        </PressButton>
        <PressButton
          low
          width={44}
          on={lined}
          label={`Line of ${name}`}
          title="Its level from moment to moment, drawn on the staves"
          onPress={() => onLine(!lined)}
        >
          line{bus.line.length > 0 && ` ${bus.line.length}`}
        </PressButton>
      </Box>
      {lined && <LinePoints film={film} bus={bus} name={name} fps={fps} actions={actions} />}
    </>
  );
}
