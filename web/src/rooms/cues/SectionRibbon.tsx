import { useState } from "react";
import type { Song } from "../../api/client";
import { face, fraunces, ink } from "../../theme";
import { placeIn, timeIn, type Shown } from "./shown";
import { momentName } from "./keyMoments";

interface Props {
  song: Song;
  shown: Shown;
  width: number;
  y: number;
  height: number;
  onMove: (from: number, to: number) => void;
}

/** Letters are about this wide, for leaving out what has no room. */
const LETTER = 7;

/** The sections of a song as a band with their names, and its key moments under it. */
export function SectionRibbon({ song, shown, width, y, height, onMove }: Props) {
  const [drag, setDrag] = useState<{ border: number; to: number } | null>(null);
  const x = placeIn(shown, width);
  const inView = (m: { at: number }) => m.at >= shown.from && m.at <= shown.to;
  const moments = song.moments.filter(inView).map((moment) => {
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
        const left = Math.max(0, x(section.start));
        const room = Math.min(width, x(section.end)) - left;
        if (room <= 0) return null;
        const name = section.name;
        const bars = `${section.bars} bars`;
        return (
          <g key={section.start}>
            <rect
              x={left + (section.start > 0 ? 1 : 0)}
              y={y}
              width={room - 1}
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
      {song.sections.slice(1).map((section, i) => (
        <rect
          key={section.start}
          data-border={i + 1}
          x={x(drag?.border === i ? drag.to : section.start) - 4}
          y={y}
          width={8}
          height={height}
          fill={drag?.border === i ? ink.thistle : "transparent"}
          style={{ cursor: "ew-resize" }}
          onPointerDown={(e) => {
            e.stopPropagation();
            e.currentTarget.setPointerCapture(e.pointerId);
            setDrag({ border: i, to: section.start });
          }}
          onPointerMove={(e) => {
            if (drag?.border !== i) return;
            const box = e.currentTarget.ownerSVGElement?.getBoundingClientRect();
            if (!box) return;
            setDrag({ border: i, to: timeIn(shown, (e.clientX - box.left) / box.width) });
          }}
          onPointerUp={() => {
            if (drag?.border === i && drag.to !== section.start) onMove(section.start, drag.to);
            setDrag(null);
          }}
          onPointerCancel={() => setDrag(null)}
        >
          <title>Drag the border; it goes to the nearest downbeat</title>
        </rect>
      ))}
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
