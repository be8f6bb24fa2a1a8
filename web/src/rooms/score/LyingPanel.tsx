import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { Lie, LiePoint, Overlay } from "../../api/client";
import { NumberField } from "../../parts/NumberField";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import { EasingChoice } from "./EasingChoice";
import { moving, through, timeIn, withLiePoint } from "./lies";
import { pointName } from "./views";

const COLUMNS = "36px repeat(6, 46px) 12px";

/** What is said of a place: as it is typed, and what one of that is in the film's values. */
const FIELDS = [
  { field: "size", unit: "%", per: 10, hint: "100 % covers the film’s picture" },
  { field: "x", unit: "%", per: 10, hint: "Its middle; 0 is the left edge, 100 the right one" },
  { field: "y", unit: "%", per: 10, hint: "Its middle; 0 is the top, 100 the bottom" },
  { field: "turn", unit: "°", per: 100, hint: "Clockwise" },
  { field: "opacity", unit: "%", per: 1, hint: "0 is not seen" },
] as const;

const NAMES = { size: "size", x: "across", y: "down", turn: "turn", opacity: "opacity" } as const;

/** Where what is laid over the cut lies over its time. */
export function LyingPanel({
  overlay,
  change,
}: {
  overlay: Overlay;
  change: (to: { lie: Lie }) => void;
}) {
  const draft = useRoom((s) => s.draftLie);
  const lie = draft ?? overlay.lie;
  const still = lie.points.length === 1;
  const lay = (to: Lie) => change({ lie: to });
  return (
    <Box
      component="section"
      aria-label="Where it lies"
      sx={{ borderTop: `1px solid ${ink.rule}`, py: 2 }}
    >
      <Points lie={lie} onSet={lay} />
      {!still && (
        <EasingChoice value={lie.easing ?? "EVEN"} onChoose={(easing) => lay({ ...lie, easing })} />
      )}
      <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "center", gap: 2, pt: 1 }}>
        {still ? (
          <Button title="From here to another place" onClick={() => lay(moving(lie))}>
            Move it
          </Button>
        ) : (
          <>
            <Button
              title="Another place at the playhead, through which it goes"
              onClick={() => lay(through(lie, timeIn(overlay, useRoom.getState().frame)))}
            >
              Through a place here
            </Button>
            <Button onClick={() => lay({ ...lie, points: lie.points.slice(0, 1) })}>
              Let it stay
            </Button>
          </>
        )}
      </Box>
    </Box>
  );
}

function Points({ lie, onSet }: { lie: Lie; onSet: (to: Lie) => void }) {
  const { points } = lie;
  const change = (index: number, to: Partial<LiePoint>) => onSet(withLiePoint(lie, index, to));
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: COLUMNS, columnGap: 1, rowGap: 1 }}>
      {["", "size %", "across %", "down %", "turn °", "opac. %", "at %", ""].map((name, i) => (
        <Box
          key={i}
          aria-hidden
          sx={{ typography: "body2", color: ink.ink2, textAlign: "right", whiteSpace: "nowrap" }}
        >
          {points.length === 1 && name === "at %" ? "" : name}
        </Box>
      ))}
      {points.map((p, i) => {
        const name = points.length === 1 ? "place" : pointName(i, points.length);
        return (
          <Box key={i} role="group" aria-label={name} sx={{ display: "contents" }}>
            <Box sx={{ alignSelf: "center", whiteSpace: "nowrap" }}>{name}</Box>
            {FIELDS.map(({ field, unit, per, hint }) => (
              <NumberField
                key={field}
                bare
                label={`${name}, ${NAMES[field]}`}
                unit={unit}
                digits={field === "opacity" ? 0 : 1}
                value={p[field] / per}
                hint={hint}
                onChange={(v) => change(i, { [field]: v * per })}
              />
            ))}
            {i > 0 ? (
              <NumberField
                bare
                label={`${name}, at`}
                unit="%"
                digits={0}
                value={p.at / 10}
                hint="Of the time it is seen; after the last place it rests"
                onChange={(v) => change(i, { at: between(points, i, v * 10) })}
              />
            ) : (
              <span />
            )}
            {i > 0 && i < points.length - 1 ? (
              <Button
                aria-label={`Leave ${name} out`}
                sx={{ minWidth: 0, px: 0 }}
                onClick={() => onSet({ ...lie, points: points.filter((_, k) => k !== i) })}
              >
                ×
              </Button>
            ) : (
              <span />
            )}
          </Box>
        );
      })}
    </Box>
  );
}

/** A time between those of the neighbours. */
function between(points: readonly LiePoint[], index: number, at: number): number {
  const least = (points[index - 1]?.at ?? 0) + 1;
  const most = (points[index + 1]?.at ?? 1001) - 1;
  return Math.max(least, Math.min(most, at));
}
