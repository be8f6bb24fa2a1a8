import { ink } from "../../../theme";

interface Props {
  rate: number;
  slowest: number;
  fastest: number;
}

const WIDTH = 96;
const LOW = 50;
const HIGH = 200;

/** A rate of words a minute on a line, with the range the delivery calls for. */
export function RateScale({ rate, slowest, fastest }: Props) {
  const x = (wpm: number) => (WIDTH * (Math.min(HIGH, Math.max(LOW, wpm)) - LOW)) / (HIGH - LOW);
  const fine = rate >= slowest && rate <= fastest;
  return (
    <svg width={WIDTH + 4} height={14} aria-hidden>
      <line x1={2} x2={WIDTH + 2} y1={7} y2={7} stroke={ink.rule2} />
      <rect
        x={2 + x(slowest)}
        y={3}
        width={x(fastest) - x(slowest)}
        height={8}
        fill={ink.mossWash}
      />
      <line
        x1={2 + x(rate)}
        x2={2 + x(rate)}
        y1={1}
        y2={13}
        stroke={fine ? ink.moss : ink.ink}
        strokeWidth={2.5}
      />
    </svg>
  );
}
