import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import type { CameraPath, PathPoint, Placed, Production } from "../../api/client";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import { EasingChoice } from "./EasingChoice";
import { FramingChoice } from "./FramingChoice";
import { StationTable } from "./StationTable";
import type { ScoreActions } from "./useScoreActions";
import { LAST, pathOf, pointName, timeOf, viewAt, withPoint } from "./views";

interface Props {
  production: Production;
  shot: Placed;
  actions: ScoreActions;
}

/** Views that are set one by one; more of them were worked out. */
const TABLED = 8;

/** A take pixel that fills more of the film's than this looks soft: common practice, no source. */
const SOFT = 2;

/** How the take meets the film's picture, and how the camera moves over it. */
export function FramingPanel({ production, shot, actions }: Props) {
  const whole = useRoom((s) => s.wholeTake);
  const draft = useRoom((s) => s.draftPath);
  const copied = useRoom((s) => s.copiedPath);
  const many = useRoom((s) => s.also.length > 1);
  const set = useRoom((s) => s.set);
  const path = draft ?? pathOf(shot);
  const lay = (to: CameraPath) => void actions.setPath(to);
  return (
    <Box component="section" aria-label="Framing">
      <Box sx={{ display: "flex", alignItems: "center", gap: 2, py: 2 }}>
        <FramingChoice value={shot.framing} onChoose={(to) => actions.setFraming(shot.place, to)} />
        <Box sx={{ flex: 1 }} />
        <ToggleButtonGroup
          exclusive
          value={whole ? "whole" : "framed"}
          aria-label="What the monitor shows"
          onChange={(_, to: string | null) => to && set({ wholeTake: to === "whole" })}
        >
          <ToggleButton value="whole">whole take</ToggleButton>
          <ToggleButton value="framed">as framed</ToggleButton>
        </ToggleButtonGroup>
      </Box>
      {many && <Box sx={{ pb: 1 }}>A move is set on all selected shots.</Box>}
      {path.points.length > TABLED ? (
        <Box sx={{ py: 1 }}>
          Along {path.points.length} views, worked out from how the take moves.
        </Box>
      ) : (
        <Views production={production} shot={shot} path={path} onSet={lay} />
      )}
      <EasingChoice value={path.easing} onChoose={(easing) => lay({ ...path, easing })} />
      <Sharpness shot={shot} />
      <Box
        sx={{
          display: "flex",
          flexWrap: "wrap",
          gap: 2,
          py: 2,
          borderTop: `1px solid ${ink.rule}`,
        }}
      >
        <Button
          title="As the story asks of the camera, and as long as the shot is"
          onClick={() => actions.proposePath()}
        >
          As asked
        </Button>
        <Button
          title="The take’s shake goes, its pans stay"
          onClick={() => actions.steadyPath("SMOOTHED")}
        >
          Steady
        </Button>
        <Button
          title="All of the take’s own movement goes"
          onClick={() => actions.steadyPath("LOCKED")}
        >
          Hold still
        </Button>
        <Button onClick={() => lay(turnedRound(path))}>Turn it round</Button>
        <Button
          title="Another view at the playhead, through which the camera goes"
          onClick={() => lay(withView(path, timeOf(shot, useRoom.getState().frame)))}
        >
          Through a view here
        </Button>
        {shot.path && <Button onClick={() => set({ copiedPath: path })}>Copy</Button>}
        {copied && copied !== path && (
          <Button title="The move that was copied" onClick={() => lay(copied)}>
            Paste
          </Button>
        )}
        <Box sx={{ flex: 1 }} />
        {shot.path && <Button onClick={() => void actions.setPath(null)}>No move</Button>}
      </Box>
      <Box sx={{ color: ink.ink2, pb: 2 }}>
        On the whole take: drag a frame to move it and its corner to size it, or reach it with Tab
        and use the arrows, + and −. It never leaves the take.
      </Box>
    </Box>
  );
}

/** A path that begins where this ends. */
function turnedRound(path: CameraPath): CameraPath {
  const last = path.points.at(-1)?.at ?? LAST;
  return {
    ...path,
    points: path.points.map((p) => ({ ...p, at: last - p.at })).reverse(),
  };
}

/** A path that goes through what is seen at a time now. */
function withView(path: CameraPath, time: number): CameraPath {
  const seen = viewAt(path, time);
  const at = Math.round(Math.max(0, Math.min(1, time)) * LAST);
  const view: PathPoint = {
    at,
    size: Math.ceil(seen.size),
    right: Math.round(seen.right),
    down: Math.round(seen.down),
    turn: Math.round(seen.turn),
  };
  const rest = path.points.filter((p) => Math.abs(p.at - at) > 1);
  return { ...path, points: [...rest, view].sort((a, b) => a.at - b.at) };
}

/** What is said of a view. */
const COLUMNS = [
  {
    field: "size",
    name: "size",
    unit: "%",
    per: 10,
    digits: 1,
    hint: "100 % is as much as fills the picture; more is closer",
  },
  {
    field: "right",
    name: "right",
    unit: "%",
    per: 100,
    digits: 1,
    hint: "Of the take’s width, from its middle",
  },
  {
    field: "down",
    name: "down",
    unit: "%",
    per: 100,
    digits: 1,
    hint: "Of the take’s height, from its middle",
  },
  {
    field: "turn",
    name: "turn",
    unit: "°",
    per: 100,
    digits: 1,
    hint: "Of the camera, clockwise; the picture is enlarged as far as it has to be",
  },
] as const;

function Views({
  production,
  shot,
  path,
  onSet,
}: {
  production: Production;
  shot: Placed;
  path: CameraPath;
  onSet: (to: CameraPath) => void;
}) {
  const { points } = path;
  return (
    <StationTable
      points={points}
      columns={COLUMNS}
      width={54}
      nameOf={(i) => pointName(i, points.length)}
      timeHint="Of the shot’s time; after the last view the camera rests"
      onChange={(i, field, to) =>
        onSet(withPoint(path, i, { [field]: Math.round(to) }, shot.picture, production))
      }
      onTime={(i, at) =>
        onSet({ ...path, points: points.map((p, k) => (k === i ? { ...p, at } : p)) })
      }
      onLeave={(i) => onSet({ ...path, points: points.filter((_, k) => k !== i) })}
    />
  );
}

/** What the framing costs in sharpness. */
function Sharpness({ shot }: { shot: Placed }) {
  const fills = shot.path?.fills;
  if (!fills) return null;
  const most = Math.max(fills.first, fills.last);
  const of = (v: number) => v.toFixed(2);
  const range =
    of(fills.first) === of(fills.last)
      ? of(fills.first)
      : `${of(fills.first)} to ${of(fills.last)}`;
  return (
    <Box sx={{ py: 1, color: most > SOFT ? ink.rust : ink.ink2 }} data-testid="fills">
      1 take pixel fills {range} of the film’s
      {most > SOFT
        ? `; above ${SOFT.toFixed(2)} it looks soft`
        : `, sharp up to ${SOFT.toFixed(2)}`}
    </Box>
  );
}
