import { memo, useMemo } from "react";
import type { Film, Placed, Production } from "../../api/client";
import { face, ink } from "../../theme";
import { outlinePath, type Outline } from "../cues/peaks";
import { AimView } from "./AimView";
import { CutView, PlainCuts, WRONG_CUT } from "./Cuts";
import { AmountMarks } from "./AmountMarks";
import { PassingMarks } from "./PassingMarks";
import { PictureBand } from "./PictureBand";
import { PlayheadLine } from "./PlayheadLine";
import { ShotLabels, ShotSigns } from "./ShotMarks";
import { bandOf } from "./band";
import { cutMark, lineThrough, type CutMark } from "./marks";
import { OverlayStrips } from "./OverlayStrips";
import { RangeWash } from "./RangeWash";
import { SoundLane } from "./SoundLane";
import { VoiceLane } from "./VoiceLane";
import {
  isSameStave,
  jointsOn,
  problemsOf,
  shotsOn,
  type Problem,
  type StaveProps,
} from "./staves";
import { SHEET, type Parts, type Ruler, type Stave } from "./layout";

/** One stave: ribbon, ticks, heads, pictures. Positions are those of LOOK.md, "The score line". */
export const StaveView = memo(function StaveView(props: StaveProps) {
  const { film, outline, ruler, parts, top, width, isLast, production } = props;
  const { selected, also, laid, selectedEnd, aim } = props;
  const { stave } = ruler;
  const bottom = parts.bottom;
  const right = ruler.right;
  const shots = shotsOn(film, stave);
  const isChosen = ({ place }: Placed) =>
    place === selected || (selected !== null && also.includes(place));
  const wrong = problemsOf(film);
  const isLost = (shot: Placed) =>
    (wrong.get(shot.place) ?? []).some((p) => p.kind === "TAKE_MISSING");
  const chosen = shots.filter(isChosen);
  const isWrongCut = (i: number) => (wrong.get(i - 1) ?? []).some((p) => WRONG_CUT.has(p.kind));
  const selectionOf = (i: number) => {
    if (selected === null || (i !== selected && i !== selected + 1)) return "none";
    return i === (selectedEnd === "in" ? selected : selected + 1) ? "moves" : "shot";
  };
  const cuts = jointsOn(film, stave, isLast).flatMap((i) => cutMark(film, i, ruler, parts) ?? []);
  const isPlain = ({ index, isOff }: CutMark) =>
    !isOff && !isWrongCut(index) && selectionOf(index) === "none";
  const plain = cuts.filter(isPlain);
  const told = cuts.filter((cut) => !isPlain(cut));
  return (
    <div style={{ position: "absolute", left: 0, top, width, height: parts.height }}>
      <PictureBand
        band={bandOf(shots, isLost, ruler, parts, production, film)}
        top={parts.picture}
        width={width}
      />
      <svg
        width={width}
        height={parts.height}
        style={{ position: "absolute", left: 0, top: 0, overflow: "visible" }}
      >
        <StaveNames film={film} stave={stave} parts={parts} />
        <path d={washOf(chosen, ruler, parts)} fill={ink.thistleWash} />
        <Bars ruler={ruler} parts={parts} film={film} />
        <Ribbon film={film} outline={outline} ruler={ruler} production={production} />
        <line x1={SHEET.lead} x2={right} y1={50} y2={50} stroke={ink.ink2} />
        <path
          d={stave.ticks.map((t) => `M${ruler.x(t.frame)} 50V${t.strong ? 57 : 54}`).join("")}
          stroke={ink.ink2}
        />
        <Fade film={film} ruler={ruler} parts={parts} />
        {stave.index > 0 && (
          <rect
            x={SHEET.lead}
            y={20}
            width={SHEET.first - SHEET.lead}
            height={bottom - 18}
            fill="url(#catch-up)"
          />
        )}
        <g fontSize={12}>
          {shots.map((shot) => (
            <ShotSigns
              key={shot.place}
              shot={shot}
              missing={missingOf(wrong.get(shot.place))}
              selected={chosen.includes(shot)}
              ruler={ruler}
              parts={parts}
            />
          ))}
          <PassingMarks cuts={cuts} ruler={ruler} parts={parts} />
          <AmountMarks shots={shots} ruler={ruler} parts={parts} />
          <ShotLabels shots={shots} chosen={chosen} ruler={ruler} parts={parts} />
          <path
            d={cuts.map((cut) => lineThrough(cut, film, parts)).join("")}
            stroke={ink.sheet}
            strokeWidth={3}
          />
          <PlainCuts film={film} cuts={plain} parts={parts} />
          {told.map((cut) => (
            <CutView
              key={cut.index}
              film={film}
              cut={cut}
              parts={parts}
              wrong={isWrongCut(cut.index)}
              selection={selectionOf(cut.index)}
            />
          ))}
        </g>
        <line
          x1={SHEET.lead}
          x2={SHEET.lead}
          y1={20}
          y2={bottom + 16}
          stroke={ink.ink}
          strokeWidth={1.4}
        />
        {isLast && (
          <line
            x1={right + 3.5}
            x2={right + 3.5}
            y1={20}
            y2={bottom + 16}
            stroke={ink.ink}
            strokeWidth={3}
          />
        )}
        <OverlayStrips
          production={production}
          film={film}
          ruler={ruler}
          parts={parts}
          selected={laid}
          aim={aim}
        />
        <VoiceLane film={film} ruler={ruler} parts={parts} />
        <SoundLane film={film} ruler={ruler} parts={parts} aim={aim} />
        <RangeWash film={film} ruler={ruler} parts={parts} />
        <AimView aim={aim} film={film} ruler={ruler} parts={parts} isLast={isLast} />
        <PlayheadLine ruler={ruler} parts={parts} isLast={isLast} />
      </svg>
    </div>
  );
}, isSameStave);

const missingOf = (problems: readonly Problem[] = []) =>
  problems.find((p) => p.kind === "OUT_OF_MATERIAL")?.frames ?? 0;

/** The selected shots' span through all of a stave but its pictures, as SVG path data. */
function washOf(chosen: readonly Placed[], ruler: Ruler, parts: Parts): string {
  const { stave } = ruler;
  const bottom = parts.bottom + (parts.captions ? 22 : 6);
  return chosen
    .filter((shot) => shot.end > stave.start)
    .map((shot) => {
      const from = ruler.x(Math.max(shot.start, stave.start));
      const to = ruler.x(Math.min(shot.end, stave.end));
      return `M${from} 20H${to}V${parts.picture}H${from}zM${from} ${parts.pictureEnd}H${to}V${bottom}H${from}z`;
    })
    .join("");
}

/** The stave's number, and what its rows are. */
function StaveNames({ film, stave, parts }: { film: Film; stave: Stave; parts: Parts }) {
  const spoken = parts.voice !== null;
  return (
    <>
      <text
        x={SHEET.labels.from}
        y={42}
        fontFamily={face.serif}
        fontSize={26}
        fontWeight={420}
        fill={ink.ink}
      >
        {stave.index + 1}
      </text>
      <g fontSize={12} fill={ink.ink2} textAnchor="end">
        <text x={SHEET.labels.to} y={58}>
          {film.clock.song === null ? "time" : "music"}
        </text>
        {(parts.captions || spoken) && (
          <text x={SHEET.labels.to} y={parts.picture + 16}>
            picture
          </text>
        )}
        {spoken && (
          <text x={SHEET.labels.to} y={(parts.voice ?? 0) + (parts.lyricRows > 0 ? 26 : 16)}>
            voice
          </text>
        )}
      </g>
    </>
  );
}

/** From this width on, in pixels, every bar has its number. */
const ROOMY_BAR = 60;

function Bars({ ruler, parts, film }: { ruler: Ruler; parts: Parts; film: Film }) {
  const { stave } = ruler;
  // Bar lines pass behind the pictures.
  const line = (frame: number) =>
    frame >= film.length
      ? `V${parts.bottom + 16}`
      : `V${parts.picture}M${ruler.x(frame)} ${parts.pictureEnd}V${parts.bottom + 16}`;
  // Narrow bars are numbered by the four, as phrases go.
  const step = ruler.barWidth < ROOMY_BAR ? 4 : 1;
  const leadIn = stave.index === 0 && (stave.edges[0] ?? 0) > 0;
  return (
    <>
      {leadIn && film.clock.song !== null && (
        <text
          x={SHEET.lead + 3}
          y={17}
          fontSize={12}
          fill={ink.ink3}
          fontFamily={face.serif}
          fontStyle="italic"
        >
          lead-in
        </text>
      )}
      <path
        d={stave.bars.map(({ frame }) => `M${ruler.x(frame)} 22${line(frame)}`).join("")}
        stroke={ink.rule}
      />
      <g fontSize={12} fill={ink.ink3}>
        {stave.bars.map((bar, i) =>
          i % step !== 0 ? null : (
            <text
              key={i}
              x={ruler.x(bar.frame) + 4}
              y={17}
              fontWeight={i === 0 ? 600 : undefined}
              fill={i === 0 ? ink.ink : undefined}
            >
              {bar.label}
            </text>
          ),
        )}
      </g>
    </>
  );
}

function Ribbon({
  film,
  outline,
  ruler,
  production,
}: {
  film: Film;
  outline: Outline | null;
  ruler: Ruler;
  production: Production;
}) {
  const paths = useMemo(() => {
    if (!outline) return null;
    const from = ruler.x(ruler.stave.before);
    const at = (x: number) => film.songStart + ruler.frame(x) / production.framesPerSecond;
    const path = (values: Uint8Array) =>
      outlinePath(values, outline.perSecond, from, ruler.right - from, at, 50, 26, 0);
    return { peak: path(outline.peak), body: path(outline.body) };
  }, [outline, ruler, film.songStart, production.framesPerSecond]);
  if (!paths) return null;
  return (
    <g>
      <path d={paths.peak} fill={ink.ribbonPeak} />
      <path d={paths.body} fill={ink.ribbonBody} />
    </g>
  );
}

/** The fade at the film's end: a black wedge. */
function Fade({ film, ruler, parts }: { film: Film; ruler: Ruler; parts: Parts }) {
  const { stave } = ruler;
  const begins = film.length - film.fade;
  if (film.fade === 0 || begins >= stave.end) return null;
  const from = Math.max(begins, stave.start);
  const depth = parts.pictureEnd - parts.picture;
  const at = (frame: number) => parts.picture + ((frame - begins) / film.fade) * depth;
  const to = Math.min(film.length, stave.end);
  return (
    <path
      d={`M${ruler.x(from)} ${parts.picture}L${ruler.x(to)} ${parts.picture}L${ruler.x(to)} ${at(to)}L${ruler.x(from)} ${at(from)}Z`}
      fill="#000"
      fillOpacity={0.82}
    />
  );
}
