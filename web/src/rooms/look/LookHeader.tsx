import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Slider from "@mui/material/Slider";
import { useState } from "react";
import type { Look, LookShot } from "../../api/client";
import { plural } from "../../parts/words";
import { fraunces } from "../../theme";
import { FileButton } from "./FileButton";
import { GreyToggle } from "./GreyToggle";
import { NameForm } from "./NameForm";
import { grey, greyButton } from "./grey";
import { hasKey, shortened } from "./key";
import type { LookActions } from "./useLookActions";

/** How alike the film's shots are, groups of them, and the match of all. */
export function LookHeader({
  look,
  far,
  before,
  onBefore,
  selected,
  followers,
  actions,
}: {
  look: Look;
  far: readonly LookShot[];
  before: boolean;
  onBefore: (before: boolean) => void;
  selected: readonly string[];
  followers: readonly string[];
  actions: LookActions;
}) {
  const [naming, setNaming] = useState(false);
  const grouped = look.shots.filter((s) => selected.includes(s.item) && s.group !== null);
  const places = look.shots.some((s) => s.place !== "");
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 3, height: 36, flex: "none" }}>
      <Box
        component="h2"
        sx={{ ...fraunces, m: 0, fontSize: 18, fontWeight: 460, whiteSpace: "nowrap" }}
      >
        {hasKey(look)
          ? `${plural(look.shots.length, "shot")}, measured from ${measuredFrom(look)}`
          : "Pick one shot all others should look like, or bring in a still"}
      </Box>
      {hasKey(look) && (
        <Box sx={{ fontSize: 13, color: grey.text2, whiteSpace: "nowrap" }}>
          {standing(look, far)}
        </Box>
      )}
      <Box sx={{ flex: 1 }} />
      {!naming ? (
        <>
          {look.groups.length === 0 && places && selected.length < 2 && (
            <Button
              sx={greyButton}
              title="Shots of one place are matched among themselves, and places led towards each other"
              onClick={actions.groupByPlace}
            >
              Group by place
            </Button>
          )}
          {selected.length > 1 && (
            <Button sx={greyButton} onClick={() => setNaming(true)}>
              Group these {selected.length}
            </Button>
          )}
          {selected.length < 2 && (
            <FileButton accept="image/*" onFile={actions.keyStill}>
              A still as key
            </FileButton>
          )}
          {grouped.length > 0 && (
            <Button
              sx={greyButton}
              title="Out of their group, to the rest of the film"
              onClick={() => actions.ungroup(grouped.map((s) => s.item))}
            >
              Ungroup
            </Button>
          )}
        </>
      ) : (
        <NameForm
          label="Name of the group"
          placeholder="Name of the group"
          act="Group"
          width={150}
          onName={(name) => {
            actions.group(selected, name);
            setNaming(false);
          }}
          onGiveUp={() => setNaming(false)}
        />
      )}
      <GreyToggle
        label="Strip shows"
        value={before ? "before" : "now"}
        options={[
          { value: "before", name: "before", hint: "The strip as the clips came" },
          { value: "now", name: "now", hint: "The strip as it is seen" },
        ]}
        onChange={(to) => onBefore(to === "before")}
      />
      {hasKey(look) && (
        <>
          <Strength value={actions.strength} onChange={actions.setStrength} />
          <Button
            sx={greyButton}
            disabled={actions.working}
            onClick={() => actions.match(followers)}
          >
            {actions.working ? "Matching\u2026" : `Match all ${followers.length}`}
          </Button>
        </>
      )}
    </Box>
  );
}

/** How much of a difference between shots a match puts down to how they were made. */
function Strength({ value, onChange }: { value: number; onChange: (to: number) => void }) {
  return (
    <Box
      title="At 50 a match holds back where two shots show other things; at 100 it makes them alike"
      sx={{ display: "flex", alignItems: "center", gap: 3, fontSize: 13, color: grey.text2 }}
    >
      Strength
      <Slider
        aria-label="Strength of a match, %"
        value={value}
        step={5}
        onChange={(_, to) => onChange(to as number)}
        sx={{ width: 80, color: grey.text, "& .MuiSlider-thumb": { bgcolor: "#FFFFFF" } }}
      />
      <Box sx={{ width: 36 }}>{value} %</Box>
    </Box>
  );
}

function measuredFrom(look: Look): string {
  const still = look.still && shortened(look.still.name);
  if (look.groups.length > 0) return still ? `key shots, led to ${still}` : "key shots";
  return still ?? "the key shot";
}

function standing(look: Look, far: readonly LookShot[]): string {
  const close = look.shots.length - far.length;
  return far.length === 0
    ? "all are close"
    : `${close} close, ${plural(far.length, "shot")} further than ${look.close}`;
}
