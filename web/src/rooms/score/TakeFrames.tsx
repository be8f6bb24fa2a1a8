import type { KeyboardEvent } from "react";
import { takeFrameUrl, type CameraPath, type Placed, type Production } from "../../api/client";
import { useDraftSoon } from "../../parts/useDraftSoon";
import { useDragging } from "../../parts/useDragging";
import { useRoom } from "../../store";
import type { ScoreActions } from "./useScoreActions";
import { ViewFrame } from "./ViewFrame";
import { pathOf, pointName, timeOf, viewAt, windowOf, withPoint, type Window } from "./views";

interface Props {
  production: Production;
  shot: Placed;
  actions: ScoreActions;
}

/** How high the take is asked for, in pixels. */
const HEIGHT = 540;

/** What a press of an arrow moves by, in ten-thousandths, and a press of + sizes by, in thousandths. */
const STEP = 50;
const GROW = 10;

/** A view that is dragged: which, whether it is sized, and the path as it was. */
const drop = () => useRoom.setState({ draftPath: null });

interface Drag {
  index: number;
  sizing: boolean;
  path: CameraPath;
}

/**
 * The whole take with the frames that the film shows of it: the first dashed, the last solid, what
 * is outside the present one darkened. They are dragged and sized with the mouse or the keys.
 */
export function TakeFrames({ production, shot, actions }: Props) {
  const frame = useRoom((s) => s.frame);
  const draft = useRoom((s) => s.draftPath);
  const set = useRoom((s) => s.set);
  const { picture } = shot;
  const path = draft ?? pathOf(shot);
  const unit = picture.height / 210;
  const lay = () => {
    const { draftPath } = useRoom.getState();
    if (draftPath) void actions.setPath(draftPath);
  };
  const soon = useDraftSoon(shot, lay, drop);
  const { surface, take, handlers } = useDragging<Drag>((now, from, at) => {
    const view = now.path.points[now.index];
    if (!view) return;
    const start = windowOf(view, picture, production);
    const to = now.sizing
      ? {
          size:
            (view.size * Math.hypot(from.x - start.x, from.y - start.y)) /
            Math.max(1, Math.hypot(at.x - start.x, at.y - start.y)),
        }
      : {
          right: view.right + (10_000 * (at.x - from.x)) / picture.width,
          down: view.down + (10_000 * (at.y - from.y)) / picture.height,
        };
    set({ draftPath: withPoint(now.path, now.index, to, picture, production) });
  }, lay);
  const press = (e: KeyboardEvent, index: number) => {
    const view = path.points[index];
    if (!view) return;
    const by = e.shiftKey ? 5 : 1;
    const to = {
      ArrowLeft: { right: view.right - STEP * by },
      ArrowRight: { right: view.right + STEP * by },
      ArrowUp: { down: view.down - STEP * by },
      ArrowDown: { down: view.down + STEP * by },
      "+": { size: view.size + GROW },
      "=": { size: view.size + GROW },
      "-": { size: view.size - GROW },
    }[e.key];
    if (!to) return;
    e.preventDefault();
    e.stopPropagation();
    set({ draftPath: withPoint(path, index, to, picture, production) });
    soon.ask();
  };

  const present = windowOf(viewAt(path, timeOf(shot, frame)), picture, production);
  const shown = Math.max(0, Math.min(shot.material - 1, shot.in + Math.max(0, frame - shot.start)));
  return (
    <svg
      ref={surface}
      viewBox={`0 0 ${picture.width} ${picture.height}`}
      style={{ position: "absolute", inset: 0, width: "100%", height: "100%", touchAction: "none" }}
      role="group"
      aria-label="The whole take and its frames"
      // What keys have moved is sent before anything else is edited.
      onBlur={soon.now}
      {...handlers}
    >
      <image
        href={takeFrameUrl(production.id, shot.takeId, shown, HEIGHT)}
        width={picture.width}
        height={picture.height}
        preserveAspectRatio="none"
      />
      <path
        d={`M0 0H${picture.width}V${picture.height}H0Z${outline(present)}`}
        fillRule="evenodd"
        fillOpacity={0.34}
        pointerEvents="none"
      />
      {shownPoints(path).map(({ point, i }) => (
        <ViewFrame
          key={i}
          view={windowOf(point, picture, production)}
          label={`${pointName(i, path.points.length)}, ${(point.size / 10).toFixed(0)} %`}
          end={i === 0 ? "first" : i === path.points.length - 1 ? "last" : "between"}
          unit={unit}
          onTake={(e, sizing) => take(e, { index: i, sizing, path })}
          onKey={(e) => press(e, i)}
        />
      ))}
    </svg>
  );
}

/** A window's outline, as SVG path data. */
function outline({ x, y, width, height, turn }: Window): string {
  const cos = Math.cos((turn * Math.PI) / 180);
  const sin = Math.sin((turn * Math.PI) / 180);
  const corner = (a: number, b: number) =>
    `${x + (a * width * cos - b * height * sin) / 2} ${y + (a * width * sin + b * height * cos) / 2}`;
  return `M${corner(-1, -1)}L${corner(1, -1)}L${corner(1, 1)}L${corner(-1, 1)}Z`;
}

/** Frames that can be told apart; of a path worked out from the picture its ends alone. */
const MOST_FRAMES = 8;

function shownPoints({ points }: CameraPath) {
  const all = points.map((point, i) => ({ point, i }));
  return all.length > MOST_FRAMES ? all.filter(({ i }) => i === 0 || i === all.length - 1) : all;
}
