import Box from "@mui/material/Box";
import type { Film, Followed } from "../../api/client";
import { CardRow } from "../../parts/CardRow";
import { LowButton } from "../../parts/LowButton";
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
    <CardRow>
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
      <LowButton
        disabled={busy}
        title="Point at something in the picture where the film stands"
        onPress={onPick}
      >
        {follows ? "another place" : `${does} a place…`}
      </LowButton>
      {follows && (
        <LowButton disabled={busy} onPress={onStay}>
          no longer
        </LowButton>
      )}
    </CardRow>
  );
}
