import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { HeardMix, Mix } from "../../api/client";
import { RoomFoot } from "../../parts/RoomFoot";
import { plural } from "../../parts/words";
import { ink } from "../../theme";
import type { MixActions } from "./useMixActions";

interface Props {
  mix: Mix;
  heard: HeardMix | undefined;
  actions: MixActions;
  onChoose: (id: string) => void;
}

/** What there is, and what is wrong, each with what mends it. */
export function MixFoot({ mix, heard, actions, onChoose }: Props) {
  const lost = mix.laid.filter((s) => s.place === null);
  const hard = heard?.voice.filter((l) => l.hard.length > 0) ?? [];
  const low = mix.lines.filter((l) => l.byHand && l.gain > l.byRule + 1);
  const clips = mix.laid.filter((s) => s.kind === "CLIP").length;
  const beds = mix.laid.filter((s) => s.kind === "BED").length;
  return (
    <RoomFoot>
      <Box>
        {plural(mix.laid.length - clips - beds, "hit")}, {plural(beds, "bed")}
        {clips > 0 && `, ${plural(clips, "clip sound")}`}
      </Box>
      {lost.map((sound) => (
        <Problem
          key={sound.id}
          says={`${sound.name}: ${sound.says}`}
          act="show it"
          onAct={() => onChoose(sound.id)}
        />
      ))}
      {mix.astray.map(({ name, place, sound, item }) => (
        <Problem
          key={`${name} ${place}`}
          says={`${name} is not heard through all of ${place}`}
          act={sound === null ? "show it" : "lay it through all of it"}
          onAct={() => {
            const bed = mix.laid.find((s) => s.name === name);
            if (sound !== null) actions.throughPlace(sound, item);
            else if (bed) onChoose(bed.id);
          }}
        />
      ))}
      {low.map((line) => (
        <Problem
          key={line.id}
          says={`line ${line.number}: music ${(line.gain - line.byRule).toFixed(1)} dB over the rule`}
          act="by the rule"
          onAct={() => actions.bend(line.id, null)}
        />
      ))}
      {low.length === 0 && hard.length > 0 && (
        <Problem
          says={`line ${hard[0]?.number}: \u2018${hard[0]?.hard.slice(0, 3).join(" ")}\u2019 ${hard[0]?.hard.length === 1 ? "is" : "are"} hard to hear`}
          act="voice 2 LU further over music"
          onAct={() => actions.rule({ over: Math.min(30, mix.rule.over + 2) })}
        />
      )}
    </RoomFoot>
  );
}

function Problem(props: { says: string; act: string; onAct: () => void }) {
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 2, color: ink.rust }}>
      {props.says}
      <Button size="small" sx={{ minHeight: 22, py: 0 }} onClick={props.onAct}>
        {props.act}
      </Button>
    </Box>
  );
}
