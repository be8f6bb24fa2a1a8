import { useEffect, type KeyboardEvent } from "react";
import type { Title, TitleSight, Words } from "../../api/client";
import { boxIn } from "../../api/words";
import { useDragging } from "../../parts/useDragging";
import { useSoon } from "../../parts/useSoon";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import { nameOf } from "./titles";
import type { Draft } from "./useTitleDrafts";
import type { Shown } from "./WordsTransport";

interface Props {
  words: Words;
  sights: ReadonlyMap<string, TitleSight>;
  chosen: Title | undefined;
  draft: Draft | null;
  shown: Shown;
  onChoose: (id: string | null) => void;
  onTry: (draft: Draft) => void;
  /** What is tried is given up; the same function each time. */
  onGiveUp: () => void;
  onKeep: (draft: Draft) => void;
}

interface Drag {
  title: Title;
  x: number;
  y: number;
}

const STEP = 5;

/** On the picture: the safe area, and what titles take up, to be dragged and moved by arrows. */
export function TitleBlocks(props: Props) {
  const { words, sights, chosen, draft, shown, onChoose, onTry, onGiveUp, onKeep } = props;
  const frame = useRoom((s) => s.frame);
  const shape = useRoom((s) => s.shape);
  const seen = words.titles.filter(
    ({ place }) => place != null && frame >= place.start && frame < place.end,
  );
  const keep = () => {
    if (draft?.box) onKeep(draft);
  };
  const soon = useSoon(keep);
  const moved = (title: Title, x: number, y: number): Draft => ({
    box: { ...boxIn(title.boxes, shape), x: Math.round(x), y: Math.round(y) },
    shape,
  });
  const { surface, take, handlers } = useDragging<Drag>(({ title, x, y }, from, at) => {
    onTry(moved(title, caught(x + at.x - from.x), caught(y + at.y - from.y)));
  }, keep);
  useEffect(() => onGiveUp, [frame, onGiveUp]);
  const press = (e: KeyboardEvent, title: Title) => {
    const now = draft?.box ?? boxIn(title.boxes, shape);
    const by = e.shiftKey ? 5 * STEP : STEP;
    const to = {
      ArrowLeft: [now.x - by, now.y],
      ArrowRight: [now.x + by, now.y],
      ArrowUp: [now.x, now.y - by],
      ArrowDown: [now.x, now.y + by],
    }[e.key];
    if (!to) return;
    e.preventDefault();
    e.stopPropagation();
    onTry(moved(title, to[0] ?? now.x, to[1] ?? now.y));
    soon.ask();
  };
  const { left, top, right, bottom, zones } = words.safe;
  return (
    <svg
      ref={surface}
      viewBox="0 0 1000 1000"
      preserveAspectRatio="none"
      style={{ position: "absolute", inset: 0, width: "100%", height: "100%", touchAction: "none" }}
      role="group"
      aria-label="Titles on the picture"
      // What keys have moved is sent before anything else is edited.
      onBlur={soon.now}
      onPointerDown={() => onChoose(null)}
      {...handlers}
    >
      {shown.safe && (
        <rect
          x={left}
          y={top}
          width={1000 - left - right}
          height={1000 - top - bottom}
          fill="none"
          stroke="#fff"
          strokeOpacity={0.75}
          strokeDasharray="4 4"
          vectorEffect="non-scaling-stroke"
          pointerEvents="none"
        />
      )}
      {shown.safe &&
        [
          ...(seen.some((title) => title.words.kind === "END") ? words.reserved : []),
          ...zones.map((z) => ({
            x: z.left,
            y: z.top,
            width: z.right - z.left,
            height: z.bottom - z.top,
          })),
        ].map((part, i) => (
          <rect
            key={i}
            {...part}
            fill="#000"
            fillOpacity={0.25}
            stroke="#fff"
            strokeOpacity={0.75}
            strokeDasharray="2 4"
            vectorEffect="non-scaling-stroke"
            pointerEvents="none"
          />
        ))}
      {shown.blocks &&
        seen.map((title) => {
          const sight = sights.get(title.id);
          if (!sight) return null;
          const now = boxIn(title.boxes, shape);
          const to = title.id === chosen?.id ? draft?.box : undefined;
          const gone = goneIn(title, frame);
          const dx = (to ? to.x - now.x : 0) + gone.x;
          const dy = (to ? to.y - now.y : 0) + gone.y;
          const isChosen = title.id === chosen?.id;
          const worst = sight.letters.filter((l) => l.ratio < sight.needed);
          return (
            <g key={title.id} transform={`translate(${dx} ${dy})`}>
              <rect
                x={sight.area.x}
                y={sight.area.y}
                width={sight.area.width}
                height={sight.area.height}
                tabIndex={0}
                role="button"
                aria-label={`${nameOf(title)}; arrows move it`}
                fill="#fff"
                fillOpacity={0.001}
                stroke={isChosen ? "#fff" : "none"}
                strokeWidth={2}
                vectorEffect="non-scaling-stroke"
                style={{ cursor: "move", outlineOffset: 2 }}
                onPointerDown={(e) => {
                  onChoose(title.id);
                  take(e, { title, x: now.x, y: now.y });
                }}
                onFocus={() => onChoose(title.id)}
                onKeyDown={(e) => press(e, title)}
              />
              {isChosen &&
                worst.map((letter, i) => (
                  <rect
                    key={i}
                    {...letter.box}
                    fill="none"
                    stroke={ink.rustWash}
                    strokeDasharray="3 2"
                    vectorEffect="non-scaling-stroke"
                    pointerEvents="none"
                  />
                ))}
            </g>
          );
        })}
    </svg>
  );
}

/** How far a title has gone in a frame with what it follows. */
function goneIn({ along, place }: Title, frame: number) {
  const at = Math.max(0, Math.min(along.length - 1, frame - (place?.start ?? 0)));
  return along[at] ?? { x: 0, y: 0 };
}

/** Caught by the middle and by thirds, within a hundredth. */
function caught(value: number): number {
  const near = [500, 333, 667].find((line) => Math.abs(line - value) < 10);
  return Math.max(-500, Math.min(1500, near ?? value));
}
