import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import OutlinedInput from "@mui/material/OutlinedInput";
import Slider from "@mui/material/Slider";
import ToggleButton from "@mui/material/ToggleButton";
import { useState, type FormEvent } from "react";
import { takeFrameUrl, api, type Production, type Shot, type Take } from "../../api/client";
import { useChange } from "../../api/queries";
import { KeptText } from "../../parts/KeptText";
import { Labelled } from "../../parts/Labelled";
import { Still } from "../../parts/Still";
import { framingMeaning } from "../../parts/words";
import { face, ink } from "../../theme";
import { FAULTS } from "./faults";
import { FillIt } from "./FillIt";
import { MadeBy } from "./MadeBy";
import { MarkWays } from "./MarkWays";
import { MeasuredFacts } from "./MeasuredFacts";
import { Neighbours } from "./Neighbours";
import { PlaceDrawing } from "./PlaceDrawing";
import { PutRight } from "./PutRight";
import { SIDE } from "./tile";
import type { Place } from "./useRepairs";
import type { Judge } from "./useJudge";

interface Props {
  production: Production;
  shot: Shot;
  take: Take;
  shots: readonly Shot[];
  judge: Judge;
  onPick: () => void;
}

/** One take large: looked through frame by frame, its facts, and its numbers to correct. */
export function TakePanel({ production, shot, take, shots, judge, onPick }: Props) {
  const [frame, setFrame] = useState(Math.floor(take.frames * 0.4));
  const [drawing, setDrawing] = useState(false);
  const [place, setPlace] = useState<Place | null>(null);
  const ready = take.state === "READY";
  const isPick = shot.pick === take.id;
  return (
    <Box component="section" aria-label={`Shot ${shot.label}, take ${take.number}`}>
      <Box sx={{ px: 4, height: 42, display: "flex", alignItems: "center", gap: 2 }}>
        <Box component="h2" sx={{ typography: "h2", m: 0, flex: 1 }}>
          {shot.label}, take {take.number}
        </Box>
        {isPick ? (
          <Box sx={{ color: ink.thistleDeep, fontWeight: 600 }}>the pick</Box>
        ) : (
          ready && <Button onClick={onPick}>Make it the pick</Button>
        )}
      </Box>
      <Box sx={{ bgcolor: ink.well, p: 3, height: `calc(${SIDE} * 0.59)` }}>
        {ready && (
          <Box sx={{ position: "relative", height: "100%", display: "grid" }}>
            <Still
              src={takeFrameUrl(production.id, take.id, frame, 360)}
              alt={`Frame ${frame} of the take`}
            />
            {drawing && (
              <PlaceDrawing aspect={take.width / take.height} place={place} onDrawn={setPlace} />
            )}
          </Box>
        )}
      </Box>
      {ready && (
        <Box sx={{ px: 4, pt: 1, display: "flex", alignItems: "center", gap: 4 }}>
          <Slider
            size="small"
            aria-label="Frame"
            min={0}
            max={Math.max(0, take.frames - 1)}
            value={frame}
            onChange={(_, to) => setFrame(to as number)}
          />
          <Box sx={{ fontFamily: face.mono, fontSize: 12, whiteSpace: "nowrap" }}>
            {frame + 1} of {take.frames}
          </Box>
        </Box>
      )}
      {ready && <Neighbours production={production} shots={shots} shot={shot} />}
      <Box sx={{ px: 4, pt: 3, display: "flex", gap: 1, flexWrap: "wrap" }}>
        {FAULTS.map(([fault, name], i) => (
          <ToggleButton
            key={fault}
            value={fault}
            selected={take.faults.includes(fault)}
            title={`Key ${i + 1}`}
            onChange={() => judge.toggleFault(take, fault)}
          >
            {name}
          </ToggleButton>
        ))}
        {ready && !take.still && (
          <ToggleButton
            value="fill"
            selected={drawing}
            title="Draw a box round what should not be there"
            onChange={() => {
              setDrawing(!drawing);
              setPlace(null);
            }}
          >
            fill a place
          </ToggleButton>
        )}
        <ToggleButton
          value="aside"
          selected={take.rejected}
          title="Key R"
          onChange={() => judge.reject(take, !take.rejected)}
        >
          aside
        </ToggleButton>
      </Box>
      <Box sx={{ px: 4, pt: 2, pb: 3 }}>
        <KeptText
          hideLabel
          label="Note"
          placeholder="a note on this take"
          value={take.note}
          onChange={(note) => judge.note(take, note)}
        />
      </Box>
      {drawing && (
        <Box sx={{ px: 4, pb: 3 }}>
          {place ? (
            <FillIt
              production={production}
              take={take}
              boxes={[place]}
              says="Fill the box in every picture, as another take"
              onAsked={() => setPlace(null)}
            />
          ) : (
            <Box sx={{ color: ink.ink2 }}>Draw a box over the picture, round what should go.</Box>
          )}
        </Box>
      )}
      {ready && (take.facts?.marks.length ?? 0) > 0 && (
        <MarkWays production={production} shot={shot} take={take} />
      )}
      {take.facts ? (
        <MeasuredFacts take={take} facts={take.facts} />
      ) : (
        ready &&
        !take.reason && (
          <Box sx={{ px: 4, py: 2, color: ink.ink2 }}>
            Measuring, {Math.floor(100 * Math.min(1, take.measuring))} %
          </Box>
        )
      )}
      {ready && !take.still && (
        <PutRight production={production} take={take} facts={take.facts ?? null} />
      )}
      {take.service !== "" && <MadeBy production={production} take={take} />}
      <Facts take={take} production={production} />
      <Correct key={`${shot.id}-${take.number}`} production={production} shot={shot} take={take} />
    </Box>
  );
}

function Facts({ take, production }: { take: Take; production: Production }) {
  const fps = Number(production.framesPerSecond.toFixed(3));
  const again = useChange<void>(production.id, () =>
    api.POST("/api/productions/{productionId}/takes/{takeId}/again", {
      params: { path: { productionId: production.id, takeId: take.id } },
    }),
  );
  const rows: [string, string][] = [
    ["File", take.fileName],
    ["Length", `${take.seconds.toFixed(2)} s, ${take.frames} frames of the film`],
    [
      "Rate",
      take.still
        ? "a still"
        : `${take.variableRate ? "variable, about " : ""}${take.rate} fps${take.otherRate ? `, conformed to ${fps} by time` : ""}`,
    ],
    ["Size", `${take.width}×${take.height}${take.rotation ? `, turned ${take.rotation}°` : ""}`],
    [
      "In the film",
      take.framing === "FILL" && take.loss < 0.005
        ? "fills the frame, nothing lost"
        : `${framingMeaning[take.framing]}${take.framing === "FILL" ? `: ${(take.loss * 100).toFixed(0)} % lost` : `: filling would lose ${(take.loss * 100).toFixed(0)} %`}`,
    ],
    ...(take.wide
      ? [["Colours", `${take.wide}, brought to BT.709`] satisfies [string, string]]
      : []),
    ["Sound", take.sound ? "has a sound of its own" : "none"],
  ];
  return (
    <Box
      component="dl"
      sx={{ m: 0, px: 4, py: 3, display: "grid", gridTemplateColumns: "84px 1fr", rowGap: 1 }}
    >
      {rows.map(([name, value]) => (
        <Box key={name} sx={{ display: "contents" }}>
          <Box component="dt" sx={{ color: ink.ink2 }}>
            {name}
          </Box>
          <Box component="dd" sx={{ m: 0, overflowWrap: "anywhere" }}>
            {value}
          </Box>
        </Box>
      ))}
      {take.reason && (
        <Box sx={{ gridColumn: "1 / 3", color: ink.rust }} role="alert">
          {take.reason}
          {take.state === "REFUSED" && (
            <Button sx={{ display: "block", mt: 1 }} onClick={() => again.mutate()}>
              Try it again
            </Button>
          )}
        </Box>
      )}
    </Box>
  );
}

function Correct({ production, shot, take }: { production: Production; shot: Shot; take: Take }) {
  const [scene, setScene] = useState(shot.scene);
  const [number, setNumber] = useState(shot.number);
  const [count, setCount] = useState(String(take.number));
  const change = useChange<void>(production.id, () =>
    api.PATCH("/api/productions/{productionId}/takes/{takeId}", {
      params: { path: { productionId: production.id, takeId: take.id } },
      body: { scene, shot: number, take: Number(count) },
    }),
  );
  const changed = scene !== shot.scene || number !== shot.number || count !== String(take.number);
  const submit = (e: FormEvent) => {
    e.preventDefault();
    change.mutate();
  };
  return (
    <Box
      component="form"
      onSubmit={submit}
      sx={{
        px: 4,
        py: 3,
        borderTop: `1px solid ${ink.rule}`,
        display: "flex",
        gap: 2,
        alignItems: "end",
      }}
    >
      <Labelled label="Scene">
        <OutlinedInput
          value={scene}
          placeholder="none"
          inputProps={{ "aria-label": "Scene" }}
          onChange={(e) => setScene(e.target.value)}
        />
      </Labelled>
      <Labelled label="Shot">
        <OutlinedInput
          value={number}
          inputProps={{ "aria-label": "Shot" }}
          onChange={(e) => setNumber(e.target.value)}
        />
      </Labelled>
      <Labelled label="Take">
        <OutlinedInput
          value={count}
          inputProps={{ "aria-label": "Take" }}
          onChange={(e) => setCount(e.target.value)}
        />
      </Labelled>
      {changed && (
        <Button type="submit" variant="contained" color="primary">
          Correct
        </Button>
      )}
    </Box>
  );
}
