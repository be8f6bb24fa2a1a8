import { memo, useMemo } from "react";
import type { BusFader, Film, HeardMix, LaidSound, Mix, Production } from "../../api/client";
import { face, ink } from "../../theme";
import { highest, type Outline } from "../cues/peaks";
import { PictureBand } from "../score/PictureBand";
import { PlayheadLine } from "../score/PlayheadLine";
import { VoiceLane } from "../score/VoiceLane";
import { bandOf } from "../score/band";
import { SHEET, type Ruler } from "../score/layout";
import { shotsOn } from "../score/staves";
import { BusLine } from "./BusLine";
import { LidLine } from "./LidLine";
import { LoudnessRow } from "./LoudnessRow";
import { SoundMark } from "./SoundMark";
import { TurnMarks } from "./TurnMarks";
import { bendsOf, lineAt, type Bend } from "./busLine";
import { gainAt } from "./lid";
import { marksOf } from "./marks";
import type { Turning } from "./turns";
import { frameOf, headOf, sampleOf } from "./moments";
import { PARTS, ROWS, musicHeight } from "./parts";

interface Props {
  production: Production;
  film: Film;
  mix: Mix;
  heard: HeardMix | undefined;
  outline: Outline | null;
  ruler: Ruler;
  top: number;
  width: number;
  isLast: boolean;
  chosen: readonly string[];
  /** A sound while it is dragged, and the frame at which it would land. */
  moving: { id: string; frame: number } | null;
  /** The bus whose line is drawn, or null. */
  lined: BusFader | null;
  /** A point of that line while it is dragged, or null. */
  dragged: (Bend & { point: number }) | null;
  /** An end of a turn of the music while it is dragged, or null. */
  turning: Turning | null;
  /** A line while music under it is dragged, and its gain. */
  bending: { line: string; gain: number } | null;
}

/** One stave of the film as it is heard. */
export const MixStave = memo(function MixStave(props: Props) {
  const { production, film, mix, heard, ruler, top, width, isLast, chosen, moving } = props;
  const fps = production.framesPerSecond;
  const shots = shotsOn(film, ruler.stave);
  const laid = useMemo(
    () => (moving ? mix.laid.map((s) => moved(s, moving, fps)) : mix.laid),
    [mix.laid, moving, fps],
  );
  const marks = useMemo(() => marksOf(laid, film, ruler, fps), [laid, film, ruler, fps]);
  const right = ruler.right;
  return (
    <div style={{ position: "absolute", left: 0, top, width, height: ROWS.height }}>
      <PictureBand
        band={bandOf(shots, () => false, ruler, PARTS, production, film)}
        top={ROWS.picture}
        width={width}
      />
      <svg
        width={width}
        height={ROWS.height}
        style={{ position: "absolute", left: 0, top: 0, overflow: "visible" }}
      >
        <Names ruler={ruler} />
        <Bars film={film} ruler={ruler} />
        <Music {...props} />
        <LidLine mix={mix} ruler={ruler} fps={fps} bending={props.bending} />
        <TurnMarks mix={mix} ruler={ruler} fps={fps} turning={props.turning} />
        <VoiceLane film={film} ruler={ruler} parts={PARTS} />
        <line x1={SHEET.lead} x2={right} y1={ROWS.hits} y2={ROWS.hits} stroke={ink.rule2} />
        <g fontSize={12} fontFamily={face.sans}>
          {marks.map((mark) => (
            <SoundMark
              key={mark.sound.id}
              mark={mark}
              head={headOf(film, mark.sound)}
              chosen={chosen.includes(mark.sound.id)}
            />
          ))}
        </g>
        {props.lined && (
          <BusLine bus={props.lined} ruler={ruler} fps={fps} dragged={props.dragged} />
        )}
        {heard && <LoudnessRow heard={heard} ruler={ruler} fps={fps} />}
        <line
          x1={SHEET.lead}
          x2={SHEET.lead}
          y1={18}
          y2={ROWS.loudnessEnd}
          stroke={ink.ink}
          strokeWidth={1.4}
        />
        {isLast && (
          <line
            x1={right + 3.5}
            x2={right + 3.5}
            y1={18}
            y2={ROWS.loudnessEnd}
            stroke={ink.ink}
            strokeWidth={3}
          />
        )}
        <PlayheadLine ruler={ruler} parts={PARTS} isLast={isLast} />
      </svg>
    </div>
  );
});

/** A sound where it would land. */
function moved(sound: LaidSound, to: { id: string; frame: number }, fps: number): LaidSound {
  if (sound.id !== to.id || !sound.place) return sound;
  const by = sampleOf(to.frame, fps) - sound.place.landing;
  const { start, landing, end } = sound.place;
  return { ...sound, place: { start: start + by, landing: landing + by, end: end + by } };
}

function Names({ ruler }: { ruler: Ruler }) {
  const rows: [string, number][] = [
    ["picture", 37],
    ["music", 78],
    ["voice", 118],
    ["sounds", ROWS.hits + 4],
    ["loudness", 208],
  ];
  return (
    <>
      <text
        x={SHEET.labels.from}
        y={19}
        fontFamily={face.serif}
        fontSize={24}
        fontWeight={420}
        fill={ink.ink}
      >
        {ruler.stave.index + 1}
      </text>
      <g fontSize={12} fill={ink.ink2} textAnchor="end">
        {rows.map(([name, y]) => (
          <text key={name} x={SHEET.labels.to} y={y}>
            {name}
          </text>
        ))}
      </g>
    </>
  );
}

function Bars({ film, ruler }: { film: Film; ruler: Ruler }) {
  const { stave } = ruler;
  const narrow = ruler.barWidth < 60 ? 4 : 1;
  return (
    <>
      <path
        d={stave.bars
          .map(
            ({ frame }) =>
              `M${ruler.x(frame)} 14V${ROWS.picture}M${ruler.x(frame)} ${ROWS.pictureEnd}V${ROWS.loudnessEnd}`,
          )
          .join("")}
        stroke={ink.rule}
      />
      <g fontSize={12} fill={ink.ink3}>
        {stave.bars.map((bar, i) =>
          i % narrow === 0 ? (
            <text
              key={bar.frame}
              x={ruler.x(bar.frame) + 4}
              y={ROWS.number}
              fontWeight={i === 0 ? 600 : undefined}
              fill={i === 0 ? ink.ink : undefined}
            >
              {bar.label}
            </text>
          ) : null,
        )}
      </g>
      {film.clock.song === null && (
        <text x={SHEET.first} y={80} fontSize={13} fill={ink.ink3}>
          no music
        </text>
      )}
    </>
  );
}

/** The music as it is heard, and above it, pale, what the lid takes away. */
function Music({ film, mix, outline, ruler, production }: Props) {
  const paths = useMemo(() => {
    if (!outline) return null;
    const fps = production.framesPerSecond;
    const music = mix.buses.find((b) => b.bus === "MUSIC");
    const line = music ? bendsOf(music.line, fps) : [];
    const level = music?.muted ? 0 : 10 ** ((music?.gain ?? 0) / 20);
    const bends = mix.lid.map((b) => ({ at: frameOf(b.sample, fps), decibels: b.decibels }));
    const path = (values: Uint8Array, ducked: boolean) => {
      let d = "";
      const from = ruler.x(ruler.stave.before);
      for (let x = from; x <= ruler.right; x += 2) {
        const frame = ruler.frame(x);
        const at = film.songStart + frame / fps;
        const gain = 10 ** ((lineAt(line, frame) + (ducked ? gainAt(bends, frame) : 0)) / 20);
        const loud = highest(values, outline.perSecond, at, at + 0.05) * gain * level;
        d += `L${x.toFixed(1)} ${(ROWS.musicEnd - musicHeight(loud)).toFixed(1)}`;
      }
      return `M${from} ${ROWS.musicEnd}${d}V${ROWS.musicEnd}Z`;
    };
    return {
      ghost: path(outline.peak, false),
      peak: path(outline.peak, true),
      body: path(outline.body, true),
    };
  }, [outline, ruler, film.songStart, mix.lid, mix.buses, production.framesPerSecond]);
  return (
    <g>
      {paths && (
        <>
          <path d={paths.ghost} fill={ink.thistleWash} />
          <path d={paths.peak} fill={ink.ribbonPeak} />
          <path d={paths.body} fill={ink.ribbonBody} />
        </>
      )}
      <line
        x1={SHEET.lead}
        x2={ruler.right}
        y1={ROWS.musicEnd}
        y2={ROWS.musicEnd}
        stroke={ink.ink2}
      />
    </g>
  );
}
