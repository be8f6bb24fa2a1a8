import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import { useMemo } from "react";
import { api, type Production, type Song } from "../../api/client";
import { useChange, usePeaks } from "../../api/queries";
import { clockTime } from "../../parts/time";
import { fraunces, ink } from "../../theme";
import { outlineOf, outlinePath } from "./peaks";
import { momentName } from "./keyMoments";
import { tempoOf } from "../../parts/tempo";

interface Props {
  song: Song;
  production: Production;
  shown: boolean;
  onShow: () => void;
}

const WIDTH = 420;
const HEIGHT = 40;

/** One candidate: its shape, its tempo, and the button that chooses it. */
export function SongChoice({ song, production, shown, onShow }: Props) {
  const ready = song.state === "READY";
  const peaks = usePeaks(production.id, ready ? song.id : null).data;
  const at = { productionId: production.id, songId: song.id };
  const choose = useChange<void>(production.id, () =>
    api.POST("/api/productions/{productionId}/songs/{songId}/choose", { params: { path: at } }),
  );
  const again = useChange<void>(production.id, () =>
    api.POST("/api/productions/{productionId}/songs/{songId}/again", { params: { path: at } }),
  );
  const stop = useChange<void>(production.id, () =>
    api.POST("/api/productions/{productionId}/songs/{songId}/stop", { params: { path: at } }),
  );
  const path = useMemo(() => {
    if (!peaks) return null;
    const { perSecond, peak } = outlineOf(peaks);
    const at = (x: number) => (x / WIDTH) * song.seconds;
    return outlinePath(peak, perSecond, 0, WIDTH, at, HEIGHT, HEIGHT, 0);
  }, [peaks, song.seconds]);
  return (
    <Box
      component="section"
      aria-label={song.title}
      onClick={onShow}
      sx={{
        display: "flex",
        gap: 4,
        p: 3,
        borderRadius: 1,
        border: `${song.chosen ? 2 : 1}px solid ${song.chosen ? ink.thistle : ink.rule2}`,
        bgcolor: shown ? ink.sheet : ink.paper,
        cursor: "pointer",
      }}
    >
      <Box sx={{ width: 150, flex: "none" }}>
        <Box
          sx={{
            typography: "h2",
            whiteSpace: "nowrap",
            overflow: "hidden",
            textOverflow: "ellipsis",
          }}
        >
          {song.title}
        </Box>
        <Box sx={{ typography: "body2", color: ink.ink2, minHeight: 32 }}>
          {ready && (
            <>
              {tempoOf(song.beats, song.bpm, 1)} BPM, {song.beatsPerBar}/4
              <br />
              {clockTime(song.seconds)}
              {song.loudness !== null && `, ${song.loudness.toFixed(1)} LUFS`}
            </>
          )}
        </Box>
        {song.chosen ? (
          <Box
            component="span"
            sx={{
              bgcolor: ink.thistle,
              color: "#fff",
              fontWeight: 600,
              px: 2,
              py: 0.5,
              borderRadius: "2px",
            }}
          >
            chosen
          </Box>
        ) : (
          ready && (
            <Button
              onClick={(e) => {
                e.stopPropagation();
                choose.mutate();
              }}
            >
              Choose this
            </Button>
          )
        )}
      </Box>
      <Box sx={{ flex: 1, minWidth: 0 }}>
        {song.state === "PREPARING" && (
          <Box sx={{ mt: 5 }}>
            Listening for the beats
            {song.listened > 0 &&
              `, ${clockTime(song.listened * song.seconds)} of ${clockTime(song.seconds)}`}
            <Button
              sx={{ ml: 2 }}
              onClick={(e) => {
                e.stopPropagation();
                stop.mutate();
              }}
            >
              Stop
            </Button>
            <LinearProgress
              aria-label={`Listening to ${song.title}`}
              variant={song.listened > 0 ? "determinate" : "indeterminate"}
              value={100 * song.listened}
              sx={{ mt: 2 }}
            />
          </Box>
        )}
        {song.state === "REFUSED" && (
          <Box sx={{ color: ink.rust }} role="alert">
            {song.reason}
            <Button sx={{ ml: 2 }} onClick={() => again.mutate()}>
              Listen again
            </Button>
          </Box>
        )}
        {song.sections.length > 1 && (
          <Box sx={{ position: "relative", height: 18, overflow: "hidden" }}>
            {song.sections.map((section) => (
              <Box
                key={section.start}
                sx={{
                  ...fraunces,
                  position: "absolute",
                  left: `${(100 * section.start) / song.seconds}%`,
                  width: `${(100 * (section.end - section.start)) / song.seconds}%`,
                  fontStyle: "italic",
                  fontSize: 13,
                  lineHeight: "18px",
                  pl: "3px",
                  whiteSpace: "nowrap",
                  overflow: "hidden",
                  color: song.chosen ? ink.thistleDeep : ink.ink2,
                }}
              >
                {section.name}
              </Box>
            ))}
          </Box>
        )}
        {path && (
          <svg
            viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
            preserveAspectRatio="none"
            width="100%"
            height={HEIGHT + 8}
            role="img"
            aria-label="how loud it is over its length"
          >
            <path d={path} fill={song.chosen ? ink.wavePeak : ink.rule2} />
            {song.sections.slice(1).map((section) => (
              <line
                key={section.start}
                x1={(section.start / song.seconds) * WIDTH}
                x2={(section.start / song.seconds) * WIDTH}
                y1={0}
                y2={HEIGHT}
                stroke={song.chosen ? ink.thistle : ink.ink3}
                vectorEffect="non-scaling-stroke"
              />
            ))}
            <line x1={0} x2={WIDTH} y1={HEIGHT - 0.5} y2={HEIGHT - 0.5} stroke={ink.ink2} />
          </svg>
        )}
        {song.moments.length > 0 && (
          <Box
            sx={{
              typography: "body2",
              color: ink.ink2,
              whiteSpace: "nowrap",
              overflow: "hidden",
              textOverflow: "ellipsis",
            }}
          >
            {song.moments.map((m) => `${momentName(m)} ${clockTime(m.at)}`).join(", ")}
          </Box>
        )}
      </Box>
    </Box>
  );
}
