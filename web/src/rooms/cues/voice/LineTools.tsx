import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Select from "@mui/material/Select";
import { useRef, useState } from "react";
import type { Production, Story, Voice, VoiceLine } from "../../../api/client";
import { Labelled } from "../../../parts/Labelled";
import { NumberField } from "../../../parts/NumberField";
import { ink } from "../../../theme";
import { pickOf } from "./layout";
import { SideBySide } from "./SideBySide";
import { useRecorder } from "./useRecorder";
import type { Manner, VoiceChanges } from "./useVoiceChanges";

interface Props {
  production: Production;
  line: VoiceLine;
  voice: Voice;
  story: Story | undefined;
  changes: VoiceChanges;
  manner: Manner;
  onManner: (to: Manner) => void;
  playing: number | null;
  onHear: (reading: number) => void;
}

const MANNERS: Record<Manner["manner"], string> = {
  EVEN: "evenly",
  GRAVE: "gravely",
  BRIGHT: "brightly",
  URGENT: "urgently",
};

/** What can be done with one line: read it, choose among its readings, tighten it, place it. */
export function LineTools(props: Props) {
  const { production, line, voice, story, changes, manner, onManner, playing, onHear } = props;
  const file = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState("");
  const [beside, setBeside] = useState(false);
  const working = async (what: string, work: () => Promise<unknown>) => {
    setBusy(what);
    try {
      await work();
    } catch {
      // Told where the request was made.
    }
    setBusy("");
  };
  const recorder = useRecorder((sound) => {
    const name = `recorded ${new Date().toLocaleTimeString("en-GB")}`;
    void working("Finding its words", () => changes.bring(line.number, sound, name, true));
  });
  return (
    <Box
      role="region"
      aria-label={`tools of line ${line.number}`}
      sx={{
        bgcolor: ink.sheet,
        boxShadow: `inset 3px 0 ${ink.thistle}`,
        px: 4,
        pl: "64px",
        pb: 2,
        display: "flex",
        gap: 5,
        alignItems: "flex-end",
        flexWrap: "wrap",
        rowGap: 1,
      }}
    >
      <Labelled label={`${line.speaker}, read by`}>
        <Box sx={{ display: "flex", gap: 1 }}>
          <Choice
            label="voice"
            value={manner.voice}
            options={voice.voices.map((v) => [v.name, `${v.name}: ${v.about}`])}
            onChange={(name) => onManner({ ...manner, voice: name })}
          />
          <Choice
            label="manner"
            value={manner.manner}
            options={Object.entries(MANNERS)}
            onChange={(to) => onManner({ ...manner, manner: to as Manner["manner"] })}
          />
          <NumberField
            label=""
            unit="w/min"
            digits={0}
            value={manner.wordsPerMinute}
            onChange={(to) => onManner({ ...manner, wordsPerMinute: to })}
          />
          <Button
            disabled={busy !== ""}
            onClick={() => void working("Reading", () => changes.narrate(line.number, manner))}
          >
            Read it
          </Button>
        </Box>
      </Labelled>
      <Labelled label="your own">
        <Box sx={{ display: "flex", gap: 1, alignItems: "center" }}>
          {recorder.state === "idle" ? (
            <Button disabled={busy !== ""} onClick={() => void recorder.begin()}>
              Record
            </Button>
          ) : (
            <>
              <Button variant="contained" color="primary" onClick={recorder.end}>
                {recorder.state === "counting" ? `in ${recorder.count}` : "Stop"}
              </Button>
              <Meter level={recorder.level} />
            </>
          )}
          <input
            ref={file}
            type="file"
            hidden
            data-testid={`reading-of-${line.number}`}
            onChange={(e) => {
              const chosen = e.currentTarget.files?.[0];
              e.currentTarget.value = "";
              if (!chosen) return;
              void working("Finding its words", () =>
                changes.bring(line.number, chosen, chosen.name, false),
              );
            }}
          />
          <Button disabled={busy !== ""} onClick={() => file.current?.click()}>
            A file
          </Button>
        </Box>
      </Labelled>
      {line.readings.length > 0 && (
        <Labelled
          label={line.readings.length === 1 ? "1 reading" : `${line.readings.length} readings`}
        >
          <Box sx={{ display: "flex", gap: 1 }}>
            <Choice
              label="reading"
              value={String(line.pick)}
              options={line.readings.map((r) => [String(r.id), `${r.number}  ${r.label}`])}
              onChange={(id) => void changes.pick(line.number, Number(id))}
            />
            {line.pick !== null && (
              <>
                <Button onClick={() => onHear(line.pick ?? 0)}>
                  {playing === line.number ? "Stop" : "Hear it"}
                </Button>
                <Button onClick={() => void changes.remove(line.pick ?? 0)}>Remove</Button>
                {line.readings.length > 1 && (
                  <Button onClick={() => setBeside(true)} aria-haspopup="dialog">
                    Side by side
                  </Button>
                )}
              </>
            )}
          </Box>
        </Labelled>
      )}
      {line.pick !== null && <StartOf line={line} story={story} changes={changes} />}
      {line.pick !== null && (
        <Labelled label="longest pause">
          <Box sx={{ display: "flex", gap: 1 }}>
            <NumberField
              label=""
              unit="s"
              digits={2}
              value={line.longest ?? 0.35}
              onChange={(to) => void changes.tighten([line], to)}
            />
            <Button
              onClick={() => void changes.tighten([line], line.longest === null ? 0.35 : null)}
            >
              {line.longest === null ? "Tighten" : "As read"}
            </Button>
          </Box>
        </Labelled>
      )}
      <LevelsOf line={line} busy={busy} />
      {beside && (
        <SideBySide
          production={production}
          line={line}
          onPick={(id) => void changes.pick(line.number, id)}
          onClose={() => setBeside(false)}
        />
      )}
    </Box>
  );
}

function StartOf({
  line,
  story,
  changes,
}: {
  line: VoiceLine;
  story: Story | undefined;
  changes: VoiceChanges;
}) {
  const shots = story?.shots ?? [];
  return (
    <Labelled label="starts">
      <Box sx={{ display: "flex", gap: 1 }}>
        <Choice
          label="start"
          value={line.startKind}
          options={[
            ["AFTER", "after the line before"],
            ["BAR", "on a bar"],
            ["SHOT", "with a shot"],
            ["FREE", "at a time"],
          ]}
          onChange={(to) => {
            const kind = to as VoiceLine["startKind"];
            const value = {
              AFTER: null,
              BAR: Math.max(1, line.bar),
              SHOT: (shots.find((s) => s.line === line.number) ?? shots[0])?.id ?? null,
              FREE: Math.round((line.starts ?? 0) * 100) / 100,
            }[kind];
            void changes.start(line.number, kind, value);
          }}
        />
        {line.startKind === "SHOT" ? (
          <Choice
            label="shot"
            value={String(line.startValue ?? "")}
            options={shots.map((s) => [String(s.id), s.number])}
            onChange={(id) => void changes.start(line.number, "SHOT", Number(id))}
          />
        ) : (
          <NumberField
            label={{ AFTER: "gap", BAR: "bar", FREE: "at" }[line.startKind]}
            unit={line.startKind === "BAR" ? "" : "s"}
            digits={line.startKind === "BAR" ? 0 : line.startKind === "AFTER" ? 1 : 2}
            value={line.startValue ?? story?.delivery.gap ?? 0.8}
            onChange={(to) => void changes.start(line.number, line.startKind, to)}
          />
        )}
      </Box>
    </Labelled>
  );
}

function LevelsOf({ line, busy }: { line: VoiceLine; busy: string }) {
  const facts = pickOf(line)?.facts;
  return (
    <Box sx={{ color: ink.ink2, lineHeight: "26px" }} aria-live="polite">
      {busy !== ""
        ? `${busy} …`
        : facts && (
            <>
              {facts.loudness.toFixed(1)} LUFS, peak {facts.peak.toFixed(1)} dB, noise{" "}
              {facts.noise.toFixed(0)} dB
              {facts.clipped > 0 && (
                <Box component="span" sx={{ color: ink.rust }}>
                  , clipped {facts.clipped} times
                </Box>
              )}
            </>
          )}
    </Box>
  );
}

function Choice(props: {
  label: string;
  value: string;
  options: readonly (readonly [string, string])[];
  onChange: (to: string) => void;
}) {
  return (
    <Select
      value={props.value}
      inputProps={{ "aria-label": props.label }}
      onChange={(e) => props.onChange(e.target.value)}
      sx={{ maxWidth: 190 }}
    >
      {props.options.map(([value, text]) => (
        <MenuItem key={value} value={value}>
          {text}
        </MenuItem>
      ))}
    </Select>
  );
}

function Meter({ level }: { level: number }) {
  const share = Math.max(0, 1 + Math.log10(Math.max(0.001, level)) / 3);
  return (
    <Box
      role="meter"
      aria-label="microphone level"
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round(share * 100)}
      sx={{ width: 90, height: 10, border: `1px solid ${ink.rule2}` }}
    >
      <Box
        sx={{
          width: `${share * 100}%`,
          height: "100%",
          bgcolor: level > 0.97 ? ink.rust : ink.moss,
        }}
      />
    </Box>
  );
}
