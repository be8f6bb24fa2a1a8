import type { Film } from "../../api/client";
import { beatName } from "../../parts/time";
import { ink } from "../../theme";
import type { Aim } from "./aim";
import type { Parts, Ruler } from "./layout";
import { wordName } from "./words";

/** What letting go would do: a ghost stem on a beat or free, or the place a shot would take. */
export function AimView({
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
      <g>
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
    <g>
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
  const to = aim.word
    ? wordName(film, aim.word)
    : aim.beat < 0
      ? "free"
      : beatName(film.clock, aim.beat);
  return `${how}${to}, ${moved}${brings(film, aim, by)}`;
}

/** What a drag does to the shots beside the cut, or to the film. */
function brings(film: Film, aim: Extract<Aim, { kind: "cut" }>, by: number): string {
  const before = film.shots[aim.joint - 1];
  const after = film.shots[aim.joint];
  const lasts = (shot: typeof before, more: number) =>
    shot ? `${shot.label || "gap"} ${shot.end - shot.start + more} f` : "";
  if (aim.manner === "ripple") {
    const shot = aim.side === "start" ? after : before;
    const more = aim.side === "start" ? -by : by;
    return `: ${lasts(shot, more)}, film ${film.length + more} f`;
  }
  if (aim.manner === "slide") return "";
  const both = [lasts(before, by), lasts(after, -by)].filter((s) => s !== "");
  const shows = aim.manner === "roll" ? ", pictures stay" : "";
  return both.length > 0 ? `: ${both.join(", ")}${shows}` : "";
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
