import { ink } from "../../theme";
import { LETTER, isLong, type Mark } from "./marks";

interface Props {
  mark: Mark;
  head: "down" | "beat" | "word" | "cut" | "free";
  chosen: boolean;
}

/** A laid sound: what it is by its shape, what it obeys by its head. */
export function SoundMark({ mark, head, chosen }: Props) {
  const { x, y, from, to, shape, name } = mark;
  const colour = chosen ? ink.thistleDeep : ink.moss;
  const long = isLong(mark);
  const paper = chosen ? ink.thistleWash : ink.sheet;
  return (
    <g data-testid={`sound-${mark.sound.id}`} fill={colour} stroke="none">
      {chosen && (
        <rect
          x={(long ? from : x - 7) - 2}
          y={y - 9}
          width={(long ? to - from : 14 + name.length * LETTER) + 6}
          height={17}
          rx={2}
          fill={ink.thistleWash}
        />
      )}
      {shape === "hit" && (
        <path d={`M${x - 4} ${y - 4}l8 8M${x + 4} ${y - 4}l-8 8`} stroke={colour} strokeWidth={2} />
      )}
      {shape === "bell" && <path d={`M${x} ${y - 5}l5 5l-5 5l-5-5z`} />}
      {shape === "riser" && (
        <path
          d={`M${x} ${y - 5}L${Math.max(from, 0)} ${y}L${x} ${y + 5}`}
          fill="none"
          stroke={colour}
          strokeWidth={1.4}
        />
      )}
      {shape === "bed" && (
        <path
          d={`M${from} ${y - 4}q2 5 6 5H${to - 6}q4 0 6-5`}
          fill="none"
          stroke={colour}
          strokeWidth={1.6}
        />
      )}
      {shape === "clip" && (
        <path
          d={`M${from} ${y - 4}v8M${from} ${y}H${to}M${to} ${y - 4}v8`}
          fill="none"
          stroke={colour}
        />
      )}
      {name !== "" && long && (
        <rect x={from + 7} y={y - 6} width={name.length * 5.7 + 6} height={12} fill={paper} />
      )}
      {name !== "" && (
        <text
          x={long ? from + 10 : x + 9}
          y={y + 4}
          fontStyle="italic"
          stroke={paper}
          strokeWidth={3}
          paintOrder="stroke"
        >
          {name}
        </text>
      )}
      <Head x={long ? from : x} y={y - 9} head={head} />
    </g>
  );
}

function Head({ x, y, head }: { x: number; y: number; head: Props["head"] }) {
  switch (head) {
    case "down":
      return <circle cx={x} cy={y} r={2.6} fill={ink.ink} />;
    case "beat":
      return <circle cx={x} cy={y} r={2.4} fill={ink.sheet} stroke={ink.ink} strokeWidth={1.3} />;
    case "word":
      return <rect x={x - 4} y={y - 1.5} width={8} height={3} fill={ink.ink} />;
    case "cut":
      return <path d={`M${x - 1.5} ${y - 3}v6M${x + 1.5} ${y - 3}v6`} stroke={ink.ink} />;
    case "free":
      return (
        <path
          d={`M${x - 2.5} ${y - 1}a2.5 2.5 0 0 0 5 0`}
          fill="none"
          stroke={ink.ink}
          strokeWidth={1.2}
        />
      );
  }
}
