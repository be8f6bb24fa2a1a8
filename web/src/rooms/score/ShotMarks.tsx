import type { Placed } from "../../api/client";
import { ink } from "../../theme";
import { partOf } from "./band";
import type { Parts, Ruler } from "./layout";

interface LabelsProps {
  /** The shots of the stave, and those of them that are selected. */
  shots: readonly Placed[];
  chosen: readonly Placed[];
  ruler: Ruler;
  parts: Parts;
}

/** What a shot's number is written on, and how wide a figure of it is, in pixels. */
const CHIP = 18;
const DIGIT = 6.2;

/** Of a shot that shows less than this a stave does not tell the number. */
const SLIVER = 8;

/** The shots' numbers and names: on the pictures where there is room, else under them. */
export function ShotLabels({ shots, chosen, ruler, parts }: LabelsProps) {
  const { stave } = ruler;
  const labels = shots.map((shot) => {
    const { x, width } = partOf(shot, ruler);
    // A shot that began on the line before has its number where its own part begins.
    const from = Math.max(x, ruler.x(Math.max(shot.start, stave.start)));
    const text = shot.start < stave.start && stave.index > 0 ? `…${shot.label}` : shot.label;
    const chip = text.length * 7 + 10 + (shot.locked ? 13 : 0);
    const room = x + width - from;
    return { shot, text, chip, from, room, selected: chosen.includes(shot) };
  });
  const roomy = labels.filter((l) => l.room >= l.chip - 4);
  const narrow =
    parts.voice === null
      ? apart(labels.filter((l) => l.room < l.chip - 4 && l.room >= SLIVER))
      : [];
  const chips = (selected: boolean) =>
    roomy
      .filter((l) => l.selected === selected)
      .map((l) => chipPath(l.from + 4, parts.picture + 4, l.chip))
      .join("");
  const colour = (selected: boolean) => (selected ? ink.thistleDeep : ink.ink2);
  return (
    <>
      <path d={chips(false)} fill="#27212DCC" />
      <path d={chips(true)} fill={ink.thistle} />
      <g fontSize={12.5} fontWeight={600} fill="#fff">
        {roomy.map(({ shot, text, from }) => (
          <text key={shot.place} data-place={shot.place} x={from + 9} y={parts.picture + 17.5}>
            {text}
          </text>
        ))}
      </g>
      <path
        d={roomy
          .filter((l) => l.shot.locked)
          .map((l) => lockPath(l.from + l.chip - 10, parts.picture + 8))
          .join("")}
        fill="#fff"
        fillRule="evenodd"
      />
      {parts.captions &&
        roomy.map(({ shot, from, room, selected }) => (
          <text key={shot.place} x={from + 4} y={parts.pictureEnd + 16} fill={colour(selected)}>
            {fitting(shot.title, room - 6)}
          </text>
        ))}
      <g textAnchor="middle" fill={ink.ink2}>
        {narrow.map(({ shot, from, room, selected }) => (
          <text
            key={shot.place}
            data-place={shot.place}
            x={from + room / 2}
            y={parts.pictureEnd + 14}
            fill={selected ? ink.thistleDeep : undefined}
          >
            {shot.label.replace(/^0/, "")}
          </text>
        ))}
      </g>
    </>
  );
}

interface Label {
  shot: Placed;
  from: number;
  room: number;
}

/** Those numbers of narrow shots that cover no other one; where words stand there are none. */
function apart<L extends Label>(labels: readonly L[]): L[] {
  const shown: L[] = [];
  let taken = 0;
  for (const label of labels) {
    const half = (DIGIT * label.shot.label.length) / 2;
    const middle = label.from + label.room / 2;
    if (middle - half < taken) continue;
    taken = middle + half + 4;
    shown.push(label);
  }
  return shown;
}

interface SignsProps {
  shot: Placed;
  /** Frames the take is short of. */
  missing: number;
  selected: boolean;
  ruler: Ruler;
  parts: Parts;
}

/** That a shot is short of material, and the frame around a selected one. */
export function ShotSigns({ shot, missing, selected, ruler, parts }: SignsProps) {
  if (missing === 0 && !selected) return null;
  const { stave } = ruler;
  const { x, width } = partOf(shot, ruler);
  const height = parts.pictureEnd - parts.picture;
  const middle = (parts.picture + parts.pictureEnd) / 2;
  const short = Math.max(x, ruler.x(shot.end - missing));
  const endsHere = shot.end <= stave.end;
  return (
    <>
      {missing > 0 && endsHere && (
        <rect
          x={short}
          y={parts.picture}
          width={Math.max(1, x + width - short)}
          height={height}
          fill="url(#missing)"
        />
      )}
      {missing > 0 && endsHere && width > 60 && (
        <g transform={`translate(${x + width - 66} ${parts.pictureEnd - 22})`}>
          <rect width={62} height={CHIP} rx={2} fill={ink.rust} />
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
            height={height + 2}
            stroke={ink.thistle}
            strokeWidth={2}
          />
          {shot.start >= stave.start && <Grip x={x + 1} y={middle} />}
          {endsHere && <Grip x={x + width - 6} y={middle} />}
        </g>
      )}
    </>
  );
}

function Grip({ x, y }: { x: number; y: number }) {
  return <rect x={x} y={y - 12} width={5} height={24} rx={1} fill={ink.thistle} />;
}

/** A chip with corners of 2 px. */
const chipPath = (x: number, y: number, width: number) =>
  `M${x + 2} ${y}h${width - 4}q2 0 2 2v${CHIP - 4}q0 2-2 2h${4 - width}q-2 0-2-2v${4 - CHIP}q0-2 2-2z`;

/** A closed lock, 10 px wide. */
const lockPath = (x: number, y: number) =>
  `M${x + 1} ${y + 5}h.8V${y + 3.2}a3.2 3.2 0 0 1 6.4 0V${y + 5}h.8v5.5h-8z` +
  `M${x + 3.2} ${y + 5}h3.6V${y + 3.2}a1.800 1.800 0 0 0-3.600 0z`;

/** As much of a text as a width holds at 12 px, cut with an ellipsis. */
function fitting(text: string, width: number): string {
  const most = Math.floor(width / 5.7);
  if (text.length <= most) return text;
  return most < 5 ? "" : `${text.slice(0, most - 1).trimEnd()}…`;
}
