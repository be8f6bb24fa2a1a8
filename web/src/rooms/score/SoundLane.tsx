import { memo } from "react";
import type { Film } from "../../api/client";
import { ink } from "../../theme";
import type { Aim } from "./aim";
import { SHEET, type Parts, type Ruler } from "./layout";
import { isHeard } from "./staves";

interface Heard {
  key: string;
  text: string;
  from: number;
  to: number;
  detached: boolean;
}

/** What is heard of clips, with their pictures and detached from them, in frames of the film. */
export function heardOf(film: Film): Heard[] {
  const withPicture = [...film.shots, ...film.overlays.map((o) => o.shot)]
    .filter(isHeard)
    .map((s) => ({
      key: `shot ${s.id}`,
      text: s.label,
      from: s.start - s.sound.lead,
      to: s.end + s.sound.tail,
      detached: false,
    }));
  const alone = film.sounds.map((s) => ({
    key: s.name,
    text: s.label,
    from: s.start.frame,
    to: s.start.frame + s.length,
    detached: true,
  }));
  return [...withPicture, ...alone];
}

/** The sounds of clips, each a line as long as it is heard; detached ones end in diamonds. */
export const SoundLane = memo(function SoundLane({
  film,
  ruler,
  parts,
  aim,
}: {
  film: Film;
  ruler: Ruler;
  parts: Parts;
  aim: Aim | null;
}) {
  const top = parts.sound;
  if (top === null) return null;
  const { stave } = ruler;
  const y = top + 9;
  return (
    <g pointerEvents="none" data-testid="sound-lane">
      <text x={SHEET.labels.to} y={y + 4} fontSize={12} fill={ink.ink2} textAnchor="end">
        sound
      </text>
      {heardOf(film).map((sound) => {
        const by = aim?.kind === "sound" && aim.name === sound.key ? aim.start - sound.from : 0;
        const from = Math.max(sound.from + by, stave.start);
        const to = Math.min(sound.to + by, stave.end);
        if (to <= from) return null;
        const x = ruler.x(from);
        const end = ruler.x(to);
        return (
          <g key={sound.key}>
            <line x1={x} x2={end} y1={y} y2={y} stroke={ink.moss} strokeWidth={1.6} />
            {sound.detached ? (
              <path d={`M${x} ${y - 4}l4 4l-4 4l-4-4z`} fill={ink.moss} />
            ) : (
              <line x1={x} x2={x} y1={y - 4} y2={y + 4} stroke={ink.moss} strokeWidth={1.6} />
            )}
            {end - x > 40 && (
              <>
                <rect
                  x={x + 7}
                  y={y - 7}
                  width={sound.text.length * 7 + 4}
                  height={14}
                  fill={ink.sheet}
                />
                <text x={x + 9} y={y + 4} fontSize={12} fill={ink.moss}>
                  {sound.text}
                </text>
              </>
            )}
          </g>
        );
      })}
    </g>
  );
});
