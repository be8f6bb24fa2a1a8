import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import LinearProgress from "@mui/material/LinearProgress";
import Slider from "@mui/material/Slider";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useState, type KeyboardEvent } from "react";
import { takeFrameUrl, type Production, type Take } from "../api/client";
import { nameOf } from "../parts/keys";
import { Still } from "../parts/Still";
import { plural } from "../parts/words";
import { face, ink } from "../theme";
import { StrokeSheet } from "./StrokeSheet";
import {
  saysWhere,
  strokesOn,
  withStroke,
  withStrokes,
  type Brush,
  type DrawnGuide,
} from "./strokes";
import { cutUrl, useOutline, useSubject } from "./useSubject";

const BRUSHES: { brush: Brush; name: string; key: string; says: string }[] = [
  { brush: "AROUND", name: "box about it", key: "B", says: "All of it lies in the box" },
  { brush: "IN", name: "it", key: "I", says: "What you brush over is it" },
  { brush: "OUT", name: "not it", key: "N", says: "What you brush over is not it" },
];

/** How high the picture is shown, in pixels. */
const HIGH = 450;

/** Something that is done with a subject, in a word or two, and in a sentence. */
export interface Use {
  name: string;
  says: string;
  act: () => void;
}

interface Props {
  production: Production;
  /** What the take is called. */
  name: string;
  take: Take;
  /** The take's picture that is shown first. */
  at: number;
  /** What can be done with it once it is cut out; the first is what is usual. */
  uses: readonly Use[];
  onClose: () => void;
}

/** Says on pictures of a take what its subject is, has it cut out, and looks at what came of it. */
export function SubjectDialog({ production, name, take, at, uses, onClose }: Props) {
  const { view, cut, away } = useSubject(production.id, take.id);
  const [own, setOwn] = useState<DrawnGuide[] | null>(null);
  const [frame, setFrame] = useState(Math.max(0, Math.min(take.frames - 1, at)));
  const [brush, setBrush] = useState<Brush>("AROUND");
  const [bare, setBare] = useState(false);
  const guides = own ?? view?.guides ?? [];
  const strokes = strokesOn(guides, frame);
  const outline = useOutline(production.id, take.id, { frame, strokes });
  const working = view?.work?.failed === false ? view.work : null;
  const wide = take.width / take.height;
  const drawn = guides.map((g) => g.frame);
  const begun = guides.some((g) => saysWhere(g.strokes));
  // What was drawn since the last cut is looked at by itself where it says enough.
  const looksAnew = own !== null && saysWhere(strokes);
  const shade = looksAnew
    ? outline.data?.picture
    : view?.cut
      ? cutUrl(production.id, take.id, view.cut, frame)
      : undefined;
  const takeBack = () => setOwn(withStrokes(guides, frame, strokes.slice(0, -1)));
  const press = (e: KeyboardEvent) => {
    const key = nameOf(e.nativeEvent);
    const chosen = BRUSHES.find((b) => b.key === key);
    if (chosen) setBrush(chosen.brush);
    else if (key === "Backspace") takeBack();
    else return;
    e.preventDefault();
  };
  return (
    <Dialog open onClose={onClose} maxWidth={false} onKeyDown={press}>
      <DialogTitle sx={{ typography: "h1" }}>Cut the subject out of {name}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2, width: Math.max(720, HIGH * wide + 48) }}>
        <Box sx={{ bgcolor: ink.well, display: "grid", placeItems: "center" }}>
          <Box
            sx={{
              position: "relative",
              isolation: "isolate",
              height: HIGH,
              aspectRatio: `${wide}`,
            }}
          >
            <Still
              src={takeFrameUrl(production.id, take.id, frame, HIGH)}
              alt={`Frame ${frame} of the take`}
            />
            {shade !== undefined && !bare && (
              <Box
                data-testid="shade"
                sx={{ position: "absolute", inset: 0, mixBlendMode: "multiply", opacity: 0.75 }}
              >
                <Still src={shade} alt="What is not it is dark" />
              </Box>
            )}
            <StrokeSheet
              aspect={wide}
              brush={brush}
              strokes={strokes}
              onStroke={(stroke) => setOwn(withStroke(guides, frame, stroke))}
            />
          </Box>
        </Box>
        <Box sx={{ display: "flex", alignItems: "center", gap: 4, px: 2 }}>
          <Slider
            size="small"
            aria-label="Frame"
            min={0}
            max={Math.max(0, take.frames - 1)}
            value={frame}
            marks={drawn.map((value) => ({ value }))}
            onChange={(_, to) => setFrame(to as number)}
          />
          <Box sx={{ fontFamily: face.mono, fontSize: 12, whiteSpace: "nowrap" }}>
            {frame + 1} of {take.frames}
          </Box>
        </Box>
        <Box sx={{ display: "flex", alignItems: "center", gap: 2 }}>
          <ToggleButtonGroup
            exclusive
            value={brush}
            aria-label="What you draw"
            onChange={(_, to: Brush | null) => to && setBrush(to)}
          >
            {BRUSHES.map((b) => (
              <ToggleButton key={b.brush} value={b.brush} title={`${b.says} (${b.key})`}>
                {b.name}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          {strokes.length > 0 && (
            <Button
              title="Takes the last stroke on this picture away (Backspace)"
              onClick={takeBack}
            >
              Take back
            </Button>
          )}
          {shade !== undefined && (
            <ToggleButton
              value="bare"
              selected={bare}
              title="What is not it is not made dark"
              onChange={() => setBare(!bare)}
            >
              picture alone
            </ToggleButton>
          )}
          <Box sx={{ flex: 1, color: outline.isError && looksAnew ? ink.rust : ink.ink2 }}>
            {outline.isError && looksAnew
              ? outline.error.message
              : adviceOf(begun, view?.cut != null, own !== null, drawn.length)}
          </Box>
        </Box>
        {view?.work?.failed === true && <Box sx={{ color: ink.rust }}>{view.work.message}</Box>}
      </DialogContent>
      <DialogActions sx={{ p: 4, gap: 2 }}>
        {working ? (
          <>
            <LinearProgress
              variant="determinate"
              value={100 * working.share}
              aria-label="Cutting out"
              sx={{ width: 120 }}
            />
            <Box sx={{ color: ink.ink2 }}>
              Following it through {plural(take.frames, "frame")}, {Math.floor(100 * working.share)}{" "}
              %
            </Box>
            <Button onClick={() => away.mutate()}>Stop</Button>
          </>
        ) : (
          <>
            {begun && (own !== null || !view?.cut) && (
              <Button
                variant="contained"
                color="primary"
                onClick={() => cut.mutate(guides, { onSuccess: () => setOwn(null) })}
              >
                {view?.cut ? "Cut it out anew" : "Cut it out"}
              </Button>
            )}
          </>
        )}
        <Box sx={{ flex: 1 }} />
        {view?.cut && !working && <Button onClick={() => away.mutate()}>Throw it away</Button>}
        {view?.cut &&
          !working &&
          own === null &&
          uses.map(({ name: use, says, act }, i) => (
            <Button
              key={use}
              title={says}
              {...(i === 0 && { variant: "contained", color: "primary" })}
              onClick={() => {
                act();
                onClose();
              }}
            >
              {use}
            </Button>
          ))}
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

function adviceOf(begun: boolean, cut: boolean, changed: boolean, pictures: number): string {
  if (!begun) return "Draw a box about it, then a stroke through each part of it.";
  if (!cut) return "Brush over what is missing, or is not it; then have it followed.";
  if (!changed) return "Where it is wrong, brush over it on that picture and cut it out anew.";
  return `Drawn on ${plural(pictures, "picture")}; from each it is followed both ways.`;
}
