import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { BusFader, Film } from "../../api/client";
import { NumberField } from "../../parts/NumberField";
import { OutButton } from "../../parts/OutButton";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import { bendsOf, lineAt } from "./busLine";
import { catches, freeAt, nearest } from "./moments";
import type { MixActions } from "./useMixActions";

interface Props {
  film: Film;
  bus: BusFader;
  name: string;
  fps: number;
  actions: MixActions;
}

/** The points of a bus's line, typed; they are dragged on the staves as well. */
export function LinePoints({ film, bus, name, fps, actions }: Props) {
  const frame = useRoom((s) => s.frame);
  const bends = bendsOf(bus.line, fps);
  const lost = bus.line.filter((p) => p.sample == null);
  const add = () => {
    const at = nearest(catches(film, null), frame, 0.5)?.tie ?? freeAt(frame);
    const gain = Math.round(2 * lineAt(bends, frame)) / 2;
    actions.point(bus.bus, null, at, gain);
  };
  const out = (p: BusFader["line"][number]) => actions.point(bus.bus, p.at, null, 0);
  return (
    <Box
      role="group"
      aria-label={`Line of ${name}`}
      sx={{ borderLeft: `2px solid ${ink.rust}`, pl: 2, mb: 1 }}
    >
      {bends.map(({ point }) => {
        const p = bus.line[point];
        return p === undefined ? null : (
          <Box key={point} sx={{ display: "flex", alignItems: "center", gap: 1, minHeight: 28 }}>
            <Box sx={{ flex: 1, color: ink.ink2, minWidth: 0 }}>{p.says}</Box>
            <NumberField
              label={`${name} at ${p.says}`}
              unit="dB"
              digits={1}
              bare
              value={p.gain}
              onChange={(gain) => actions.point(bus.bus, p.at, p.at, gain)}
            />
            <Box sx={{ color: ink.ink2 }}>dB</Box>
            <OutButton label={`Take the point at ${p.says} out`} onOut={() => out(p)} />
          </Box>
        );
      })}
      {lost.map((p, i) => (
        <Box key={i} sx={{ color: ink.rust }}>
          {p.says}: not in the film{" "}
          <Button size="small" onClick={() => out(p)}>
            Take out
          </Button>
        </Box>
      ))}
      <Box sx={{ display: "flex", alignItems: "center", gap: 1, minHeight: 28 }}>
        <Button size="small" onClick={add}>
          Point at the playhead
        </Button>
        <Box sx={{ color: ink.ink2, fontSize: 12 }}>or drag the line; double click takes out</Box>
      </Box>
    </Box>
  );
}
