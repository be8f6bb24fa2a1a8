import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { HeardMix, Mix } from "../../api/client";
import { NumberField } from "../../parts/NumberField";
import { decimal } from "../../parts/words";
import { face, ink } from "../../theme";
import { TARGET } from "./parts";
import type { MixActions } from "./useMixActions";

interface Props {
  mix: Mix;
  heard: HeardMix | undefined;
  actions: MixActions;
}

/** What is measured of the whole, and the rule by which music steps aside. */
export function MixHeader({ mix, heard, actions }: Props) {
  const fresh = heard?.revision === mix.revision;
  const worst = heard?.voice.reduce<HeardMix["voice"][number] | null>(
    (least, line) => (least === null || line.over < least.over ? line : least),
    null,
  );
  const held = heard?.held.length ?? 0;
  const most = Math.max(0, ...(heard?.held.map((h) => h.over) ?? []));
  return (
    <Box
      sx={{
        height: 46,
        flex: "none",
        px: 4,
        display: "flex",
        alignItems: "center",
        gap: 3,
        bgcolor: ink.sheet,
        borderBottom: `1px solid ${ink.rule}`,
      }}
    >
      <Box
        role="group"
        aria-label="Measured of the whole film"
        sx={{ display: "flex", gap: 3, opacity: fresh ? 1 : 0.6 }}
      >
        <Figure
          value={heard ? decimal(heard.integrated) : "…"}
          unit="LUFS"
          says={heard ? aimed(heard.integrated) : "listening"}
          title="Integrated loudness of the whole film as it is mixed. A master is brought to what it is ordered at."
        />
        <Figure
          value={heard ? heard.range.toFixed(1) : "…"}
          unit="LU"
          says="loudness range"
          title={`Loudest 400 ms ${heard ? decimal(heard.momentaryMax) : "…"} LUFS, loudest 3 s ${heard ? decimal(heard.shortTermMax) : "…"} LUFS`}
        />
        <Figure
          value={heard ? decimal(heard.truePeak) : "…"}
          unit="dBTP"
          says={held === 0 ? "nothing held down" : `held ${held}\u00d7, ${most.toFixed(1)} dB`}
          title="True peak behind the limiter, which keeps it under -1"
        />
        <Figure
          value={worst ? decimal(worst.over) : "–"}
          unit="LU"
          says={worst ? `voice over rest, line ${worst.number}` : "no voice"}
          title="The line that stands least over everything else"
        />
        <Figure
          value={heard ? heard.monoLoss.toFixed(1) : "…"}
          unit="LU"
          says="lost in mono"
          title="How much softer the film is where both sides are played as one"
        />
      </Box>
      <Box sx={{ flex: 1 }} />
      <NumberField
        label="voice over music"
        unit="LU"
        digits={1}
        value={mix.rule.over}
        hint="How far the voice is to stand over music and clips"
        onChange={(over) => actions.rule({ over })}
      />
      <Button
        variant="contained"
        color="primary"
        disabled={actions.working}
        onClick={() => actions.propose(null)}
        title="Lays each sound that the story asks for and the shelf has, softly, to keep or take out"
      >
        {actions.working ? "Laying\u2026" : "Lay what is wanted"}
      </Button>
    </Box>
  );
}

function aimed(integrated: number): string {
  const off = integrated - TARGET;
  return Math.abs(off) <= 1
    ? `for ${TARGET}: there`
    : `for ${TARGET}: ${off > 0 ? "+" : "−"}${Math.abs(off).toFixed(1)}`;
}

function Figure(props: { value: string; unit: string; says: string; title: string }) {
  return (
    <Box
      title={props.title}
      sx={{ pr: 3, borderRight: `1px solid ${ink.rule}`, whiteSpace: "nowrap" }}
    >
      <Box sx={{ fontFamily: face.mono, fontSize: 15, fontWeight: 500, lineHeight: "19px" }}>
        {props.value}{" "}
        <Box component="span" sx={{ font: `12px ${face.sans}`, color: ink.ink2 }}>
          {props.unit}
        </Box>
      </Box>
      <Box sx={{ fontSize: 12, lineHeight: "16px", color: ink.ink2 }}>{props.says}</Box>
    </Box>
  );
}
