import type { Song } from "../../api/client";
import { face, fraunces, ink } from "../../theme";
import { momentName, sectionName } from "./sections";

interface Props {
  song: Song;
  width: number;
  y: number;
  height: number;
}

/** Letters are about this wide, for leaving out what has no room. */
const LETTER = 7;

/** The sections of a song as a band with their names, and its key moments under it. */
export function SectionRibbon({ song, width, y, height }: Props) {
  const x = (seconds: number) => (seconds / Math.max(0.01, song.seconds)) * width;
  const moments = song.moments.map((moment) => {
    const name = momentName(moment);
    return { ...moment, name, x: x(moment.at), width: name.length * 6 + 12 };
  });
  // A name is left out where the one before it needs the room.
  const fits = moments.map(
    (m, i) =>
      (i === 0 || (moments[i - 1]?.x ?? 0) + (moments[i - 1]?.width ?? 0) <= m.x) &&
      m.x + m.width < width + 16,
  );
  return (
    <g>
      {song.sections.map((section) => {
        const left = x(section.start);
        const room = x(section.end) - left;
        const name = sectionName(section, song.sections);
        const bars = `${section.bars} bars`;
        return (
          <g key={section.start}>
            <rect
              x={left + (section.start > 0 ? 1 : 0)}
              y={y}
              width={Math.max(0, room - 1)}
              height={height}
              fill={ink.thistleWash}
            />
            {room > name.length * LETTER + 10 && (
              <text
                x={left + 7}
                y={y + height - 6}
                fontFamily={fraunces.fontFamily}
                fontStyle="italic"
                fontSize={14}
                fill={ink.thistleDeep}
              >
                {name}
                {room > (name.length + bars.length) * LETTER + 24 && (
                  <tspan dx={7} fontFamily={face.sans} fontStyle="normal" fontSize={12}>
                    {bars}
                  </tspan>
                )}
              </text>
            )}
          </g>
        );
      })}
      {moments.map((moment, i) => (
        <g key={`${moment.kind} ${moment.at}`} fill={ink.ink}>
          <path d={`M${moment.x - 4} ${y + height + 4}h8l-4 7z`}>
            <title>{moment.name}</title>
          </path>
          {fits[i] && (
            <text x={moment.x + 7} y={y + height + 12} fontSize={12}>
              {moment.name}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}
