import Box from "@mui/material/Box";
import type { Film, Song, Voice, VoiceLine } from "../../../api/client";
import { clockTime } from "../../../parts/time";
import { face, fraunces, ink } from "../../../theme";
import { LineWave } from "./LineWave";
import { RateScale } from "./RateScale";
import { pickOf, tightened, untightened } from "./layout";

interface Props {
  line: VoiceLine;
  voice: Voice;
  song: Song | undefined;
  film: Film | undefined;
  selected: boolean;
  perSecond: number;
  width: number;
  playhead: number | null;
  onSelect: () => void;
  onSeek: (seconds: number) => void;
}

/** The columns of the table of lines, in pixels. */
export const COLUMNS = "36px minmax(0, 1fr) 92px 104px 130px 76px";

/** One line of the script: its reading with its words, and what is measured of it. */
export function LineRow(props: Props) {
  const { line, voice, song, film, selected, perSecond, width, playhead, onSelect, onSeek } = props;
  const reading = pickOf(line);
  return (
    <Box
      role="group"
      aria-current={selected}
      aria-label={`line ${line.number}`}
      tabIndex={0}
      onClick={onSelect}
      onKeyDown={(e) => {
        if (e.target === e.currentTarget && e.key === "Enter") onSelect();
      }}
      sx={{
        display: "grid",
        gridTemplateColumns: COLUMNS,
        columnGap: 3,
        alignItems: "start",
        pt: 1,
        pb: 0.5,
        px: 4,
        borderTop: `1px solid ${ink.rule}`,
        bgcolor: selected ? ink.sheet : "transparent",
        boxShadow: selected ? `inset 3px 0 ${ink.thistle}` : "none",
        cursor: "pointer",
      }}
    >
      <Box sx={{ ...fraunces, fontSize: 22, lineHeight: "40px" }} title={line.speaker}>
        {line.number}
      </Box>
      {reading ? (
        <LineWave
          reading={reading}
          tight={line.longest !== null}
          perSecond={perSecond}
          width={width}
          bars={barsIn(line, song, film)}
          playhead={playhead}
          onSeek={onSeek}
        />
      ) : (
        <Box sx={{ lineHeight: "20px", py: 2.5, color: ink.ink2 }}>
          <Box component="span" sx={{ color: ink.ink }}>
            {line.text}
          </Box>{" "}
          not read yet
        </Box>
      )}
      {reading && <Measured line={line} voice={voice} song={song} />}
    </Box>
  );
}

function Measured({
  line,
  voice,
  song,
}: {
  line: VoiceLine;
  voice: Voice;
  song: Song | undefined;
}) {
  const reading = pickOf(line);
  if (!reading) return null;
  const tight = line.longest !== null;
  const saved = reading.seconds - reading.tightSeconds;
  const rate = reading.facts.wordsPerMinute;
  const fine = rate >= voice.slowest && rate <= voice.fastest;
  const overlap = voice.overlaps.find((o) => o.first === line.number || o.second === line.number);
  const sung = voice.sungOverlaps.find((o) => o.line === line.number);
  return (
    <>
      <Box>
        <Big>{line.bar > 0 ? `${line.bar}.${line.beat}` : clockTime(line.starts ?? 0)}</Big>
        <Small wrong={line.problem !== "" || !!overlap || !!sung}>
          {line.problem !== ""
            ? line.problem
            : overlap
              ? `over line ${overlap.first === line.number ? overlap.second : overlap.first}, ${overlap.seconds.toFixed(1)} s`
              : sung
                ? `over singing, ${sung.seconds.toFixed(1)} s`
                : line.bar > 0
                  ? clockTime(line.starts ?? 0)
                  : song && song.beats.length > 0
                    ? "before bar 1"
                    : "of the film"}
        </Small>
      </Box>
      <Box>
        <Big plain>{(tight ? reading.tightSeconds : reading.seconds).toFixed(2)} s</Big>
        <Small>
          {saved < 0.01
            ? "no pause to cut"
            : tight
              ? `was ${reading.seconds.toFixed(2)} s`
              : `${reading.tightSeconds.toFixed(2)} s when tight`}
        </Small>
      </Box>
      <Box>
        <Box sx={{ display: "flex", alignItems: "center", gap: 2, height: 20 }}>
          <Box component="span" sx={{ fontSize: 14, width: 26 }}>
            {Math.round(rate)}
          </Box>
          <RateScale rate={rate} slowest={voice.slowest} fastest={voice.fastest} />
        </Box>
        <Small>{fine ? "in range" : rate < voice.slowest ? "slow" : "quick"}</Small>
      </Box>
      <Box>
        <Big plain>
          {reading.found} of {reading.words.length}
        </Big>
        <Small wrong={!reading.matches}>
          {reading.stale
            ? "other words now"
            : reading.matches
              ? "all in place"
              : reading.strays.length > 0 && reading.found === reading.words.length
                ? "more is said"
                : "look at rust"}
        </Small>
      </Box>
    </>
  );
}

/** Where bars begin within a line's reading, in seconds of the reading as it was read. */
function barsIn(line: VoiceLine, song: Song | undefined, film: Film | undefined) {
  const reading = pickOf(line);
  if (!reading || !song || !film || line.starts === null) return [];
  const cuts = line.longest === null ? [] : reading.cuts;
  const onset = tightened(reading.words.find((w) => w.end > w.start)?.start ?? 0, cuts);
  const length = line.longest === null ? reading.seconds : reading.tightSeconds;
  const bars = [];
  for (let i = song.firstDownbeat; i < song.beats.length; i += song.beatsPerBar) {
    const at = (song.beats[i] ?? 0) - film.songStart - line.starts + onset;
    if (at < 0 || at > length) continue;
    const bar = (i - song.firstDownbeat) / song.beatsPerBar + 1;
    bars.push({ bar, at: untightened(at, cuts) });
  }
  return bars;
}

function Big({ children, plain }: { children: React.ReactNode; plain?: boolean }) {
  return (
    <Box sx={{ fontSize: 14, lineHeight: "20px", fontFamily: plain ? face.sans : face.mono }}>
      {children}
    </Box>
  );
}

function Small({ children, wrong }: { children: React.ReactNode; wrong?: boolean }) {
  return <Box sx={{ typography: "body2", color: wrong ? ink.rust : ink.ink2 }}>{children}</Box>;
}
