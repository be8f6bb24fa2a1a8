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

/** In the place of a room whose data is not here: why not, and how to get it. */
export function NotYet({ what, of }: { what: string; of: readonly Reading[] }) {
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
      />
    );
  }
  return (
    <Box sx={{ height: "100%", bgcolor: ink.sheet }}>
      {shown && (
        <Box role="status" sx={{ p: 20, maxWidth: 420, color: ink.ink2 }}>
          {what} is being read
          <LinearProgress sx={{ mt: 2 }} aria-label={`${what} is being read`} />
        </Box>
      )}
    </Box>
  );
}
