import Box from "@mui/material/Box";
import type { SteppingAside } from "../../api/client";
import { NumberField } from "../../parts/NumberField";
import { ink } from "../../theme";

/** How long music stays aside for what lands at first, in milliseconds. */
const HELD = 400;

interface Props {
  asked: SteppingAside | null | undefined;
  onAsk: (asked: SteppingAside | null) => void;
}

/** How far music and clips step aside for a sound or a title as it lands; 0 dB is not at all. */
export function AsideFields({ asked, onAsk }: Props) {
  const held = asked?.held ?? HELD;
  return (
    <Box
      role="group"
      aria-label="Music steps aside"
      sx={{ display: "flex", alignItems: "center", gap: 1.5, minHeight: 30 }}
    >
      <Box sx={{ color: ink.ink2, flex: "none" }}>Music aside</Box>
      <NumberField
        label="by"
        unit="dB"
        digits={1}
        value={asked?.by ?? 0}
        zero="not"
        hint="How far music and clips are lowered when it lands: before it and back as the rule in Levels says"
        onChange={(by) => onAsk(by === 0 ? null : { by, held })}
      />
      {asked && (
        <NumberField
          label="for"
          unit="ms"
          digits={0}
          value={held}
          onChange={(ms) => onAsk({ by: asked.by, held: Math.round(ms) })}
        />
      )}
    </Box>
  );
}
