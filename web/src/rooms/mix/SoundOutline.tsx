import { ink } from "../../theme";

interface Props {
  /** 96 heights from 0 to 255, as base64. */
  outline: string;
  /** Where it lands, as a share of its length. */
  lands: number;
  width: number;
  height: number;
  chosen?: boolean;
}

/** A sound's waveform with the moment that lands. */
export function SoundOutline({ outline, lands, width, height, chosen = false }: Props) {
  const heights = Uint8Array.from(atob(outline), (c) => c.charCodeAt(0));
  const middle = height / 2;
  const x = (i: number) => ((i + 0.5) / heights.length) * width;
  const h = (value: number) => Math.max(0.5, (value / 255) ** 0.7 * (middle - 2));
  const top = [...heights].map((v, i) => `L${x(i).toFixed(1)} ${(middle - h(v)).toFixed(1)}`);
  const bottom = [...heights]
    .map((v, i) => `L${x(i).toFixed(1)} ${(middle + h(v)).toFixed(1)}`)
    .reverse();
  const at = lands * width;
  return (
    <svg width={width} height={height} aria-hidden style={{ display: "block" }}>
      <path
        d={`M0 ${middle}${top.join("")}L${width} ${middle}${bottom.join("")}Z`}
        fill={chosen ? ink.waveBody : ink.rule2}
      />
      <line x1={at} x2={at} y1={0} y2={height} stroke={ink.ink} />
      <path d={`M${at - 3} 0h6l-3 4z`} fill={ink.ink} />
    </svg>
  );
}
