import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Select from "@mui/material/Select";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import type { ReactNode } from "react";
import type { Film, Joint, Mixing, Overlay, Production } from "../../api/client";
import { NumberField } from "../../parts/NumberField";
import { beatName } from "../../parts/time";
import { ink } from "../../theme";
import { SubjectRow } from "../../subject/SubjectRow";
import { BackingRows } from "./BackingRows";
import { FramingChoice } from "./FramingChoice";
import { HeadSign } from "./Head";
import { headOf } from "./heads";
import { LyingPanel } from "./LyingPanel";
import { MaskRows } from "./MaskRows";
import { RunRow } from "./RunRow";
import { TreatmentPanel } from "./TreatmentPanel";
import { middleOf } from "./treatments";
import type { ScoreActions } from "./useScoreActions";
import { wordName } from "./words";
import { wordOf } from "./cuts";

const MIXINGS: Record<Mixing, string> = {
  NORMAL: "hides what is under it",
  ADD: "adds its light",
  MULTIPLY: "multiplied",
  SCREEN: "screened",
  DARKEN: "darker of both",
  LIGHTEN: "lighter of both",
  OVERLAY: "contrast on it",
};

/**
 * What lies over the cut: when and on which layer; of a shot how large and where, and what is done
 * to its picture; else what is done to all that lies under it.
 */
export function OverlayCard({
  production,
  film,
  overlay,
  actions,
}: {
  production: Production;
  film: Film;
  overlay: Overlay;
  actions: ScoreActions;
}) {
  const { shot } = overlay;
  const treats = shot.takeId === 0;
  const change = (to: Parameters<ScoreActions["changeOverlay"]>[1]) =>
    actions.changeOverlay(shot.id, to);
  return (
    <Box
      component="section"
      aria-label={treats ? "What lies under it is treated" : `Shot ${shot.label}, laid over`}
      sx={{ px: 4, py: 2 }}
    >
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, mb: 1 }}>
        {!treats && <Box sx={{ fontWeight: 600, color: ink.thistleDeep }}>{shot.label}</Box>}
        <Box component="h2" sx={{ typography: "h1", m: 0, flex: 1 }}>
          {treats ? "What lies under it is treated" : shot.title}
        </Box>
        {!treats && <Box sx={{ color: ink.ink2 }}>over the cut</Box>}
      </Box>
      <Row name="From">
        <Tied film={film} joint={overlay.start} />
      </Row>
      <Row name="To">
        <Tied film={film} joint={overlay.end} />
      </Row>
      <Row name="Layer">
        <ToggleButtonGroup
          exclusive
          value={overlay.layer}
          aria-label="Layer"
          onChange={(_, layer: number | null) => layer && change({ layer })}
        >
          {[1, 2, 3].map((n) => (
            <ToggleButton key={n} value={n} sx={{ width: 30 }}>
              {n}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        {!treats && (
          <Select
            value={overlay.mixing}
            inputProps={{ "aria-label": "How it mixes with what is under it" }}
            onChange={(e) => change({ mixing: e.target.value })}
          >
            {Object.entries(MIXINGS).map(([mixing, name]) => (
              <MenuItem key={mixing} value={mixing}>
                {name}
              </MenuItem>
            ))}
          </Select>
        )}
      </Row>
      {!treats && <LyingPanel overlay={overlay} change={change} />}
      {!treats && <OfPicture overlay={overlay} change={change} />}
      {!treats && (
        <SubjectRow
          production={production}
          shot={shot}
          onPart={(part) => actions.setMatte(shot.id, { ...shot.matte, part })}
        />
      )}
      {!treats && <BackingRows production={production} shot={shot} actions={actions} />}
      {!treats && <MaskRows shot={shot} actions={actions} />}
      <TreatmentPanel
        key={shot.id}
        production={production}
        film={film}
        items={[shot.id]}
        treatments={shot.treatments}
        frame={middleOf(shot)}
        actions={actions}
      />
      <Box sx={{ display: "flex", gap: 2, pt: 2, borderTop: `1px solid ${ink.rule}` }}>
        <ToggleButton
          value="lock"
          selected={shot.locked}
          onChange={() => change({ locked: !shot.locked })}
        >
          {shot.locked ? "locked" : "lock"}
        </ToggleButton>
        <Box sx={{ flex: 1 }} />
        <Button onClick={() => void actions.overlayOut(shot.id)}>Take it out</Button>
      </Box>
    </Box>
  );
}

/** What is seen of a shot, and how it runs. */
function OfPicture({
  overlay,
  change,
}: {
  overlay: Overlay;
  change: (to: Parameters<ScoreActions["changeOverlay"]>[1]) => void;
}) {
  const { shot } = overlay;
  const whole = (v: number) => Math.round(v);
  return (
    <>
      <Row name="Picture">
        <FramingChoice value={shot.framing} onChoose={(framing) => change({ framing })} />
        <NumberField
          label="first frame"
          unit={`of ${shot.material}`}
          digits={0}
          value={shot.in}
          onChange={(v) => change({ in: Math.max(0, Math.min(shot.material - 1, whole(v))) })}
        />
      </Row>
      <RunRow run={shot.run} onRun={(run) => change({ run })} stretches={false} />
    </>
  );
}

function Row({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Box
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 2,
        minHeight: 34,
        borderTop: `1px solid ${ink.rule}`,
      }}
    >
      <Box sx={{ width: 44, color: ink.ink2 }}>{name}</Box>
      {children}
    </Box>
  );
}

function Tied({ film, joint }: { film: Film; joint: Joint }) {
  const to =
    joint.tie === "BEAT"
      ? `beat ${beatName(film.clock, joint.beat)}`
      : joint.tie === "WORD"
        ? wordName(film, wordOf(joint))
        : `free, frame ${joint.frame}`;
  return (
    <>
      <HeadSign kind={headOf(joint, film.clock)} />
      <span>{to}</span>
    </>
  );
}
