import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import type { Mask, Matte, Placed } from "../../api/client";
import { NumberField } from "../../parts/NumberField";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import { MASK_KINDS, MASK_NAMES, MOST_MASKS, withMask } from "./masks";
import type { ScoreActions } from "./useScoreActions";

/** Which part of a picture stays, and how the light under it comes round its edge. */
export function MaskRows({ shot, actions }: { shot: Placed; actions: ScoreActions }) {
  const draft = useRoom((s) => s.draftMatte);
  const dragged = useRoom((s) => s.onPicture === "masks");
  const set = useRoom((s) => s.set);
  const matte = draft ?? shot.matte;
  const lay = (to: Matte) => actions.setMatte(shot.id, to);
  const laid = (masks: Mask[]) => lay({ ...matte, masks });
  return (
    <Box
      component="section"
      aria-label="Masks"
      sx={{ borderTop: `1px solid ${ink.rule}`, py: 1, display: "grid", gap: 1 }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 2 }}>
        <Box sx={{ width: 44, color: ink.ink2 }}>Mask</Box>
        {matte.masks.length < MOST_MASKS &&
          MASK_KINDS.map((kind) => (
            <Button
              key={kind}
              title={`What lies in ${kind === "RECTANGLE" ? "a" : "an"} ${MASK_NAMES[kind]} stays`}
              onClick={() => {
                actions.addMask(shot.id, kind);
                set({ onPicture: "masks" });
              }}
            >
              {MASK_NAMES[kind]}
            </Button>
          ))}
        <Box sx={{ flex: 1 }} />
        {matte.masks.length > 0 && (
          <ToggleButton
            value="masks"
            selected={dragged}
            aria-label="Show the masks on the picture"
            title="Drag their points on the picture, or reach them with Tab and use the arrows"
            onChange={() => set({ onPicture: dragged ? "lie" : "masks" })}
          >
            show
          </ToggleButton>
        )}
      </Box>
      {matte.masks.map((mask, i) => (
        <Box
          key={i}
          role="group"
          aria-label={`Mask ${i + 1}`}
          sx={{ display: "flex", alignItems: "center", gap: 2 }}
        >
          <Box sx={{ width: 60 }}>{MASK_NAMES[mask.kind]}</Box>
          <NumberField
            label="soft"
            unit="%"
            digits={1}
            value={mask.softness / 10}
            hint="Over which its edge fades, of the picture’s height"
            onChange={(v) =>
              laid(withMask(matte.masks, i, { ...mask, softness: Math.round(10 * v) }))
            }
          />
          <ToggleButton
            value="outside"
            selected={mask.outside}
            title="What lies outside it stays, and not what lies in it"
            sx={{ whiteSpace: "nowrap" }}
            onChange={() => laid(withMask(matte.masks, i, { ...mask, outside: !mask.outside }))}
          >
            outside stays
          </ToggleButton>
          <Box sx={{ flex: 1 }} />
          <Button
            aria-label={`Take mask ${i + 1} away`}
            sx={{ minWidth: 0 }}
            onClick={() => laid(matte.masks.filter((_, k) => k !== i))}
          >
            ×
          </Button>
        </Box>
      ))}
      {(matte.keys.length > 0 || matte.masks.length > 0) && (
        <Box sx={{ display: "flex", alignItems: "center", gap: 2 }}>
          <Box sx={{ width: 56, color: ink.ink2 }}>Edge</Box>
          <NumberField
            label="light under it comes round"
            unit="%"
            digits={0}
            value={matte.wrap}
            hint="So that it looks as if it stood there"
            onChange={(v) => lay({ ...matte, wrap: Math.round(v) })}
          />
        </Box>
      )}
    </Box>
  );
}
