import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useState } from "react";
import {
  inShape,
  stillUrl,
  type Film,
  type Framing,
  type OtherShape,
  type Placed,
  type Production,
} from "../../api/client";
import { NumberField } from "../../parts/NumberField";
import { plural } from "../../parts/words";
import { useRoom } from "../../store";
import { BareButton } from "../../parts/BareButton";
import { ink } from "../../theme";
import { FocusPicker } from "./FocusPicker";
import { focusAt, focusOf, focusThrough, focusWithout, framedIn, timeIn, watched } from "./shapes";
import type { ScoreActions } from "./useScoreActions";

interface Props {
  production: Production;
  film: Film;
  shot: Placed;
  actions: ScoreActions;
}

/** How high a shot's picture is drawn in each shape, in pixels. */
const HEIGHT = 76;

/** What has to be seen of the shot, and how it looks in every shape the film can leave in. */
export function ShapesPanel({ production, film, shot, actions }: Props) {
  const frame = useRoom((s) => s.frame);
  const shape = useRoom((s) => s.shape);
  const many = useRoom((s) => s.also.length);
  const set = useRoom((s) => s.set);
  const own = film.shapes[0]?.name;
  const now = watched(film, production, shape);
  const at = Math.max(shot.start, Math.min(shot.end - 1, frame));
  const { focus } = shot;
  const [moves, setMoves] = useState((focus?.points.length ?? 0) > 1);
  const time = timeIn(shot, at);
  // A place that is said for the playhead can be taken back.
  const fewer = focus && focus.points.length > 1 ? focusWithout(time, focus) : null;
  const [following, setFollowing] = useState(false);
  const follow = () => {
    const { x, y } = focusOf(shot, at);
    setFollowing(true);
    void actions.followFocus(shot.place, at, x, y).finally(() => setFollowing(false));
  };
  const sized = (to: { across?: number; down?: number }) =>
    actions.setFocus({ ...(focus ?? focusAt(0.5, 0.5, null)), ...to });
  return (
    <Box component="section" aria-label="Shapes">
      {many > 1 && <Box sx={{ color: ink.ink2 }}>On {plural(many, "selected shot")}</Box>}
      <Box sx={{ display: "flex", gap: 3, py: 2 }}>
        <FocusPicker
          production={production}
          shot={shot}
          onSet={(x, y) =>
            actions.setFocus(moves ? focusThrough(x, y, time, focus) : focusAt(x, y, focus))
          }
        />
        <Box sx={{ display: "grid", gap: 1, alignContent: "start" }}>
          <Box sx={{ color: ink.ink2 }}>
            {focus
              ? focus.points.length > 1
                ? `It goes through ${plural(focus.points.length, "place")}.`
                : "The focus stays."
              : "No focus yet: shapes show the middle."}
          </Box>
          <Box sx={{ display: "flex", gap: 1 }}>
            <ToggleButton
              value="moves"
              selected={moves}
              title="Each press says where it is at the playhead, and not for the whole shot"
              onChange={() => setMoves(!moves)}
            >
              at the playhead
            </ToggleButton>
            {fewer && <Button onClick={() => actions.setFocus(fewer)}>Not here</Button>}
          </Box>
          <NumberField
            label="wide"
            unit="%"
            digits={0}
            value={(focus?.across ?? 0) / 10}
            hint="What matters is so wide, of the take’s width; shapes that cannot hold it show all"
            onChange={(v) => sized({ across: Math.round(10 * v) })}
          />
          <NumberField
            label="high"
            unit="%"
            digits={0}
            value={(focus?.down ?? 0) / 10}
            hint="Of the take’s height"
            onChange={(v) => sized({ down: Math.round(10 * v) })}
          />
          <Box sx={{ display: "flex", gap: 1 }}>
            <Button title="By what stands out and what moves" onClick={() => actions.findFocus()}>
              Find it
            </Button>
            {focus && (
              <Button
                disabled={following}
                title="Follows what is there at the playhead through the shot"
                onClick={follow}
              >
                {following ? "Following…" : "Follow it"}
              </Button>
            )}
            {focus && <Button onClick={() => actions.setFocus(null)}>Middle</Button>}
          </Box>
        </Box>
      </Box>
      <Box
        role="group"
        aria-label="The shot in every shape; press one to watch the film in it"
        sx={{
          display: "flex",
          flexWrap: "wrap",
          gap: 2,
          pt: 2,
          borderTop: `1px solid ${ink.rule}`,
        }}
      >
        {film.shapes.map((s) => (
          <Tile
            key={s.name}
            src={stillUrl(
              production.id,
              inShape(film.revision, s.name === own ? null : s.name),
              at,
            )}
            shape={s}
            framed={s.name === own ? "as cut" : framedIn(shot, s.name)}
            used={s.name === now.name}
            onWatch={() => set({ shape: s.name === own ? null : s.name })}
          />
        ))}
      </Box>
      {shape !== null && shape !== own && (
        <Box sx={{ display: "flex", alignItems: "center", gap: 2, py: 2 }}>
          <Box sx={{ color: ink.ink2 }}>In {shape}</Box>
          <ToggleButtonGroup
            exclusive
            value={shot.shapes.find((s) => s.shape === shape)?.said ?? "FOCUS"}
            aria-label={`How it is framed in ${shape}`}
            onChange={(_, to: Framing | "FOCUS" | null) =>
              to && actions.setShapeFraming(shape, to === "FOCUS" ? null : to)
            }
          >
            <ToggleButton value="FOCUS">by its focus</ToggleButton>
            <ToggleButton value="FIT">fit</ToggleButton>
            <ToggleButton value="FILL">middle</ToggleButton>
            <ToggleButton value="SOFT">soft</ToggleButton>
          </ToggleButtonGroup>
        </Box>
      )}
    </Box>
  );
}

function Tile({
  src,
  shape,
  framed,
  used,
  onWatch,
}: {
  src: string;
  shape: OtherShape;
  framed: string;
  used: boolean;
  onWatch: () => void;
}) {
  return (
    <BareButton aria-pressed={used} aria-label={`${shape.name}, ${framed}`} onClick={onWatch}>
      <Box
        sx={{
          height: HEIGHT,
          aspectRatio: `${shape.width} / ${shape.height}`,
          bgcolor: ink.well,
          outline: used ? `2px solid ${ink.thistle}` : "none",
        }}
      >
        <img src={src} alt="" style={{ width: "100%", height: "100%", display: "block" }} />
      </Box>
      <Box
        title={`${shape.width}×${shape.height}, ${framed}`}
        sx={{
          typography: "body2",
          color: used ? ink.thistleDeep : ink.ink2,
          width: Math.round((HEIGHT * shape.width) / shape.height),
          whiteSpace: "nowrap",
          overflow: "hidden",
          textOverflow: "ellipsis",
        }}
      >
        <Box component="span" sx={{ fontWeight: 600 }}>
          {shape.name}
        </Box>
        {shape.width > shape.height && ` ${framed}`}
      </Box>
    </BareButton>
  );
}
