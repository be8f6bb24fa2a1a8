import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { Fragment, useEffect, useRef, useState, type RefObject } from "react";
import { useNavigate } from "react-router";
import {
  readingUrl,
  type Film,
  type Production,
  type Song,
  type VoiceLine,
} from "../../../api/client";
import { useVoice } from "../../../api/queries";
import { useStory } from "../../../api/story";
import { NotYet } from "../../../parts/NotYet";
import { useNotice } from "../../../parts/notice";
import { useSize } from "../../../parts/useSize";
import { plural } from "../../../parts/words";
import { ink } from "../../../theme";
import { COLUMNS, LineRow } from "./LineRow";
import { LineTools } from "./LineTools";
import { pickOf, tightened, untightened } from "./layout";
import { useVoiceChanges, type Manner } from "./useVoiceChanges";

interface Props {
  production: Production;
  song: Song | undefined;
  film: Film | undefined;
}

/** The longest pause proposed, in seconds: common practice, no source. */
const LONGEST = 0.35;
/** What the columns beside the waveform take. */
const BESIDE = 36 + 92 + 104 + 130 + 76 + 5 * 12 + 32;

/** The narration: every line's reading with its words, rests, rate and place in the music. */
export function VoiceBand({ production, song, film }: Props) {
  const reading = [useVoice(production.id), useStory(production.id)] as const;
  const [voice, story] = [reading[0].data, reading[1].data];
  const changes = useVoiceChanges(production.id);
  const [selected, setSelected] = useState<number | null>(null);
  const [manners, setManners] = useState<Record<string, Manner>>({});
  const [busy, setBusy] = useState("");
  const long = useRef<HTMLInputElement>(null);
  const [ref, size] = useSize("voice", { width: 1248, height: 300 });
  const audio = useRef<HTMLAudioElement>(null);
  const player = useReadingPlayer(production, audio);
  const navigate = useNavigate();
  const tell = useNotice((s) => s.tell);
  if (!voice || !story) return <NotYet panel what="The voice" of={reading} />;
  const lines = voice.lines;
  const picked = lines.flatMap((l) => l.readings.filter((r) => r.id === l.pick));
  const spoken = lines.reduce((sum, l) => sum + lengthOf(l), 0);
  const width = Math.max(300, size.width - BESIDE);
  const perSecond = width / Math.max(3, ...picked.map((r) => r.seconds));
  const loose = lines.filter((l) => l.longest === null && savedOf(l) > 0.01);
  const cuts = loose.reduce((n, l) => n + (pickOf(l)?.cuts.length ?? 0), 0);
  const saved = loose.reduce((sum, l) => sum + savedOf(l), 0);
  const unread = lines.filter((l) => l.readings.length === 0);
  const speakers = [...new Set(lines.map((l) => l.speaker))];
  const mannerOf = (speaker: string): Manner =>
    manners[speaker] ?? {
      voice: voice.voices[speakers.indexOf(speaker) % voice.voices.length]?.name ?? "",
      wordsPerMinute: Math.round(story.delivery.wordsPerMinute),
      manner: "EVEN",
    };
  const readAll = async () => {
    try {
      for (const [i, line] of unread.entries()) {
        setBusy(`Reading line ${i + 1} of ${unread.length}`);
        await changes.narrate(line.number, mannerOf(line.speaker));
      }
    } catch {
      // Told where the request was made.
    }
    setBusy("");
  };
  const partFile = async (file: File | undefined) => {
    if (!file) return;
    setBusy(`Finding the lines in ${file.name}`);
    try {
      await changes.part(file);
      tell(`${file.name} was parted into ${plural(lines.length, "reading")}.`);
    } catch {
      // Told where the request was made.
    }
    setBusy("");
  };
  return (
    <Box
      component="section"
      aria-label="voice"
      ref={ref}
      sx={{ mx: -4, bgcolor: ink.paper, borderTop: `1px solid ${ink.rule2}`, mt: 2, pb: 4 }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 3, height: 38, px: 4 }}>
        <Box component="h2" sx={{ typography: "h1", m: 0 }}>
          Voice
        </Box>
        <Box sx={{ color: ink.ink2 }}>
          {lines.length === 0
            ? "no narration; cuts will follow the music"
            : `${plural(lines.length, "line")}, ${spoken.toFixed(1)} s spoken` +
              (film && film.length > 0
                ? ` in ${(film.length / production.framesPerSecond).toFixed(0)} s`
                : "")}
        </Box>
        <Box sx={{ color: ink.thistleDeep }} aria-live="polite">
          {busy !== "" && `${busy} …`}
        </Box>
        <Box sx={{ flex: 1 }} />
        {lines.length === 0 && (
          <Button onClick={() => void navigate(`/productions/${production.id}/story`)}>
            Write the lines in Story
          </Button>
        )}
        {cuts > 0 && (
          <Button onClick={() => void changes.tighten(loose, LONGEST)}>
            Tighten {plural(cuts, "pause")}, −{saved.toFixed(2)} s
          </Button>
        )}
        {unread.length > 0 && (
          <Button
            variant="contained"
            color="primary"
            disabled={busy !== ""}
            onClick={() => void readAll()}
          >
            Read {unread.length === lines.length ? "all lines" : plural(unread.length, "line")}
          </Button>
        )}
        {lines.length > 0 && (
          <>
            <input
              ref={long}
              type="file"
              hidden
              data-testid="long-recording"
              onChange={(e) => {
                const file = e.currentTarget.files?.[0];
                e.currentTarget.value = "";
                void partFile(file);
              }}
            />
            <Button
              disabled={busy !== ""}
              onClick={() => long.current?.click()}
              title="One file in which all lines are read, in order"
            >
              One recording of all lines
            </Button>
          </>
        )}
      </Box>
      {picked.length > 0 && (
        <Box
          sx={{
            display: "grid",
            gridTemplateColumns: COLUMNS,
            columnGap: 3,
            px: 4,
            pb: 1,
            typography: "body2",
            color: ink.ink2,
          }}
        >
          <span />
          <span>violet strokes are the bars a line falls on; hatched rests can be cut</span>
          <span>Starts</span>
          <span>Length</span>
          <span>
            Words a minute, {Math.round(voice.slowest)} to {Math.round(voice.fastest)}
          </span>
          <span>Words found</span>
        </Box>
      )}
      {lines.map((line) => (
        <Fragment key={line.number}>
          <LineRow
            line={line}
            voice={voice}
            song={song}
            film={film}
            selected={selected === line.number}
            perSecond={perSecond}
            width={width}
            playhead={player.line === line.number ? player.at(line) : null}
            onSelect={() => setSelected(line.number)}
            onSeek={(seconds) => player.play(line, seconds)}
          />
          {selected === line.number && (
            <LineTools
              production={production}
              key={line.number}
              line={line}
              voice={voice}
              story={story}
              changes={changes}
              manner={mannerOf(line.speaker)}
              onManner={(to) => setManners((all) => ({ ...all, [line.speaker]: to }))}
              playing={player.line}
              onHear={() => (player.line === line.number ? player.stop() : player.play(line, 0))}
            />
          )}
        </Fragment>
      ))}
      <audio ref={audio} onEnded={player.stop} />
    </Box>
  );
}

function savedOf(line: VoiceLine): number {
  const reading = pickOf(line);
  return reading ? reading.seconds - reading.tightSeconds : 0;
}

function lengthOf(line: VoiceLine): number {
  const reading = pickOf(line);
  if (!reading) return 0;
  return line.longest === null ? reading.seconds : reading.tightSeconds;
}

/** Plays the reading of a line, tightened if it is; positions are seconds of it as it was read. */
function useReadingPlayer(production: Production, audio: RefObject<HTMLAudioElement | null>) {
  const [line, setLine] = useState<number | null>(null);
  const [time, setTime] = useState(0);
  useEffect(() => {
    if (line === null) return;
    let handle = requestAnimationFrame(function tick() {
      setTime(audio.current?.currentTime ?? 0);
      handle = requestAnimationFrame(tick);
    });
    return () => cancelAnimationFrame(handle);
  }, [line, audio]);
  const cutsOf = (l: VoiceLine) => (l.longest === null ? [] : (pickOf(l)?.cuts ?? []));
  return {
    line,
    at: (l: VoiceLine) => untightened(time, cutsOf(l)),
    play: (l: VoiceLine, from: number) => {
      const element = audio.current;
      if (!element || l.pick === null) return;
      const longest = l.longest === null ? "" : `?longest=${l.longest}`;
      const source = readingUrl(production.id, l.pick) + longest;
      if (!element.src.endsWith(source)) element.src = source;
      element.currentTime = tightened(from, cutsOf(l));
      void element.play();
      setLine(l.number);
    },
    stop: () => {
      audio.current?.pause();
      setLine(null);
    },
  };
}
