import { memo } from "react";
import { takeFrameUrl, type Placed, type Production } from "../../api/client";
import { ink } from "../../theme";
import type { Parts, Ruler } from "./layout";

interface Props {
  shot: Placed;
  production: Production;
  ruler: Ruler;
  parts: Parts;
  selected: boolean;
  /** Frames the take is short of. */
  missing: number;
  lost: boolean;
}

/** Below this width a shot shows no picture. */
const NO_PICTURE = 14;

/** Where the part of a shot that a stave holds lies. */
function partOf(shot: Placed, ruler: Ruler) {
  const { stave } = ruler;
  const from = Math.max(shot.start, stave.before);
  const to = Math.min(shot.end, stave.end);
  const x = ruler.x(from);
  const width = Math.max(1, ruler.x(to) - x);
  // A shot that began on the line before has its number where its own part begins.
  const labelX = Math.max(x, ruler.x(Math.max(shot.start, stave.start)));
  return { from, to, x, width, labelX, ownWidth: x + width - labelX };
}

/** The pictures of a shot, or of the part of one that a stave holds. */
export const ShotPictures = memo(function ShotPictures(props: Props) {
  const { shot, ruler, parts, missing, lost } = props;
  const { from, to, x, width } = partOf(shot, ruler);
  const height = parts.pictureEnd - parts.picture;
  // A gap has no pictures, nor has a shot whose take is lost.
  const empty = lost || shot.takeId === 0;
  const short = Math.max(x, ruler.x(shot.end - missing));
  return (
    <g data-place={shot.place}>
      {empty && <rect x={x} y={parts.picture} width={width} height={height} fill="#000" />}
      {!empty && width >= NO_PICTURE && (
        <Pictures {...props} x={x} width={width} from={from} to={to} height={height} />
      )}
      {missing > 0 && shot.end <= ruler.stave.end && (
        <rect
          x={short}
          y={parts.picture}
          width={Math.max(1, x + width - short)}
          height={height}
          fill="url(#missing)"
        />
      )}
    </g>
  );
});

/** What is written on and under a shot, and the frame around a selected one. */
export const ShotMarks = memo(function ShotMarks(props: Props) {
  const { shot, ruler, parts, selected, missing } = props;
  const { stave } = ruler;
  const { x, width, labelX, ownWidth } = partOf(shot, ruler);
  const label = shot.start < stave.start && stave.index > 0 ? `…${shot.label}` : shot.label;
  const chipWidth = label.length * 7 + 10 + (shot.locked ? 13 : 0);
  const colour = selected ? ink.thistleDeep : ink.ink2;
  const roomy = ownWidth >= chipWidth - 4;
  const middle = (parts.picture + parts.pictureEnd) / 2;
  return (
    <>
      {roomy && (
        <g transform={`translate(${labelX + 4} ${parts.picture + 4})`}>
          <rect width={chipWidth} height={18} rx={2} fill={selected ? ink.thistle : "#27212DCC"} />
          <text x={5} y={13.5} fontSize={12.5} fontWeight={600} fill="#fff">
            {label}
          </text>
          {shot.locked && <Lock x={chipWidth - 14} />}
        </g>
      )}
      {roomy && parts.captions && (
        <text x={labelX + 4} y={parts.pictureEnd + 16} fill={colour}>
          {fitting(shot.title, ownWidth - 6)}
        </text>
      )}
      {!roomy && ownWidth > 12 && (
        <text x={labelX + ownWidth / 2} y={parts.pictureEnd + 14} fill={colour} textAnchor="middle">
          {shot.label.replace(/^0/, "")}
        </text>
      )}
      {missing > 0 && shot.end <= stave.end && ownWidth > 60 && (
        <g transform={`translate(${x + width - 66} ${parts.pictureEnd - 22})`}>
          <rect width={62} height={18} rx={2} fill={ink.rust} />
          <text x={31} y={13} fontWeight={600} fill="#fff" textAnchor="middle">
            {missing} f short
          </text>
        </g>
      )}
      {selected && (
        <g fill="none">
          <rect
            x={x + 1}
            y={parts.picture - 1}
            width={Math.max(1, width - 2)}
            height={parts.pictureEnd - parts.picture + 2}
            stroke={ink.thistle}
            strokeWidth={2}
          />
          {shot.start >= stave.start && <Grip x={x + 1} y={middle} />}
          {shot.end <= stave.end && <Grip x={x + width - 6} y={middle} />}
        </g>
      )}
    </>
  );
});

function Grip({ x, y }: { x: number; y: number }) {
  return <rect x={x} y={y - 12} width={5} height={24} rx={1} fill={ink.thistle} />;
}

function Lock({ x }: { x: number }) {
  return (
    <g transform={`translate(${x} 4)`} fill="none" stroke="#fff" strokeWidth={1.4}>
      <path d="M2.500 5V3.200a2.500 2.500 0 0 1 5 0V5" />
      <rect x={1} y={5} width={8} height={5.5} fill="#fff" stroke="none" />
    </g>
  );
}

interface PicturesProps extends Props {
  x: number;
  width: number;
  from: number;
  to: number;
  height: number;
}

/** As many frames as fit, from the first used to the last used. */
function Pictures({ shot, production, parts, x, width, from, to, height }: PicturesProps) {
  const frameWidth = (height * production.width) / production.height;
  const count = Math.max(1, Math.min(12, Math.round(width / frameWidth)));
  const cell = width / count;
  const used = Math.max(0, to - from - 1);
  const whole = shot.framing !== "FILL" && count === 1 && cell >= frameWidth;
  const frame = (i: number) => {
    const within = count === 1 ? 0.5 : i / (count - 1);
    return Math.min(shot.material - 1, shot.in + (from - shot.start) + Math.round(within * used));
  };
  const cells = Array.from({ length: count }, (_, i) => i);
  return (
    <>
      {cells.map((i) => (
        <image
          key={i}
          href={takeFrameUrl(production.id, shot.takeId, frame(i), 144)}
          x={x + i * cell}
          y={parts.picture}
          width={cell}
          height={height}
          preserveAspectRatio={whole ? "xMidYMid meet" : "xMidYMid slice"}
        />
      ))}
      {count > 1 && (
        <path
          d={cells
            .slice(1)
            .map((i) => `M${x + i * cell} ${parts.picture}v${height}`)
            .join("")}
          stroke="#FBF9F5"
          strokeOpacity={0.55}
        />
      )}
    </>
  );
}

/** As much of a text as a width holds at 12 px, cut with an ellipsis. */
function fitting(text: string, width: number): string {
  const most = Math.floor(width / 5.7);
  if (text.length <= most) return text;
  return most < 5 ? "" : `${text.slice(0, most - 1).trimEnd()}…`;
}
