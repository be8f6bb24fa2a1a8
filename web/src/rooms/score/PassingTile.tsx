import Box from "@mui/material/Box";
import { passingUrl, type Film, type Passing, type Production } from "../../api/client";
import { BareButton } from "../../parts/BareButton";
import { ink } from "../../theme";
import { PASSING } from "./passings";

/** Pictures of a transition's strip; a plain cut and a short one have fewer. */
const MOST = 12;

interface Props {
  production: Production;
  film: Film;
  joint: number;
  how: Passing;
  used: boolean;
  onChoose: (how: Passing) => void;
}

/**
 * A transition made of the joint's own two shots, half-way; it runs once in its real length while
 * it is pointed at or has the focus.
 */
export function PassingTile({ production, film, joint, how, used, onChoose }: Props) {
  const frames = lengthOf(how, film, joint, production.framesPerSecond);
  const pictures = how.kind === "CUT" ? 2 : Math.max(1, Math.min(MOST, frames));
  const seconds = how.kind === "CUT" ? 1 : Math.max(0.3, frames / production.framesPerSecond);
  const at = (i: number) => `${pictures < 2 ? 0 : (100 * i) / (pictures - 1)}% 0`;
  return (
    <BareButton
      aria-pressed={used}
      aria-label={PASSING[how.kind]}
      onClick={() => onChoose(how)}
      sx={{
        "@keyframes passing": {
          from: { backgroundPosition: at(0) },
          to: { backgroundPosition: at(pictures) },
        },
        "&:hover .strip, &:focus-visible .strip": {
          animation: `passing ${seconds}s steps(${pictures}) 1`,
        },
        "@media (prefers-reduced-motion: reduce)": {
          "&:hover .strip, &:focus-visible .strip": { animation: "none" },
        },
      }}
    >
      <Box
        className="strip"
        sx={{
          aspectRatio: `${production.width} / ${production.height}`,
          bgcolor: ink.well,
          backgroundImage: `url("${passingUrl(production.id, film.revision, joint, how)}")`,
          backgroundSize: `${100 * pictures}% 100%`,
          backgroundPosition: at(Math.floor(pictures / 2)),
          outline: used ? `2px solid ${ink.thistle}` : "none",
        }}
      />
      <Box
        sx={{
          typography: "body2",
          lineHeight: "16px",
          color: used ? ink.thistleDeep : ink.ink2,
          fontWeight: used ? 600 : 400,
          whiteSpace: "nowrap",
        }}
      >
        {PASSING[how.kind]}
      </Box>
    </BareButton>
  );
}

/** About how many frames it would last; its strip says exactly. */
function lengthOf(how: Passing, film: Film, joint: number, fps: number): number {
  const now = film.joints[joint]?.passing;
  if (now && now.how.amount === how.amount && now.how.unit === how.unit) return now.end - now.start;
  switch (how.unit) {
    case "FRAMES":
      return how.amount;
    case "MILLISECONDS":
      return Math.round((how.amount / 1000) * fps);
    case "QUARTER_BEATS":
      return Math.round((how.amount / 4) * (60 / Math.max(1, film.clock.bpm)) * fps);
  }
}
