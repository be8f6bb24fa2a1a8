import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { grey } from "./grey";

/** One of several that is chosen, in this room's greys. */
export function GreyToggle<T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: T;
  options: readonly { value: T; name: string; hint?: string }[];
  onChange: (to: T) => void;
}) {
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      aria-label={label}
      value={value}
      onChange={(_, to: T | null) => to && onChange(to)}
      sx={{
        "& .MuiToggleButton-root": {
          color: grey.text2,
          bgcolor: "transparent",
          borderColor: grey.rule,
          px: 2,
          whiteSpace: "nowrap",
        },
        "& .Mui-selected": { color: "#1E1E1E !important", bgcolor: `${grey.text} !important` },
      }}
    >
      {options.map((o) => (
        <ToggleButton key={o.value} value={o.value} title={o.hint}>
          {o.name}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}
