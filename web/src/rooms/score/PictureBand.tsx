import { useLayoutEffect, useRef } from "react";
import { paint, type Band } from "./band";
import { pictures } from "./pictures";

/** The pictures of a stave. They are painted, for a long film has hundreds. */
export function PictureBand({ band, top, width }: { band: Band; top: number; width: number }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useLayoutEffect(() => {
    const element = canvas.current;
    const context = element?.getContext("2d");
    if (!element || !context) return;
    const ratio = window.devicePixelRatio;
    const [across, down] = [Math.round(width * ratio), Math.round(band.height * ratio)];
    if (element.width !== across || element.height !== down) {
      element.width = across;
      element.height = down;
    }
    context.imageSmoothingQuality = "medium";
    context.setTransform(ratio, 0, 0, ratio, 0, 0);
    const draw = () => {
      context.clearRect(0, 0, width, band.height);
      paint(context, band, pictures.get);
    };
    // What comes in together is drawn together.
    let next = 0;
    const tell = () => {
      next ||= requestAnimationFrame(() => {
        next = 0;
        draw();
      });
    };
    draw();
    band.cells.forEach((cell) => pictures.want(cell.src, tell));
    return () => {
      cancelAnimationFrame(next);
      band.cells.forEach((cell) => pictures.forget(cell.src, tell));
    };
  }, [band, width]);
  return (
    <canvas
      ref={canvas}
      aria-hidden
      style={{ position: "absolute", left: 0, top, width, height: band.height }}
    />
  );
}
