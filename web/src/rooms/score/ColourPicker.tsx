import Box from "@mui/material/Box";
import { useEffect, useRef, type KeyboardEvent, type MouseEvent } from "react";
import { takeFrameUrl, type Placed, type Production } from "../../api/client";
import { useRoom } from "../../store";
import { ink } from "../../theme";

/** How wide the take is asked for, in pixels. */
const WIDTH = 320;

/** Pixels to either side of the one that is pressed whose colours are taken together. */
const REACH = 2;

/** The whole take as it came; where it is pressed is the colour that is wanted. */
export function ColourPicker({
  production,
  shot,
  onPick,
  onLeave,
}: {
  production: Production;
  shot: Placed;
  onPick: (colour: string) => void;
  onLeave: () => void;
}) {
  const picture = useRef<HTMLImageElement>(null);
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    box.current?.focus({ preventScroll: true });
    box.current?.scrollIntoView({ block: "nearest" });
  }, []);
  const frame = useRoom((s) => s.frame);
  const shown = Math.max(0, Math.min(shot.material - 1, shot.in + Math.max(0, frame - shot.start)));
  const press = (e: MouseEvent) => {
    const at = e.currentTarget.getBoundingClientRect();
    const x = (e.clientX - at.left) / at.width;
    const y = (e.clientY - at.top) / at.height;
    const image = picture.current;
    // A press that comes before the picture is there waits for it.
    void image
      ?.decode()
      .then(() => {
        const colour = colourAt(image, x, y);
        if (colour) onPick(colour);
      })
      .catch(() => undefined);
  };
  const key = (e: KeyboardEvent) => {
    if (e.key !== "Escape") return;
    e.stopPropagation();
    onLeave();
  };
  return (
    <Box
      ref={box}
      role="button"
      tabIndex={0}
      aria-label="Press the colour that goes"
      onClick={press}
      onKeyDown={key}
      sx={{
        bgcolor: ink.well,
        cursor: "crosshair",
        width: "100%",
        aspectRatio: `${shot.picture.width} / ${shot.picture.height}`,
        overflow: "hidden",
      }}
    >
      <img
        ref={picture}
        src={takeFrameUrl(production.id, shot.takeId, shown, WIDTH)}
        alt=""
        style={{ width: "100%", height: "100%", display: "block" }}
      />
    </Box>
  );
}

/** The mean colour about a place of a picture, as #rrggbb. */
function colourAt(picture: HTMLImageElement | null, x: number, y: number): string | null {
  if (!picture?.complete || picture.naturalWidth === 0) return null;
  const canvas = document.createElement("canvas");
  canvas.width = picture.naturalWidth;
  canvas.height = picture.naturalHeight;
  const brush = canvas.getContext("2d");
  if (!brush) return null;
  brush.drawImage(picture, 0, 0);
  const side = 2 * REACH + 1;
  const left = Math.max(0, Math.min(canvas.width - side, Math.floor(x * canvas.width) - REACH));
  const top = Math.max(0, Math.min(canvas.height - side, Math.floor(y * canvas.height) - REACH));
  const { data } = brush.getImageData(left, top, side, side);
  const mean = (channel: number) => {
    let sum = 0;
    for (let i = channel; i < data.length; i += 4) sum += data[i] ?? 0;
    return Math.round((4 * sum) / data.length);
  };
  return `#${[0, 1, 2].map((c) => mean(c).toString(16).padStart(2, "0")).join("")}`;
}
