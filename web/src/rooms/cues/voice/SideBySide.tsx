import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import MenuItem from "@mui/material/MenuItem";
import Select from "@mui/material/Select";
import { useEffect, useRef, useState } from "react";
import { readingUrl, type Production, type Reading, type VoiceLine } from "../../../api/client";
import { ink } from "../../../theme";
import { LineWave } from "./LineWave";
import { equalVolumes, samePlace } from "./sides";

interface Props {
  production: Production;
  line: VoiceLine;
  onPick: (reading: number) => void;
  onClose: () => void;
}

const WIDTH = 940;

/** Two readings of a line, heard from the same word on at equal loudness. */
export function SideBySide({ production, line, onPick, onClose }: Props) {
  const first = line.readings.find((r) => r.id === line.pick) ?? line.readings[0];
  const other = line.readings.findLast((r) => r.id !== first?.id);
  const [ids, setIds] = useState([first?.id, other?.id]);
  const [heard, setHeard] = useState(0);
  const [at, setAt] = useState(0);
  const [playing, setPlaying] = useState(false);
  const audio = useRef<HTMLAudioElement>(null);
  const sides = ids.map((id) => line.readings.find((r) => r.id === id) ?? first);
  const [a, b] = sides;

  useEffect(() => {
    if (!playing) return;
    let handle = requestAnimationFrame(function tick() {
      const element = audio.current;
      if (element?.ended) setPlaying(false);
      else if (element) setAt(element.currentTime);
      handle = requestAnimationFrame(tick);
    });
    return () => cancelAnimationFrame(handle);
  }, [playing]);

  if (!a || !b) return null;
  const volumes = equalVolumes(a.facts.loudness, b.facts.loudness);
  const play = (side: number, from: number) => {
    const element = audio.current;
    const reading = sides[side];
    if (!element || !reading) return;
    const source = readingUrl(production.id, reading.id);
    if (!element.src.endsWith(source)) element.src = source;
    element.volume = volumes[side] ?? 1;
    element.currentTime = Math.min(from, Math.max(0, reading.seconds - 0.05));
    void element.play();
    setHeard(side);
    setPlaying(true);
  };
  const stop = () => {
    audio.current?.pause();
    setPlaying(false);
  };
  /** The playhead's place in a side, wherever it is heard. */
  const placeIn = (side: number) =>
    side === heard ? at : samePlace(sides[heard] ?? a, sides[side] ?? b, at);
  const perSecond = WIDTH / Math.max(2, a.seconds, b.seconds);
  return (
    <Dialog
      open
      onClose={onClose}
      maxWidth={false}
      aria-labelledby="side-by-side"
      onKeyDown={(e) => {
        if (e.key === " ") {
          e.preventDefault();
          if (playing) stop();
          else play(heard, placeIn(heard));
        }
        if (e.key === "Tab" && playing) {
          e.preventDefault();
          play(1 - heard, placeIn(1 - heard));
        }
      }}
    >
      <Box sx={{ width: WIDTH + 40, p: 5, bgcolor: ink.sheet }}>
        <audio ref={audio} />
        <Box component="h2" id="side-by-side" sx={{ typography: "h1", m: 0 }}>
          Line {line.number}, read twice
        </Box>
        <Box sx={{ color: ink.ink2, mb: 3 }}>
          Both at the loudness of the quieter one. Space plays and stops, Tab goes over to the other
          reading at the same word.
        </Box>
        {sides.map(
          (reading, side) =>
            reading && (
              <Side
                key={side}
                line={line}
                reading={reading}
                heard={playing && side === heard}
                lowered={20 * Math.log10(volumes[side] ?? 1)}
                onChoose={(id) => {
                  stop();
                  setIds(ids.map((old, i) => (i === side ? id : old)));
                }}
                onHear={() => (playing && side === heard ? stop() : play(side, placeIn(side)))}
                onPick={() => onPick(reading.id)}
              >
                <LineWave
                  reading={reading}
                  tight={false}
                  perSecond={perSecond}
                  width={WIDTH}
                  bars={[]}
                  playhead={placeIn(side)}
                  onSeek={(seconds) => {
                    if (playing) {
                      play(side, seconds);
                    } else {
                      setHeard(side);
                      setAt(seconds);
                    }
                  }}
                />
              </Side>
            ),
        )}
        <Box sx={{ display: "flex", justifyContent: "flex-end", mt: 3 }}>
          <Button onClick={onClose}>Close</Button>
        </Box>
      </Box>
    </Dialog>
  );
}

interface SideProps {
  line: VoiceLine;
  reading: Reading;
  heard: boolean;
  /** By how many dB it is played lower, 0 or less. */
  lowered: number;
  onChoose: (id: number) => void;
  onHear: () => void;
  onPick: () => void;
  children: React.ReactNode;
}

function Side(props: SideProps) {
  const { line, reading, heard, lowered, onChoose, onHear, onPick, children } = props;
  return (
    <Box
      component="section"
      aria-label={`reading ${reading.number}`}
      sx={{ borderTop: `1px solid ${ink.rule}`, py: 2 }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 3, mb: 1 }}>
        <Select
          value={reading.id}
          inputProps={{ "aria-label": `reading ${reading.number}` }}
          onChange={(e) => onChoose(Number(e.target.value))}
        >
          {line.readings.map((r) => (
            <MenuItem key={r.id} value={r.id}>
              {r.number} {r.label}
            </MenuItem>
          ))}
        </Select>
        <Button onClick={onHear}>{heard ? "Stop" : "Hear it"}</Button>
        <Box sx={{ color: ink.ink2 }}>
          {reading.seconds.toFixed(2)} s, {Math.round(reading.facts.wordsPerMinute)} words a minute,{" "}
          {reading.found} of {reading.words.length} words, {reading.facts.loudness.toFixed(1)} LUFS
          {lowered < -0.05 && `, played ${(-lowered).toFixed(1)} dB lower`}
        </Box>
        <Box sx={{ flex: 1 }} />
        {line.pick === reading.id ? (
          <Box sx={{ color: ink.thistleDeep, fontWeight: 600 }}>the one that is used</Box>
        ) : (
          <Button variant="contained" color="primary" onClick={onPick}>
            Use this
          </Button>
        )}
      </Box>
      {children}
    </Box>
  );
}
