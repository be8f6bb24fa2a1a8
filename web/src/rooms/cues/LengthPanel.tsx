import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useQuery } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { answerTo, api, under, type Production, type Song } from "../../api/client";
import { keys, useChange } from "../../api/queries";
import { NumberField } from "../../parts/NumberField";
import { clockTime } from "../../parts/time";
import { ink } from "../../theme";

interface Props {
  song: Song;
  production: Production;
  /** The length of the film in seconds, or its target. */
  wanted: number;
  onClose: () => void;
}

const WIDTH = 620;
/** A join dearer than this may be heard: common practice, no source. */
const HEARD = 0.7;

/** Three ways to make a song a wanted length; each join can be heard before one is taken. */
export function LengthPanel({ song, production, wanted, onClose }: Props) {
  const [seconds, setSeconds] = useState(Math.round(wanted * 10) / 10);
  const audio = useRef<HTMLAudioElement>(null);
  const at = { productionId: production.id, songId: song.id };
  const { data, error, isFetching } = useQuery({
    queryKey: [...keys.songs(production.id), song.id, "lengths", seconds],
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/songs/{songId}/lengths", {
          params: { path: at, query: { seconds } },
        }),
      ),
    retry: false,
    staleTime: Infinity,
  });
  const take = useChange<number>(production.id, (choice) =>
    api.POST("/api/productions/{productionId}/songs/{songId}/lengths", {
      params: { path: at },
      body: { seconds, choice },
    }),
  );
  const x = (at: number) => (at / song.seconds) * WIDTH;
  return (
    <Box
      component="section"
      aria-label="another length"
      sx={{ border: `1px solid ${ink.rule2}`, borderRadius: 1, bgcolor: ink.paper, p: 3, mb: 2 }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 3, mb: 2 }}>
        <NumberField
          label={`Make ${song.title} last`}
          unit="s"
          digits={1}
          value={seconds}
          onChange={setSeconds}
        />
        <Box sx={{ color: error ? ink.rust : ink.ink2 }} aria-live="polite">
          {error
            ? error.message
            : isFetching
              ? "Trying bar against bar …"
              : "opening and ending are kept; whole bars go, or come again"}
        </Box>
        <Box sx={{ flex: 1 }} />
        <Button onClick={onClose}>Close</Button>
      </Box>
      {data?.map((way, i) => (
        <Box
          key={i}
          role="group"
          aria-label={`way ${i + 1}`}
          sx={{ display: "flex", alignItems: "center", gap: 3, height: 34 }}
        >
          <svg width={WIDTH} height={26} aria-hidden>
            <rect width={WIDTH} height={10} y={8} fill={ink.band} />
            {way.kept.map((k) => (
              <rect
                key={k.start}
                x={x(k.start)}
                y={4}
                width={Math.max(1, x(k.end - k.start) - 1)}
                height={18}
                fill={ink.ribbonBody}
                fillOpacity={0.7}
              />
            ))}
          </svg>
          <Box sx={{ width: 190, color: ink.ink2, overflow: "hidden", whiteSpace: "nowrap" }}>
            bars {way.kept.map((k) => `${k.firstBar}–${k.lastBar}`).join(", ")}, cost{" "}
            {way.cost.toFixed(2)}
          </Box>
          {way.joins.map((join, j) => (
            <Button
              key={join.at}
              title={`At ${clockTime(join.at)}, cost ${join.cost.toFixed(2)}: 0 goes on as the song does, 1 is like two bars at random`}
              onClick={() => {
                const element = audio.current;
                if (!element) return;
                element.src = `${under(production.id)}/songs/${song.id}/lengths/${i}/joins/${j}.wav?seconds=${seconds}`;
                void element.play();
              }}
              sx={{ color: join.cost > HEARD ? ink.rust : undefined, minWidth: 0 }}
            >
              Hear {way.joins.length > 1 ? `join ${j + 1}` : "the join"}
            </Button>
          ))}
          <Box sx={{ flex: 1 }} />
          <Button
            variant="contained"
            color="primary"
            disabled={take.isPending}
            onClick={() => take.mutate(i, { onSuccess: onClose })}
          >
            Take it
          </Button>
        </Box>
      ))}
      <audio ref={audio} />
    </Box>
  );
}
