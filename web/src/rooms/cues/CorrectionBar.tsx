import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import MenuItem from "@mui/material/MenuItem";
import Select from "@mui/material/Select";
import ToggleButton from "@mui/material/ToggleButton";
import { useRef } from "react";
import type { Song } from "../../api/client";
import { clockTime } from "../../parts/time";
import { face, ink } from "../../theme";
import type { Corrections } from "./useCorrections";
import { tempoOf } from "../../parts/tempo";

interface Props {
  song: Song;
  corrections: Corrections;
  taps: { tap: () => void; count: number; bpm: number };
  playing: boolean;
  clicks: boolean;
  onPlay: () => void;
  onClicks: (on: boolean) => void;
}

const METRES = [2, 3, 4, 5, 6];

/** What was heard of a song's beats, each with the means to put it right. */
export function CorrectionBar(props: Props) {
  const { song, corrections, taps, playing, clicks, onPlay, onClicks } = props;
  const map = useRef<HTMLInputElement>(null);
  const metres = METRES.includes(song.beatsPerBar) ? METRES : [...METRES, song.beatsPerBar];
  return (
    <Box
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 2,
        height: 34,
        mb: 2,
        whiteSpace: "nowrap",
      }}
    >
      <Button onClick={onPlay} sx={{ width: 64 }}>
        {playing ? "Stop" : "Hear it"}
      </Button>
      <ToggleButton
        value="clicks"
        size="small"
        selected={clicks}
        onChange={() => onClicks(!clicks)}
        sx={{ mr: 2 }}
      >
        with clicks
      </ToggleButton>
      <Box sx={{ color: ink.ink2 }}>Tempo</Box>
      <Mono>{tempoOf(song.beats, song.bpm, 1)}</Mono>
      <Button onClick={taps.tap} title="Tap along while the song plays (T)" sx={{ minWidth: 44 }}>
        Tap
      </Button>
      {taps.count > 0 ? (
        <Box sx={{ color: ink.thistleDeep, width: 168 }} aria-live="polite">
          {"●".repeat(Math.min(8, taps.count))}
          {taps.bpm > 0 && ` tapped ${taps.bpm.toFixed(1)}`}
        </Box>
      ) : (
        <>
          <Reading
            of="HALF_AS_QUICK"
            song={song}
            title="Count every second beat (H)"
            act={corrections.halve}
          >
            Halve to {(song.bpm / 2).toFixed(0)}
          </Reading>
          <Reading
            of="TWICE_AS_QUICK"
            song={song}
            title="Count between the beats too (D)"
            act={corrections.double}
          >
            Double to {(song.bpm * 2).toFixed(0)}
          </Reading>
          <Reading
            of="HALF_A_BEAT_LATER"
            song={song}
            title="Every beat half-way to the next (L)"
            act={corrections.halfBeatLater}
          >
            Half a beat later
          </Reading>
        </>
      )}
      <Box sx={{ color: ink.ink2, ml: 3 }}>First downbeat</Box>
      <IconButton
        size="small"
        aria-label="First downbeat a beat earlier"
        onClick={() => corrections.shiftDownbeat(-1)}
      >
        −
      </IconButton>
      <Mono>{clockTime(song.beats[song.firstDownbeat] ?? 0)}</Mono>
      <IconButton
        size="small"
        aria-label="First downbeat a beat later"
        onClick={() => corrections.shiftDownbeat(1)}
      >
        +
      </IconButton>
      <Box sx={{ color: ink.ink2, ml: 3 }}>Metre</Box>
      <Select
        value={song.beatsPerBar}
        inputProps={{ "aria-label": "Beats in a bar" }}
        onChange={(e) => corrections.bars(Number(e.target.value))}
        sx={{ fontFamily: face.mono, fontSize: 14 }}
      >
        {metres.map((n) => (
          <MenuItem key={n} value={n}>
            {n}/4
          </MenuItem>
        ))}
      </Select>
      <input
        ref={map}
        type="file"
        accept=".mid,.midi"
        hidden
        data-testid="tempo-map"
        onChange={(e) => {
          const file = e.currentTarget.files?.[0];
          e.currentTarget.value = "";
          if (file) corrections.tempoMap(file);
        }}
      />
      <Button
        onClick={() => map.current?.click()}
        title="Take beats and bars from a MIDI file whose time is the song's"
      >
        From MIDI
      </Button>
    </Box>
  );
}

/** Another way to count; told as a question where it fits what is heard nearly as well. */
function Reading(props: {
  of: NonNullable<Song["other"]>;
  song: Song;
  title: string;
  act: () => void;
  children: React.ReactNode;
}) {
  const doubtful = props.song.other === props.of;
  return (
    <Button
      onClick={props.act}
      variant={doubtful ? "outlined" : "text"}
      title={doubtful ? `${props.title}. What is heard fits this nearly as well.` : props.title}
    >
      {doubtful && "or: "}
      {props.children}
    </Button>
  );
}

function Mono({ children }: { children: React.ReactNode }) {
  return (
    <Box component="span" sx={{ fontFamily: face.mono, fontSize: 14 }}>
      {children}
    </Box>
  );
}
