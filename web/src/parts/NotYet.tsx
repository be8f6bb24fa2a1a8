import Box from "@mui/material/Box";
import LinearProgress from "@mui/material/LinearProgress";
import { useEffect, useState } from "react";
import { ink } from "../theme";
import { Trouble } from "./Trouble";

interface Reading {
  error: Error | null;
  refetch: () => unknown;
}

/** Readings that come sooner than this are not waited for in sight. */
const SHOWN_AFTER = 400;

/**
 * In the place of a room, or of a panel at its side, whose data is not here: why not, and how to get
 * it.
 */
export function NotYet({
  what,
  of,
  panel = false,
}: {
  what: string;
  of: readonly Reading[];
  panel?: boolean;
}) {
  const failed = of.find((r) => r.error !== null)?.error;
  const [shown, setShown] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setShown(true), SHOWN_AFTER);
    return () => clearTimeout(timer);
  }, []);
  if (failed) {
    return (
      <Trouble
        title={`${what} could not be read.`}
        says={failed.message}
        act="Try again"
        onAct={() => of.forEach((r) => void r.refetch())}
        panel={panel}
      />
    );
  }
  return (
    <Box sx={panel ? {} : { height: "100%", bgcolor: ink.sheet }}>
      {shown && (
        <Box role="status" sx={{ p: panel ? 4 : 20, maxWidth: 420, color: ink.ink2 }}>
          {what} is being read
          <LinearProgress sx={{ mt: 2 }} aria-label={`${what} is being read`} />
        </Box>
      )}
    </Box>
  );
}
