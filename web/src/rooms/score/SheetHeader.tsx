import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useState } from "react";
import type { Film, Production } from "../../api/client";
import { useRoom } from "../../store";
import { fraunces, ink } from "../../theme";
import { MANNERS, mannerMeaning, type Manner } from "./manner";
import { Proposals } from "./Proposals";
import { Versions } from "./Versions";
import type { ScoreActions } from "./useScoreActions";
import { tempoOf } from "../../parts/tempo";

interface Props {
  film: Film;
  production: Production;
  actions: ScoreActions;
  barsPerLine: number;
}

/** The song, what moving a cut does, cutting again, versions, and how the score wraps. */
export function SheetHeader({ film, production, actions, barsPerLine }: Props) {
  const set = useRoom((s) => s.set);
  const manner = useRoom((s) => s.manner);
  const shape = useRoom((s) => s.shape);
  const { clock } = film;
  const beats = clock.frames.map((frame) => frame / production.framesPerSecond);
  return (
    <Box
      sx={{
        minHeight: 36,
        flex: "none",
        px: 4,
        display: "flex",
        alignItems: "center",
        gap: 3,
        whiteSpace: "nowrap",
      }}
    >
      <Box
        sx={{
          ...fraunces,
          fontSize: 17,
          fontStyle: "italic",
          fontWeight: 560,
          maxWidth: 150,
          overflow: "hidden",
          textOverflow: "ellipsis",
        }}
      >
        {clock.title || "No music"}
      </Box>
      {clock.frames.length > 0 && (
        <Box sx={{ color: ink.ink2 }}>
          {tempoOf(beats, clock.bpm, 0)} BPM, {clock.beatsPerBar}/4
        </Box>
      )}
      <ToggleButtonGroup
        exclusive
        aria-label="What moving a cut does"
        value={manner}
        onChange={(_, to: Manner | null) => to && set({ manner: to })}
      >
        {MANNERS.map((m) => (
          <ToggleButton key={m} value={m} title={`${mannerMeaning[m]} (E)`} sx={{ px: 2 }}>
            {m}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <CutAgain film={film} production={production} actions={actions} />
      <Named film={film} production={production} />
      <Box sx={{ flex: 1 }} />
      {shape !== null && (
        <Button
          title="The film is watched in this shape; press for its own (Z for the next)"
          onClick={() => set({ shape: null })}
        >
          in {shape}
        </Button>
      )}
      <ToggleButtonGroup
        exclusive
        aria-label="Bars a line"
        value={barsPerLine}
        onChange={(_, to: number | null) => to && set({ barsPerLine: to })}
      >
        {[4, 8, 16].map((n) => (
          <ToggleButton key={n} value={n} title={`${n} bars a line`} sx={{ width: 30, px: 0 }}>
            {n}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
}

function Named({ film, production }: Pick<Props, "film" | "production">) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)} aria-haspopup="dialog">
        Versions
      </Button>
      {open && <Versions production={production} film={film} onClose={() => setOpen(false)} />}
    </>
  );
}

function CutAgain({ film, production, actions }: Omit<Props, "barsPerLine">) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)} aria-haspopup="dialog">
        Cut again
      </Button>
      {open && (
        <Proposals
          production={production}
          film={film}
          onClose={() => setOpen(false)}
          onTake={(everything, pool, pace) => {
            setOpen(false);
            void actions.cutAgain(everything, pool, pace);
          }}
        />
      )}
    </>
  );
}
