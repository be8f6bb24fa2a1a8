import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import type { Easing } from "./views";

const EASINGS: Record<Easing, { name: string; d: string; says: string }> = {
  EVEN: { name: "even", d: "M2 12L26 2", says: "At one speed" },
  SLOW_START: { name: "late", d: "M2 12Q16 12 26 2", says: "From rest" },
  SLOW_END: { name: "early", d: "M2 12Q12 2 26 2", says: "To rest" },
  SLOW_BOTH: { name: "soft", d: "M2 12C14 12 14 2 26 2", says: "From rest to rest" },
};

/** How a move gathers and loses speed. */
export function EasingChoice({
  value,
  onChoose,
}: {
  value: Easing;
  onChoose: (to: Easing) => void;
}) {
  return (
    <ToggleButtonGroup
      exclusive
      value={value}
      aria-label="How it moves"
      sx={{ display: "flex", py: 1 }}
      onChange={(_, to: Easing | null) => to && onChoose(to)}
    >
      {Object.entries(EASINGS).map(([easing, { name, d, says }]) => (
        <ToggleButton key={easing} value={easing} title={says} sx={{ flex: 1, gap: 1.5 }}>
          <svg width={28} height={14} aria-hidden>
            <path d={d} fill="none" stroke="currentColor" strokeWidth={1.6} />
          </svg>
          {name}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}
