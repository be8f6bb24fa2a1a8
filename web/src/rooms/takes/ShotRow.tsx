import Box from "@mui/material/Box";
import OutlinedInput from "@mui/material/OutlinedInput";
import { useEffect, useState } from "react";
import { api, type Film, type Production, type Shot, type Take } from "../../api/client";
import { useArrivals } from "../../api/arrivals";
import { useChange } from "../../api/queries";
import { fraunces, ink } from "../../theme";
import { moveName } from "../story/props";
import { TakeTile } from "./TakeTile";
import { tileSize } from "./tile";

interface Props {
  shot: Shot;
  production: Production;
  chosen: number | null;
  compared: readonly number[];
  dense: boolean;
  /** How wide the rows are, in pixels. */
  room: number;
  /** Whether all rows in sight play. */
  playAll: boolean;
  short: Film["problems"][number] | undefined;
  onChoose: (take: Take, more: boolean) => void;
  onPick: (take: Take) => void;
}

const LOOP_MS = 4000;
const STEP_MS = 120;

/** A shot with its takes side by side on neutral grey, playing in step while pointed at. */
export function ShotRow({
  shot,
  production,
  chosen,
  compared,
  dense,
  room,
  playAll,
  short,
  onChoose,
  onPick,
}: Props) {
  const [title, setTitle] = useState<string | null>(null);
  const [over, setOver] = useState(false);
  const [dropping, setDropping] = useState(false);
  const bring = useArrivals((s) => s.bring);
  const playing = usePlaying(over || playAll);
  const tile = tileSize(production, dense, room);
  const rename = useChange<string>(production.id, (to) =>
    api.PATCH("/api/productions/{productionId}/shots/{shotId}", {
      params: { path: { productionId: production.id, shotId: shot.id } },
      body: { title: to, pick: null },
    }),
  );
  const save = () => {
    if (title !== null && title.trim() !== shot.title) rename.mutate(title.trim());
    setTitle(null);
  };
  return (
    <Box
      component="section"
      id={`shot-${shot.id}`}
      aria-label={`Shot ${shot.label}`}
      onDragOver={(e) => {
        if (e.dataTransfer.types.includes("Files")) {
          e.preventDefault();
          e.stopPropagation();
          setDropping(true);
        }
      }}
      onDragLeave={() => setDropping(false)}
      onDrop={(e) => {
        e.preventDefault();
        e.stopPropagation();
        setDropping(false);
        bring(production.id, [...e.dataTransfer.files], shot.id);
      }}
      sx={{
        display: "flex",
        borderBottom: `1px solid ${ink.rule}`,
        minHeight: tile.height + (dense ? 28 : 69),
        bgcolor: dropping ? ink.thistleWash : "transparent",
      }}
    >
      <Box sx={{ width: 151, flex: "none", p: 3, pt: 2, overflow: "hidden" }}>
        <Box sx={{ ...fraunces, fontSize: 21, lineHeight: "26px", fontWeight: 460 }}>
          {shot.label}
        </Box>
        {title === null ? (
          <Box
            component="button"
            title={shot.storyShot === null ? "Rename" : `${shot.title} (changed in Story)`}
            onClick={() => shot.storyShot === null && setTitle(shot.title)}
            sx={{
              p: 0,
              border: 0,
              bgcolor: "transparent",
              font: "inherit",
              fontWeight: 600,
              fontSize: 13,
              lineHeight: "16px",
              color: shot.title ? ink.ink : ink.ink3,
              textAlign: "left",
              cursor: shot.storyShot === null ? "text" : "default",
              display: "-webkit-box",
              WebkitLineClamp: dense ? 2 : 3,
              WebkitBoxOrient: "vertical",
              overflow: "hidden",
            }}
          >
            {shot.title || "name it"}
          </Box>
        ) : (
          <OutlinedInput
            autoFocus
            value={title}
            inputProps={{ "aria-label": "What is seen", maxLength: 200 }}
            onChange={(e) => setTitle(e.target.value)}
            onBlur={save}
            onKeyDown={(e) => {
              if (e.key === "Enter") save();
              if (e.key === "Escape") setTitle(null);
            }}
          />
        )}
        {!dense && shot.asked !== null && (
          <Box sx={{ typography: "body2", color: ink.ink2, mt: "2px" }}>
            {moveName(shot.asked)}, {shot.wantedSeconds.toFixed(1)} s
          </Box>
        )}
      </Box>
      <Box
        sx={{ flex: 1, minWidth: 0, overflow: "hidden" }}
        onMouseEnter={() => setOver(true)}
        onMouseLeave={() => setOver(false)}
      >
        <Box
          sx={{
            display: "flex",
            flexWrap: "wrap",
            columnGap: 3,
            rowGap: 2,
            p: 2,
            pb: 1,
          }}
        >
          {shot.takes.length === 0 && (
            <Box
              sx={{
                ...tile,
                border: `1px dashed ${ink.ink3}`,
                display: "grid",
                placeItems: "center",
                color: ink.ink3,
              }}
            >
              no take yet
            </Box>
          )}
          {shot.takes.map((take) => (
            <TakeTile
              key={take.id}
              take={take}
              production={production}
              pick={take.id === shot.pick}
              chosen={take.id === chosen}
              compared={compared.includes(take.id)}
              playing={playing}
              dense={dense}
              room={room}
              short={take.id === shot.pick ? short : undefined}
              onChoose={(more) => onChoose(take, more)}
              onPick={() => onPick(take)}
            />
          ))}
        </Box>
      </Box>
    </Box>
  );
}

/** How far the row is played, 0 to 1, over and over; null while it stands. */
function usePlaying(on: boolean): number | null {
  const [at, setAt] = useState(0);
  const plays = on && !window.matchMedia("(prefers-reduced-motion: reduce)").matches;
  useEffect(() => {
    if (!plays) return;
    // All rows take the time from the same clock, so that they play in step.
    const timer = setInterval(() => setAt((performance.now() % LOOP_MS) / LOOP_MS), STEP_MS);
    return () => clearInterval(timer);
  }, [plays]);
  return plays ? at : null;
}
