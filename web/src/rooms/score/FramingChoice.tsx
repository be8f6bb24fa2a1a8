import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import type { Framing } from "../../api/client";
import { framingMeaning, framingName } from "../../parts/words";

/** How a clip of another shape meets the film's picture. */
export function FramingChoice({
  value,
  onChoose,
}: {
  value: Framing;
  onChoose: (to: Framing) => void;
}) {
  return (
    <ToggleButtonGroup
      exclusive
      value={value}
      aria-label="Framing"
      onChange={(_, to: Framing | null) => to && onChoose(to)}
    >
      {(["FIT", "FILL", "SOFT"] as const).map((f) => (
        <ToggleButton key={f} value={f} title={framingMeaning[f]}>
          {framingName[f]}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}
