import Box from "@mui/material/Box";
import type { PassingPlace, Placed } from "../../api/client";
import { ink } from "../../theme";

interface Props {
  before: Placed;
  after: Placed;
  place: PassingPlace;
  /** The frame of the cut. */
  cut: number;
}

/** Frames shown before and after those that both shots share. */
const BESIDE = 6;

/** The frames that two shots share, one by one, so that a single missing one is seen. */
export function OverlapStrip({ before, after, place, cut }: Props) {
  const { start, end, endsShort, startsShort } = place;
  const from = start - BESIDE;
  const count = end - start + 2 * BESIDE;
  const cells = (of: (frame: number) => Cell) =>
    Array.from({ length: count }, (_, i) => of(from + i));
  const used = Math.max(0, before.material - before.in - before.used);
  const rows = [
    {
      shot: before,
      spare: used,
      needs: Math.max(0, end - cut),
      cells: cells((f) =>
        f >= end - endsShort && f < end
          ? "missing"
          : f < start
            ? "used"
            : f < end
              ? "both"
              : "spare",
      ),
    },
    {
      shot: after,
      spare: after.in,
      needs: Math.max(0, cut - start),
      cells: cells((f) =>
        f < start ? "spare" : f < start + startsShort ? "missing" : f < end ? "both" : "used",
      ),
    },
  ];
  const narrow = count > 60;
  return (
    <Box sx={{ py: 1 }} role="img" aria-label={rows.map((r) => said(r)).join("; ")}>
      {rows.map((row) => (
        <Box key={row.shot.place} sx={{ display: "flex", alignItems: "center", gap: 2, pb: 0.5 }}>
          <Box sx={{ width: 30, typography: "body2", color: ink.ink2 }}>{row.shot.label}</Box>
          <Box sx={{ flex: 1, display: "flex", gap: narrow ? 0 : "1px", height: 12 }}>
            {row.cells.map((cell, i) => (
              <Box
                key={i}
                sx={{
                  flex: 1,
                  background: COLOURS[cell],
                  borderLeft: from + i === cut ? `1px solid ${ink.ink}` : "none",
                }}
              />
            ))}
          </Box>
          <Box sx={{ width: 112, typography: "body2", color: ink.ink2 }}>
            spare {row.spare} f, needs {row.needs}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

type Cell = "used" | "both" | "missing" | "spare";

const COLOURS: Record<Cell, string> = {
  used: ink.rule,
  both: ink.thistleMid,
  missing: `repeating-linear-gradient(45deg, ${ink.rust} 0 2px, ${ink.rustWash} 2px 5px)`,
  spare: ink.band,
};

const said = ({ shot, spare, needs }: { shot: Placed; spare: number; needs: number }) =>
  `${shot.label} has ${spare} frames to spare and needs ${needs}`;
