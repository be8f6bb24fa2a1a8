import MenuItem from "@mui/material/MenuItem";
import Select from "@mui/material/Select";

/** One of some values, as people call them. */
export function Choice<T extends string>(props: {
  label: string;
  value: T;
  of: readonly (readonly [T, string])[];
  width?: number;
  onChange: (to: T) => void;
}) {
  const { label, value, of, width, onChange } = props;
  return (
    <Select
      size="small"
      value={value}
      inputProps={{ "aria-label": label }}
      onChange={(e) => onChange(e.target.value as T)}
      sx={{
        height: 26,
        minWidth: 0,
        ...(width === undefined ? { flex: 1 } : { width }),
        // What is chosen is read whole in narrow places.
        "& .MuiSelect-select.MuiSelect-select": { pl: 2, pr: "20px" },
        "& .MuiSelect-icon": { right: 0 },
      }}
    >
      {of.map(([name, says]) => (
        <MenuItem key={name} value={name}>
          {says}
        </MenuItem>
      ))}
    </Select>
  );
}
