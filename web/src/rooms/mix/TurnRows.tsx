import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { Film, Mix } from "../../api/client";
import { OutButton } from "../../parts/OutButton";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import { TURNS, offersAt } from "./turns";
import type { MixActions } from "./useMixActions";

interface Props {
  film: Film;
  mix: Mix;
  fps: number;
  actions: MixActions;
}

/** What happens to the music itself, and what may before the next bar. */
export function TurnRows({ film, mix, fps, actions }: Props) {
  const frame = useRoom((s) => s.frame);
  const offers = offersAt(film, frame, fps);
  return (
    <Box role="group" aria-label="Turns of the music">
      {mix.turns.map((turn, i) => (
        <Box key={i} sx={{ display: "flex", alignItems: "center", gap: 1, minHeight: 28 }}>
          <Box sx={{ flex: 1, minWidth: 0, color: turn.start == null ? ink.rust : ink.ink }}>
            {TURNS[turn.kind]}, {turn.says}
            {turn.start == null && ": not in the film"}
          </Box>
          <OutButton
            label={`Take out: ${TURNS[turn.kind]}, ${turn.says}`}
            onOut={() => actions.turnOut({ kind: turn.kind, from: turn.from, until: turn.until })}
          />
        </Box>
      ))}
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, color: ink.ink2 }}>
        {offers.length === 0 && "Put the playhead where it is to be whole again."}
        {offers.map(({ says, turn }) => (
          <Button key={says} size="small" onClick={() => actions.turn(turn)}>
            {says}
          </Button>
        ))}
      </Box>
    </Box>
  );
}
