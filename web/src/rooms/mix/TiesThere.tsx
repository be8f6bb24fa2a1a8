import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { Tie } from "../../api/client";
import { ink } from "../../theme";
import { sameTie, thereAt, type Caught } from "./moments";

/** What else lies at the moment on which something lands, to be tied to that instead. */
export function TiesThere({
  all,
  frame,
  now,
  onTie,
}: {
  all: readonly Caught[];
  frame: number;
  now: Tie;
  onTie: (tie: Tie) => void;
}) {
  const there = thereAt(all, frame).filter((c) => !sameTie(c.tie, now));
  if (there.length === 0) return null;
  return (
    <Box
      role="group"
      aria-label="What else is at this moment"
      sx={{ display: "flex", flexWrap: "wrap", alignItems: "baseline", gap: 1, pl: "64px" }}
    >
      <Box sx={{ color: ink.ink2, fontSize: 12 }}>or on</Box>
      {there.map((c) => (
        <Button
          key={c.name}
          size="small"
          title="It goes where this goes"
          sx={{ minWidth: 0, px: 1, py: 0, fontSize: 12 }}
          onClick={() => onTie(c.tie)}
        >
          {c.name}
        </Button>
      ))}
    </Box>
  );
}
