import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import type { Placed } from "../../api/client";
import { NumberField } from "../../parts/NumberField";
import { ink } from "../../theme";
import type { ScoreActions } from "./useScoreActions";

/** What is heard of the clip: on or off, how far before and after its picture, how loud. */
export function ClipSoundRow({ shot, actions }: { shot: Placed; actions: ScoreActions }) {
  const { sound } = shot;
  const set = (to: Partial<typeof sound>) => actions.setClipSound({ ...sound, ...to });
  return (
    <Box
      sx={{
        borderTop: `1px solid ${ink.rule}`,
        py: 1,
        display: "flex",
        flexWrap: "wrap",
        alignItems: "center",
        gap: 2,
      }}
    >
      <Box sx={{ width: 40, color: ink.ink2 }}>Sound</Box>
      {!shot.sounding && <Box sx={{ color: ink.ink2 }}>this clip has none of its own</Box>}
      {shot.sounding && (
        <ToggleButton
          value="sound"
          selected={sound.on}
          onChange={() => set({ on: !sound.on })}
          title="Whether the clip’s own sound is heard"
        >
          {sound.on ? "heard" : "off"}
        </ToggleButton>
      )}
      {shot.sounding && sound.on && (
        <>
          <Button
            onClick={() => actions.detach(shot.place)}
            title="Its sound stays where it is when the picture moves"
          >
            Detach
          </Button>
          <Box sx={{ display: "flex", gap: 2, width: "100%" }}>
            <NumberField
              label="before"
              unit="f"
              digits={0}
              value={sound.lead}
              hint="Frames it is heard before the picture comes: a J cut"
              onChange={(v) => set({ lead: Math.round(v) })}
            />
            <NumberField
              label="after"
              unit="f"
              digits={0}
              value={sound.tail}
              hint="Frames it is heard after the picture has gone: an L cut"
              onChange={(v) => set({ tail: Math.round(v) })}
            />
            <NumberField
              label="gain"
              unit="dB"
              digits={0}
              value={sound.gain}
              onChange={(v) => set({ gain: Math.round(v) })}
            />
          </Box>
        </>
      )}
    </Box>
  );
}
