import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import { useState } from "react";
import type { BackingKey, Placed, Production } from "../../api/client";
import { NumberField } from "../../parts/NumberField";
import { ink } from "../../theme";
import { ColourPicker } from "./ColourPicker";
import type { ScoreActions } from "./useScoreActions";
import { withAt } from "./treatments";

/** What else can be said of a colour that is taken out, in percent. */
const FIELDS = [
  { field: "tolerance", hint: "How much weaker than the backing something may be and go with it" },
  { field: "softness", hint: "More keeps things that have something of the colour themselves" },
  { field: "spill", hint: "How much of the colour is taken out of what stays" },
  { field: "shadow", hint: "How much of the shadows on the backing stays" },
] as const;

/** The backing colours that are taken out of a picture, so that it can stand in another one. */
export function BackingRows({
  production,
  shot,
  actions,
}: {
  production: Production;
  shot: Placed;
  actions: ScoreActions;
}) {
  const [picking, setPicking] = useState(false);
  const { keys } = shot.matte;
  const lay = (to: readonly BackingKey[]) =>
    actions.setMatte(shot.id, { ...shot.matte, keys: [...to] });
  return (
    <Box
      component="section"
      aria-label="Backing"
      sx={{ borderTop: `1px solid ${ink.rule}`, py: 1, display: "grid", gap: 1 }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 2 }}>
        <Box sx={{ width: 44, color: ink.ink2 }}>Backing</Box>
        <Box sx={{ flex: 1 }}>{keys.length === 0 ? "stays" : "taken out"}</Box>
        {keys.length === 0 ? (
          <>
            <Button
              title="The even colour along its edges goes, what stands before it stays"
              onClick={() => actions.takeOutColour(shot.id, null)}
            >
              Find and take out
            </Button>
            <Pick picking={picking} onPress={() => setPicking(!picking)} />
          </>
        ) : (
          <>
            {keys.length < 3 && <Pick picking={picking} onPress={() => setPicking(!picking)} />}
            <Button onClick={() => lay([])}>Put it back</Button>
          </>
        )}
      </Box>
      {picking && (
        <ColourPicker
          production={production}
          shot={shot}
          onPick={(colour) => {
            setPicking(false);
            actions.takeOutColour(shot.id, colour);
          }}
          onLeave={() => setPicking(false)}
        />
      )}
      {keys.map((key, i) => (
        <Box key={i} sx={{ display: "flex", flexWrap: "wrap", alignItems: "center", gap: 2 }}>
          <input
            type="color"
            aria-label="Colour that is taken out"
            value={key.colour}
            onChange={(e) => lay(withAt(keys, i, { ...key, colour: e.target.value }))}
          />
          {FIELDS.map(({ field, hint }) => (
            <NumberField
              key={field}
              label={field}
              unit="%"
              digits={0}
              value={key[field]}
              hint={hint}
              onChange={(v) => lay(withAt(keys, i, { ...key, [field]: Math.round(v) }))}
            />
          ))}
        </Box>
      ))}
    </Box>
  );
}

function Pick({ picking, onPress }: { picking: boolean; onPress: () => void }) {
  return (
    <ToggleButton
      value="pick"
      selected={picking}
      title="Press a colour in the picture, and it goes"
      onChange={onPress}
    >
      pick a colour
    </ToggleButton>
  );
}
