import { memo, useMemo } from "react";
import type { Film } from "../../api/client";
import { face, fraunces, ink } from "../../theme";
import type { Parts, Ruler } from "./layout";
import { lyricsOf, type Lyric } from "./lyrics";
import { USUAL, widthOf } from "./widths";

interface Props {
  film: Film;
  ruler: Ruler;
  parts: Parts;
}

const ROW = 14;

/** The words of the narration under the picture, each with a bar where it is spoken. */
export const VoiceLane = memo(function VoiceLane({ film, ruler, parts }: Props) {
  const top = parts.voice;
  const rows = parts.lyricRows;
  const lyrics = useMemo(
    () => lyricsOf(film.voice, ruler.stave, (f) => ruler.x(f), widthOf, rows),
    [film.voice, ruler, rows],
  );
  if (top === null) return null;
  const cut = new Set(
    film.problems
      .filter((p) => p.kind === "INSIDE_WORD")
      .map((p) => film.joints[p.place + 1]?.frame ?? -1),
  );
  const isCut = ({ word }: Lyric) =>
    [...cut].some((frame) => frame > word.start && frame < word.end);
  return (
    <g pointerEvents="none" data-testid="voice-lane">
      {lyrics.map((lyric) => {
        const { word, line, stressed } = lyric;
        const first = line.words[0]?.word === word.word;
        const wrong = isCut(lyric);
        const colour = wrong ? ink.rust : stressed ? ink.ink : ink.ink2;
        const shown = rows > 1 || (rows > 0 && stressed);
        return (
          <g key={`${line.line} ${word.word}`}>
            <line
              x1={lyric.from}
              x2={Math.max(lyric.from + 2, lyric.to)}
              y1={top + 12}
              y2={top + 12}
              stroke={wrong ? ink.rust : stressed ? ink.ink2 : ink.rule2}
              strokeWidth={2.5}
            />
            {shown && (
              <text
                x={lyric.x}
                y={top + 26 + lyric.row * ROW}
                textLength={lyric.width}
                lengthAdjust="spacingAndGlyphs"
                fontFamily={face.lyric}
                fontSize={stressed ? 13 : 12}
                fontWeight={wrong ? 650 : stressed ? 500 : 400}
                style={{ fontStretch: `${stretchOf(lyric)}%` }}
                textDecoration={wrong ? "underline" : undefined}
                fill={colour}
              >
                {word.text}
              </text>
            )}
            {first && (
              <text
                x={(rows > 0 ? Math.min(lyric.from, lyric.x) : lyric.from) - 6}
                y={top + (rows > 0 ? 26 : 16)}
                fontFamily={fraunces.fontFamily}
                fontStyle="italic"
                fontSize={14}
                textAnchor="end"
                fill={ink.thistleDeep}
              >
                {line.number}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
});

/** How narrow the face is set, in percent: it has its widths drawn, from 62.5 to 100. */
function stretchOf(lyric: Lyric): number {
  const full = widthOf(lyric.word.text, lyric.stressed) / USUAL;
  return Math.max(62.5, Math.min(100, (100 * lyric.width) / full));
}
