import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { SoundManner } from "../../api/client";
import { NumberField } from "../../parts/NumberField";
import { OutButton } from "../../parts/OutButton";
import { ink } from "../../theme";

type Band = SoundManner["equaliser"]["bands"][number];

/** A sound has as many filters at most, its cuts among them. */
const MOST = 6;

const NAMES: Record<Band["kind"], string> = {
  LOW_CUT: "low cut",
  HIGH_CUT: "high cut",
  LOW_SHELF: "low shelf",
  HIGH_SHELF: "high shelf",
  BELL: "bell",
};

/** Where a filter begins, in hertz: low, middle and high of what is heard. */
const BEGINS: readonly { kind: Band["kind"]; hertz: number }[] = [
  { kind: "LOW_SHELF", hertz: 200 },
  { kind: "BELL", hertz: 1000 },
  { kind: "HIGH_SHELF", hertz: 5000 },
];

interface Props {
  how: SoundManner;
  onChange: (bands: Band[]) => void;
}

/** A sound's filters: cuts, shelves and bells, each with its numbers. */
export function SoundFilters({ how, onChange }: Props) {
  const bands = how.equaliser.bands;
  const hertz = (kind: Band["kind"]) => bands.find((b) => b.kind === kind)?.hertz ?? 0;
  const cut = (kind: "LOW_CUT" | "HIGH_CUT", at: number) =>
    onChange([
      ...bands.filter((b) => b.kind !== kind),
      ...(at > 0 ? [{ kind, hertz: at, gain: 0, q: Math.SQRT1_2 }] : []),
    ]);
  const set = (at: number, to: Partial<Band>) =>
    onChange(bands.map((b, i) => (i === at ? { ...b, ...to } : b)));
  return (
    <Box role="group" aria-label="Filters" sx={{ py: 1 }}>
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: "4px 12px" }}>
        <NumberField
          label="Low cut"
          unit="Hz"
          digits={0}
          value={hertz("LOW_CUT")}
          zero="off"
          onChange={(at) => cut("LOW_CUT", at)}
        />
        <NumberField
          label="High cut"
          unit="Hz"
          digits={0}
          value={hertz("HIGH_CUT")}
          zero="off"
          onChange={(at) => cut("HIGH_CUT", at)}
        />
      </Box>
      {bands.map((band, i) => {
        const name = NAMES[band.kind];
        return band.kind === "LOW_CUT" || band.kind === "HIGH_CUT" ? null : (
          <Box
            key={i}
            role="group"
            aria-label={`${name} ${i + 1}`}
            sx={{ display: "flex", alignItems: "center", gap: 1, minHeight: 30 }}
          >
            <Box sx={{ width: 66, flex: "none", color: ink.ink2 }}>{name}</Box>
            <NumberField
              label={name}
              unit="Hz"
              digits={0}
              bare
              value={band.hertz}
              onChange={(at) => set(i, { hertz: at })}
            />
            <Box sx={{ color: ink.ink2 }}>Hz</Box>
            <NumberField
              label={name}
              unit="dB"
              digits={1}
              bare
              value={band.gain}
              onChange={(gain) => set(i, { gain })}
            />
            <Box sx={{ color: ink.ink2 }}>dB</Box>
            <NumberField
              label={`${name}, how narrow`}
              unit="Q"
              digits={2}
              bare
              value={band.q}
              onChange={(q) => set(i, { q })}
            />
            <Box sx={{ color: ink.ink2, flex: 1 }}>Q</Box>
            <OutButton
              label={`Take the ${name} out`}
              onOut={() => onChange(bands.filter((_, at) => at !== i))}
            />
          </Box>
        );
      })}
      {bands.length < MOST && (
        <Box sx={{ display: "flex", alignItems: "center", gap: 1, pt: 1 }}>
          <Box sx={{ width: 66, flex: "none", color: ink.ink2 }}>One more</Box>
          {BEGINS.map(({ kind, hertz: at }) => (
            <Button
              key={kind}
              size="small"
              sx={{ minWidth: 0, px: 1.5, minHeight: 22 }}
              onClick={() => onChange([...bands, { kind, hertz: at, gain: 3, q: Math.SQRT1_2 }])}
            >
              {NAMES[kind]}
            </Button>
          ))}
        </Box>
      )}
    </Box>
  );
}
