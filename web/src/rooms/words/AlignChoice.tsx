import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import type { Lettering } from "../../api/client";

type Align = Lettering["spacing"]["align"];

/** Where the lines of a title stand in their box. */
export function AlignChoice({ value, onChange }: { value: Align; onChange: (to: Align) => void }) {
  return (
    <ToggleButtonGroup
      size="small"
      exclusive
      aria-label="Lines stand"
      value={value}
      onChange={(_, align: Align | null) => align && onChange(align)}
    >
      {(["START", "MIDDLE", "END"] as const).map((align) => (
        <ToggleButton
          key={align}
          value={align}
          aria-label={align.toLowerCase()}
          sx={{ "&.MuiToggleButton-root": { px: 0, width: 25 } }}
        >
          <Lines align={align} />
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}

/** Three lines that stand so. */
function Lines({ align }: { align: Align }) {
  const from = (width: number) =>
    align === "START" ? 0 : align === "END" ? 12 - width : (12 - width) / 2;
  return (
    <svg width={12} height={10} stroke="currentColor" strokeWidth={1.4} aria-hidden>
      {[12, 7, 10].map((width, i) => (
        <line key={width} x1={from(width)} x2={from(width) + width} y1={1 + 4 * i} y2={1 + 4 * i} />
      ))}
    </svg>
  );
}
