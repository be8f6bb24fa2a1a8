import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { BackingKey, Placed } from "../../api/client";
import { NumberField } from "../../parts/NumberField";
import { ink } from "../../theme";
import type { ScoreActions } from "./useScoreActions";
import { withAt } from "./treatments";

/** What else can be said of a colour that is taken out, in percent. */
const FIELDS = [
  { field: "tolerance", hint: "How much weaker than the backing something may be and go with it" },
  { field: "softness", hint: "More keeps things that have something of the colour themselves" },
  { field: "spill", hint: "How much of the colour is taken out of what stays" },
  { field: "shadow", hint: "How much of the shadows on the backing stays" },
] as const;

/** The colour that goes first where one is chosen by hand. */
const FIRST = "#20b040";

/** The backing colours that are taken out of a picture, so that it can stand in another one. */
export function BackingRows({ shot, actions }: { shot: Placed; actions: ScoreActions }) {
  const { keys } = shot;
  const lay = (to: readonly BackingKey[]) => actions.setKeys(shot.id, to);
  const byHand = () => actions.takeOutColour(shot.id, FIRST);
  return (
    <Box
      component="section"
      aria-label="Backing"
      sx={{ borderTop: `1px solid ${ink.rule}`, py: 1, display: "grid", gap: 1 }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 2 }}>
        <Box sx={{ width: 56, color: ink.ink2 }}>Backing</Box>
        <Box sx={{ flex: 1 }}>{keys.length === 0 ? "all of the picture" : "taken out"}</Box>
        {keys.length === 0 ? (
          <>
            <Button
              title="The even colour along its edges goes, what stands before it stays"
              onClick={() => actions.takeOutColour(shot.id, null)}
            >
              Find and take out
            </Button>
            <Button onClick={byHand}>By colour</Button>
          </>
        ) : (
          <>
            {keys.length < 3 && (
              <Button title="One more colour goes" onClick={byHand}>
                One more
              </Button>
            )}
            <Button onClick={() => lay([])}>Put it back</Button>
          </>
        )}
      </Box>
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
