import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Select from "@mui/material/Select";
import { useQuery } from "@tanstack/react-query";
import { useRef, useState, type RefObject } from "react";
import { answerTo, api, under, type Production, type Song } from "../../api/client";
import { keys, useChange } from "../../api/queries";
import { NumberField } from "../../parts/NumberField";
import { clockTime } from "../../parts/time";
import { ink } from "../../theme";
import { barStarts, nearestBar } from "./bars";
import { JoinedLanes } from "./JoinedLanes";
import type { Spot } from "./useSpot";

interface Props {
  song: Song;
  /** The songs that can go on. */
  others: readonly Song[];
  production: Production;
  /** Where the song was last heard. */
  spot: RefObject<Spot>;
  onClose: () => void;
}

/** Decibels from which a difference of level is worth a word: common practice, no source. */
const HEARD = 1;

/** From a bar of one song on, another one: heard around the join, then taken as a candidate. */
export function TwoSongsPanel({ song, others, production, spot, onClose }: Props) {
  const starts = barStarts(song);
  const last = starts.length - 1;
  const [otherId, setOther] = useState(others[0]?.id ?? 0);
  const other = others.find((s) => s.id === otherId) ?? others[0];
  // The bar that begins at a place is the other song's already.
  const before = (seconds: number) => Math.max(1, Math.min(last, nearestBar(starts, seconds) - 1));
  const [bars, setBars] = useState(() =>
    before(spot.current.seconds || sectionAfter(song, song.seconds / 2)),
  );
  const [from, setFrom] = useState(1);
  const audio = useRef<HTMLAudioElement>(null);
  const path = { productionId: production.id, songId: song.id, otherId: other?.id ?? 0 };
  const { data, error } = useQuery({
    queryKey: [...keys.songs(production.id), song.id, "then", path.otherId, bars, from],
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/songs/{songId}/then/{otherId}", {
          params: { path, query: { bars, from } },
        }),
      ),
    retry: false,
  });
  const take = useChange<void>(production.id, () =>
    api.POST("/api/productions/{productionId}/songs/{songId}/then/{otherId}", {
      params: { path },
      body: { bars, from },
    }),
  );
  if (!other) return null;
  const hear = () => {
    const element = audio.current;
    if (!element) return;
    element.src = `${under(production.id)}/songs/${song.id}/then/${other.id}/join.wav?bars=${bars}&from=${from}`;
    void element.play();
  };
  return (
    <Box
      component="section"
      aria-label="another song from a bar on"
      sx={{ border: `1px solid ${ink.rule2}`, borderRadius: 1, bgcolor: ink.paper, p: 3, mb: 2 }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 3, mb: 2 }}>
        <NumberField
          label={`${song.title} to the end of`}
          unit={`of ${last} bars, then`}
          digits={0}
          value={bars}
          onChange={(to) => setBars(Math.round(to))}
        />
        <Select
          size="small"
          value={other.id}
          onChange={(e) => {
            setOther(e.target.value);
            setFrom(1);
          }}
          inputProps={{ "aria-label": "The song that goes on" }}
        >
          {others.map((s) => (
            <MenuItem key={s.id} value={s.id}>
              {s.title}
            </MenuItem>
          ))}
        </Select>
        <NumberField
          label="from its bar"
          unit={`of ${barStarts(other).length}`}
          digits={0}
          value={from}
          onChange={(to) => setFrom(Math.round(to))}
        />
        <Box sx={{ flex: 1 }} />
        <Button onClick={onClose}>Close</Button>
      </Box>
      {data && (
        <JoinedLanes
          first={song}
          second={other}
          at={data.at}
          seconds={data.seconds}
          from={barStarts(other)[from - 1] ?? 0}
          onLeave={(seconds) => setBars(before(seconds))}
          onEnter={(seconds) => setFrom(nearestBar(barStarts(other), seconds))}
        />
      )}
      <Box sx={{ display: "flex", alignItems: "center", gap: 3, mt: 2 }}>
        <Box sx={{ color: error ? ink.rust : ink.ink2 }} aria-live="polite">
          {error ? error.message : data && says(data)}
        </Box>
        <Box sx={{ flex: 1 }} />
        {data && <Button onClick={hear}>Hear the join</Button>}
        {data && (
          <Button
            variant="contained"
            color="primary"
            disabled={take.isPending}
            onClick={() => take.mutate(undefined, { onSuccess: onClose })}
          >
            Take it
          </Button>
        )}
      </Box>
      <audio ref={audio} />
    </Box>
  );
}

/** Where the first section begins that begins after a time. */
const sectionAfter = (song: Song, seconds: number) =>
  song.sections.find((s) => s.start >= seconds)?.start ?? seconds;

interface Joined {
  at: number;
  fade: number;
  seconds: number;
  bpm: number;
  thenBpm: number;
  louder: number;
}

/** What two songs make, in words. */
function says({ at, fade, seconds, bpm, thenBpm, louder }: Joined): string {
  const level =
    Math.abs(louder) < HEARD
      ? ""
      : `; the second is brought ${Math.abs(louder).toFixed(1)} dB ${louder > 0 ? "up" : "down"} to the first`;
  return (
    `the second begins at ${clockTime(at)} after a cross-fade of one beat, ${fade.toFixed(2)} s; ` +
    `${bpm.toFixed(1)} BPM, then ${thenBpm.toFixed(1)}; ${clockTime(seconds)} in all${level}`
  );
}
