import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useMemo } from "react";
import type { Film, Tie } from "../../api/client";
import { ink } from "../../theme";
import { catches, sameTie, thereAt } from "./moments";

/** What else lies at the moment on which something lands, to be tied to that instead. */
export function TiesThere({
  film,
  of,
  frame,
  now,
  onTie,
}: {
  film: Film;
  /** The sound or title, by its id. */
  of: string;
  frame: number;
  now: Tie;
  onTie: (tie: Tie) => void;
}) {
  const all = useMemo(() => catches(film, of), [film, of]);
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
          key={JSON.stringify(c.tie)}
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
