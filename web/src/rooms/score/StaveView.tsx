import { memo, useMemo } from "react";
import type { Film, Placed, Production } from "../../api/client";
import { beatName } from "../../parts/time";
import { face, ink } from "../../theme";
import { outlinePath, type Outline } from "../cues/peaks";
import { JointView, WRONG_CUT } from "./JointView";
import { ShotMarks, ShotPictures } from "./ShotView";
import type { Aim } from "./aim";
import { isOffbeat } from "./cuts";
import { wordName } from "./words";
import { OverlayStrips } from "./OverlayStrips";
import { RangeWash } from "./RangeWash";
import { SoundLane } from "./SoundLane";
import { VoiceLane } from "./VoiceLane";
import { isSameStave, jointsOn, problemsOf, shotsOn, type StaveProps } from "./staves";
import { SHEET, type Parts, type Ruler } from "./layout";

/** One stave: ribbon, ticks, heads, pictures. Positions are those of LOOK.md, "The score line". */
export const StaveView = memo(function StaveView(props: StaveProps) {
  const { film, outline, ruler, parts, isLast, production, selected, selectedEnd, aim } = props;
  const { also, laid } = props;
  const { stave } = ruler;
  const bottom = parts.bottom;
  const right = ruler.right;
  const shots = shotsOn(film, stave);
  const isChosen = ({ place }: Placed) =>
    place === selected || (selected !== null && also.includes(place));
  const wrong = problemsOf(film);
  const joints = jointsOn(film, stave, isLast);
  const shotProps = (shot: Placed) => {
    const problems = wrong.get(shot.place) ?? [];
    return {
      shot,
      production,
      ruler,
      parts,
      selected: isChosen(shot),
      missing: problems.find((p) => p.kind === "OUT_OF_MATERIAL")?.frames ?? 0,
      lost: problems.some((p) => p.kind === "TAKE_MISSING"),
    };
  };
  const chosen = film.shots.filter(isChosen);
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
      <text
        x={SHEET.labels.to}
        y={parts.picture + 16}
        fontSize={12}
        fill={ink.ink2}
        textAnchor="end"
      >
        {parts.captions || parts.voice !== null ? "picture" : ""}
      </text>
      {parts.voice !== null && (
        <text
          x={SHEET.labels.to}
          y={parts.voice + 26}
          fontSize={12}
          fill={ink.ink2}
          textAnchor="end"
        >
          voice
        </text>
      )}
      <text x={SHEET.labels.to} y={58} fontSize={12} fill={ink.ink2} textAnchor="end">
        {film.clock.song === null ? "time" : "music"}
      </text>
      {chosen
        .filter((shot) => shot.end > stave.start && shot.start < stave.end)
        .map((shot) => {
          const x = ruler.x(Math.max(shot.start, stave.start));
          return (
            <rect
              key={shot.place}
              x={x}
              y={20}
              width={ruler.x(Math.min(shot.end, stave.end)) - x}
              height={bottom - 20 + (parts.captions ? 22 : 6)}
              fill={ink.thistleWash}
            />
          );
        })}
      <Bars ruler={ruler} bottom={bottom} film={film} />
      <Ribbon film={film} outline={outline} ruler={ruler} production={production} />
      <line x1={SHEET.lead} x2={right} y1={50} y2={50} stroke={ink.ink2} />
      <path
        d={stave.ticks.map((t) => `M${ruler.x(t.frame)} 50V${t.strong ? 57 : 54}`).join("")}
        stroke={ink.ink2}
      />
      <Backing shots={shots} ruler={ruler} parts={parts} />
      {shots.map((shot, i) => (
        <ShotPictures key={i} {...shotProps(shot)} />
      ))}
      <Fade film={film} ruler={ruler} parts={parts} />
      {stave.index > 0 && (
        <rect
          x={SHEET.lead}
          y={20}
          width={SHEET.first - SHEET.lead}
          height={bottom - 18}
          fill="url(#catch-up)"
          pointerEvents="none"
        />
      )}
      <g pointerEvents="none" fontSize={12}>
        {shots.map((shot, i) => (
          <ShotMarks key={i} {...shotProps(shot)} />
        ))}
        <path
          d={joints
            .filter((i) => i < film.shots.length)
            .map(
              (i) => `M${ruler.x(film.joints[i]?.frame ?? 0)} ${parts.picture}V${parts.pictureEnd}`,
            )
            .join("")}
          stroke={ink.sheet}
          strokeWidth={3}
        />
        {joints.map((i, n) => {
          const joint = film.joints[i];
          if (!joint) return null;
          return (
            <JointView
              key={n}
              index={i}
              joint={joint}
              last={i === film.shots.length}
              offbeat={isOffbeat(film.clock, joint)}
              wrong={(wrong.get(i - 1) ?? []).some((p) => WRONG_CUT.has(p.kind))}
              ruler={ruler}
              parts={parts}
              selection={
                selected === null || (i !== selected && i !== selected + 1)
                  ? "none"
                  : i === (selectedEnd === "in" ? selected : selected + 1)
                    ? "moves"
                    : "shot"
              }
            />
          );
        })}
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
    </>
  );
}, isSameStave);

/** The dark that pictures come in on, and on which they stand. */
function Backing({
  shots,
  ruler,
  parts,
}: {
  shots: readonly Placed[];
  ruler: Ruler;
  parts: Parts;
}) {
  const from = ruler.x(Math.max(shots[0]?.start ?? 0, ruler.stave.before));
  const to = ruler.x(Math.min(shots.at(-1)?.end ?? 0, ruler.stave.end));
  return (
    <rect
      x={from}
      y={parts.picture}
      width={Math.max(0, to - from)}
      height={parts.pictureEnd - parts.picture}
      fill="#15171F"
    />
  );
}

function Bars({ ruler, bottom, film }: { ruler: Ruler; bottom: number; film: Film }) {
  const { stave } = ruler;
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
        d={stave.bars.map((bar) => `M${ruler.x(bar.frame)} 22V${bottom + 16}`).join("")}
        stroke={ink.rule}
      />
      {stave.bars.map((bar, i) =>
        ruler.barWidth < 30 && i % 2 === 1 ? null : (
          <text
            key={i}
            x={ruler.x(bar.frame) + 4}
            y={17}
            fontSize={12}
            fontWeight={i === 0 ? 600 : 400}
            fill={i === 0 ? ink.ink : ink.ink3}
          >
            {bar.label}
          </text>
        ),
      )}
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
    <g pointerEvents="none">
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
      pointerEvents="none"
    />
  );
}

/** What letting go would do: a ghost stem on a beat or free, or the place a shot would take. */
function AimView({
  aim,
  film,
  ruler,
  parts,
  isLast,
}: {
  aim: Aim | null;
  film: Film;
  ruler: Ruler;
  parts: Parts;
  isLast: boolean;
}) {
  if (!aim || aim.kind === "overlay" || aim.kind === "sound") return null;
  const { stave } = ruler;
  if (aim.kind === "cut") {
    if (aim.frame < stave.start || (aim.frame >= stave.end && !isLast)) return null;
    const x = ruler.x(aim.frame);
    return (
      <g pointerEvents="none">
        <line
          x1={x}
          x2={x}
          y1={56}
          y2={aim.word ? parts.pictureEnd + 16 : parts.pictureEnd + 4}
          stroke={ink.thistle}
          strokeWidth={2}
          strokeDasharray={aim.beat >= 0 || aim.word ? undefined : "3 3"}
        />
        {aim.word ? (
          <rect x={x - 6.5} y={parts.pictureEnd + 6} width={13} height={5} fill={ink.thistle} />
        ) : (
          <circle
            cx={x}
            cy={63}
            r={6}
            fill={aim.beat >= 0 ? ink.thistle : ink.sheet}
            stroke={ink.thistle}
            strokeWidth={2}
          />
        )}
        <Tag x={x} y={parts.pictureEnd + 14} text={cutTag(film, aim)} />
      </g>
    );
  }
  const target = film.shots[aim.to];
  if (!target || aim.to === aim.from) return null;
  const edge = aim.to < aim.from ? target.start : target.end;
  const onThis = edge >= stave.start && (edge < stave.end || (isLast && edge === stave.end));
  if (!onThis) return null;
  const x = ruler.x(edge);
  return (
    <g pointerEvents="none">
      <rect
        x={x - 3}
        y={parts.picture - 6}
        width={6}
        height={parts.pictureEnd - parts.picture + 12}
        rx={3}
        fill={ink.thistle}
      />
      <Tag
        x={x}
        y={parts.pictureEnd + 14}
        text={`shot ${film.shots[aim.from]?.label ?? ""} to here${aim.carry ? ", with its time" : ""}`}
      />
    </g>
  );
}

function cutTag(film: Film, aim: Extract<Aim, { kind: "cut" }>): string {
  const by = aim.frame - (film.joints[aim.joint]?.frame ?? 0);
  const moved = `${by >= 0 ? "+" : "−"}${Math.abs(by)} f`;
  const how = aim.manner === "trim" ? "" : `${aim.manner} `;
  if (aim.word) return `${how}${wordName(film, aim.word)}, ${moved}`;
  return aim.beat < 0
    ? `${how}free, ${moved}`
    : `${how}${beatName(film.clock, aim.beat)}, ${moved}`;
}

function Tag({ x, y, text }: { x: number; y: number; text: string }) {
  const width = text.length * 6.4 + 12;
  return (
    <g transform={`translate(${Math.max(2, x - width / 2)} ${y})`}>
      <rect width={width} height={18} y={-9} rx={2} fill={ink.ink} />
      <text x={width / 2} y={4} fontSize={12} fill="#fff" textAnchor="middle">
        {text}
      </text>
    </g>
  );
}
