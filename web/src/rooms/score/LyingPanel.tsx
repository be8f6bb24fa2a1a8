import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { Lie, Overlay } from "../../api/client";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import { EasingChoice } from "./EasingChoice";
import { moving, through, timeIn, withLiePoint } from "./lies";
import { StationTable } from "./StationTable";
import { pointName } from "./views";

/** What is said of a place. */
const COLUMNS = [
  {
    field: "size",
    name: "size",
    unit: "%",
    per: 10,
    digits: 1,
    hint: "100 % covers the film’s picture",
  },
  {
    field: "x",
    name: "across",
    unit: "%",
    per: 10,
    digits: 1,
    hint: "Its middle; 0 is the left edge, 100 the right one",
  },
  {
    field: "y",
    name: "down",
    unit: "%",
    per: 10,
    digits: 1,
    hint: "Its middle; 0 is the top, 100 the bottom",
  },
  { field: "turn", name: "turn", unit: "°", per: 100, digits: 1, hint: "Clockwise" },
  { field: "opacity", name: "opaque", unit: "%", per: 1, digits: 0, hint: "0 is not seen" },
] as const;

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
  const { points } = lie;
  const still = points.length === 1;
  const lay = (to: Lie) => change({ lie: to });
  return (
    <Box
      component="section"
      aria-label="Where it lies"
      sx={{ borderTop: `1px solid ${ink.rule}`, py: 2 }}
    >
      <StationTable
        points={points}
        columns={COLUMNS}
        width={46}
        nameOf={(i) => (still ? "place" : pointName(i, points.length))}
        timeHint="Of the time it is seen; after the last place it rests"
        onChange={(i, field, to) => lay(withLiePoint(lie, i, { [field]: to }))}
        onTime={(i, at) => lay(withLiePoint(lie, i, { at }))}
        onLeave={(i) => lay({ ...lie, points: points.filter((_, k) => k !== i) })}
      />
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
            <Button onClick={() => lay({ ...lie, points: points.slice(0, 1) })}>Let it stay</Button>
          </>
        )}
      </Box>
    </Box>
  );
}
