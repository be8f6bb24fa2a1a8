import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { Film, Followed } from "../../api/client";
import { timecode } from "../../parts/time";
import { ink } from "../../theme";
import { placedOf } from "../score/takeBox";

interface Props {
  film: Film;
  fps: number;
  follows: Followed | null | undefined;
  /** What it does that follows, such as “goes with”. */
  does: string;
  /** What it does then that follows nothing, such as “stays”. */
  stays: string;
  busy: boolean;
  onPick: () => void;
  onStay: () => void;
}

/** The place that a title or a sound goes with, and how another is chosen. */
export function FollowRow(props: Props) {
  const { film, fps, follows, does, stays, busy, onPick, onStay } = props;
  const shot = follows ? placedOf(film, follows.shot) : undefined;
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1, minHeight: 30 }}>
      <Box sx={{ flex: 1, minWidth: 0, lineHeight: "15px" }}>
        {busy ? "following…" : follows ? `${does} a place in ${shot?.label ?? "a shot"}` : stays}
        {follows && !busy && (!shot || !follows.whole) && (
          <Box component="span" sx={{ color: ink.rust }}>
            {shot
              ? `, known to ${timecode(Math.max(0, follows.end - 1), fps)}`
              : " that the film does not show"}
          </Box>
        )}
      </Box>
      <Button
        size="small"
        sx={small}
        disabled={busy}
        title="Point at something in the picture where the film stands"
        onClick={onPick}
      >
        {follows ? "another place" : `${does} a place…`}
      </Button>
      {follows && (
        <Button size="small" sx={small} disabled={busy} onClick={onStay}>
          no longer
        </Button>
      )}
    </Box>
  );
}

const small = { minWidth: 0, px: 1.5, minHeight: 22, whiteSpace: "nowrap" } as const;
