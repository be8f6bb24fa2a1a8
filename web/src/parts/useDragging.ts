import { useRef, type PointerEvent } from "react";

export interface Point {
  x: number;
  y: number;
}

/**
 * Dragging on an SVG picture, or on a group of it, in its own units.
 *
 * @param move told what is dragged, from where, and where it is now
 * @param drop told when it is let go
 */
export function useDragging<T, E extends SVGGraphicsElement = SVGSVGElement>(
  move: (what: T, from: Point, at: Point) => void,
  drop: () => void,
) {
  const surface = useRef<E>(null);
  const drag = useRef<{ what: T; from: Point } | null>(null);
  const locate = (e: PointerEvent): Point | null => {
    const matrix = surface.current?.getScreenCTM();
    if (!matrix) return null;
    const at = new DOMPoint(e.clientX, e.clientY).matrixTransform(matrix.inverse());
    return { x: at.x, y: at.y };
  };
  const end = () => {
    if (!drag.current) return;
    drag.current = null;
    drop();
  };
  return {
    surface,
    take: (e: PointerEvent, what: T) => {
      const from = locate(e);
      if (!from || e.button !== 0) return;
      e.stopPropagation();
      surface.current?.setPointerCapture(e.pointerId);
      drag.current = { what, from };
    },
    handlers: {
      onPointerMove: (e: PointerEvent) => {
        const at = locate(e);
        if (drag.current && at) move(drag.current.what, drag.current.from, at);
      },
      onPointerUp: end,
      onPointerCancel: end,
    },
  };
}
