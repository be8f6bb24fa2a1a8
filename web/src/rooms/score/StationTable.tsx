import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { NumberField } from "../../parts/NumberField";
import { ink } from "../../theme";
import { LAST } from "./views";

/** What is said of a station: its column's name, and what one of it as typed is in film values. */
export interface Column<F extends string> {
  field: F;
  name: string;
  unit: string;
  per: number;
  digits: number;
  hint: string;
}

/** The stations of a move with their values, typed; all but the first with its time. */
export function StationTable<F extends string, P extends Record<F | "at", number>>({
  points,
  columns,
  width,
  nameOf,
  timeHint,
  onChange,
  onTime,
  onLeave,
}: {
  points: readonly P[];
  columns: readonly Column<F>[];
  /** Of a column, in pixels. */
  width: number;
  nameOf: (index: number) => string;
  timeHint: string;
  onChange: (index: number, field: F, to: number) => void;
  onTime: (index: number, at: number) => void;
  onLeave: (index: number) => void;
}) {
  const timed = points.length > 1;
  const heads = ["", ...columns.map((c) => `${c.name} ${c.unit}`), timed ? "at %" : "", ""];
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: `36px repeat(${columns.length + 1}, ${width}px) 12px`,
        columnGap: 1,
        rowGap: 1,
        pb: 1,
      }}
    >
      {heads.map((name, i) => (
        <Box
          key={i}
          aria-hidden
          sx={{ typography: "body2", color: ink.ink2, textAlign: "right", whiteSpace: "nowrap" }}
        >
          {name}
        </Box>
      ))}
      {points.map((p, i) => (
        <Box key={i} role="group" aria-label={nameOf(i)} sx={{ display: "contents" }}>
          <Box sx={{ alignSelf: "center", whiteSpace: "nowrap" }}>{nameOf(i)}</Box>
          {columns.map(({ field, name, unit, per, digits, hint }) => (
            <NumberField
              key={field}
              bare
              label={`${nameOf(i)}, ${name}`}
              unit={unit}
              digits={digits}
              value={p[field] / per}
              hint={hint}
              onChange={(v) => onChange(i, field, v * per)}
            />
          ))}
          {i > 0 ? (
            <NumberField
              bare
              label={`${nameOf(i)}, at`}
              unit="%"
              digits={0}
              value={p.at / 10}
              hint={timeHint}
              onChange={(v) => onTime(i, between(points, i, Math.round(v * 10)))}
            />
          ) : (
            <span />
          )}
          {i > 0 && i < points.length - 1 ? (
            <Button
              aria-label={`Leave ${nameOf(i)} out`}
              sx={{ minWidth: 0, px: 0 }}
              onClick={() => onLeave(i)}
            >
              ×
            </Button>
          ) : (
            <span />
          )}
        </Box>
      ))}
    </Box>
  );
}

/** A time between those of a station's neighbours. */
function between(points: readonly { at: number }[], index: number, at: number): number {
  const least = (points[index - 1]?.at ?? 0) + 1;
  const most = (points[index + 1]?.at ?? LAST + 1) - 1;
  return Math.max(least, Math.min(most, at));
}
