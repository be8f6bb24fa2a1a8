import Box from "@mui/material/Box";
import type { Song } from "../../api/client";
import { clockTime } from "../../parts/time";
import { fraunces, ink } from "../../theme";

interface Props {
  first: Song;
  second: Song;
  /** Where the second song begins, and how long both last as one, in seconds. */
  at: number;
  seconds: number;
  /** Where in the second song it begins, in seconds. */
  from: number;
  /** A section of the first song is pressed, at the end of which it is left; of the second. */
  onLeave: (seconds: number) => void;
  onEnter: (seconds: number) => void;
}

const HEIGHT = 26;

/**
 * Two songs one above the other, as they meet: what is heard of each is filled, what is not is
 * outlined. Pressing a section moves the join to where it ends or begins.
 */
export function JoinedLanes({ first, second, at, seconds, from, onLeave, onEnter }: Props) {
  // The first may go on behind the join, the second may begin before the film does.
  const begins = Math.min(0, at - from);
  const ends = Math.max(seconds, first.seconds);
  const x = (time: number) => `${(100 * (time - begins)) / (ends - begins)}%`;
  return (
    <Box sx={{ position: "relative", height: 2 * HEIGHT + 8 }}>
      {first.sections.map((s) => (
        <Part
          key={s.start}
          name={s.name}
          says={`${first.title}, leave it after this, at ${clockTime(s.end)}`}
          top={0}
          left={x(s.start)}
          right={x(s.end)}
          heard={s.start < at - 0.01}
          cutAt={s.start < at && s.end > at ? (at - s.start) / (s.end - s.start) : null}
          onPress={() => onLeave(s.end)}
        />
      ))}
      {second.sections.map((s) => (
        <Part
          key={s.start}
          name={s.name}
          says={`${second.title}, begin with this, at ${clockTime(s.start)} of it`}
          top={HEIGHT + 8}
          left={x(s.start - from + at)}
          right={x(s.end - from + at)}
          heard={s.end > from + 0.01}
          cutAt={s.start < from && s.end > from ? (s.start - from) / (s.end - s.start) : null}
          onPress={() => onEnter(s.start)}
        />
      ))}
      <Box
        sx={{
          position: "absolute",
          left: x(at),
          top: 0,
          bottom: 0,
          borderLeft: `2px solid ${ink.thistle}`,
          pointerEvents: "none",
        }}
      />
    </Box>
  );
}

interface PartProps {
  name: string;
  says: string;
  top: number;
  left: string;
  right: string;
  heard: boolean;
  /** The share of it at which the join cuts it: heard up to it, or from it on where negative. */
  cutAt: number | null;
  onPress: () => void;
}

function Part({ name, says, top, left, right, heard, cutAt, onPress }: PartProps) {
  const share = cutAt === null ? null : `${100 * Math.abs(cutAt)}%`;
  const fill = ink.ribbonBody;
  const ground =
    share === null
      ? heard
        ? fill
        : "transparent"
      : (cutAt ?? 0) > 0
        ? `linear-gradient(90deg, ${fill} ${share}, transparent ${share})`
        : `linear-gradient(90deg, transparent ${share}, ${fill} ${share})`;
  return (
    <Box
      component="button"
      title={says}
      aria-label={says}
      onClick={onPress}
      sx={{
        ...fraunces,
        position: "absolute",
        top,
        left,
        width: `calc(${right} - ${left})`,
        height: HEIGHT,
        p: 0,
        pl: 1,
        fontStyle: "italic",
        fontSize: 13,
        textAlign: "left",
        whiteSpace: "nowrap",
        overflow: "hidden",
        color: ink.ink,
        background: ground,
        border: `1px solid ${ink.rule2}`,
        cursor: "pointer",
      }}
    >
      {name}
    </Box>
  );
}
