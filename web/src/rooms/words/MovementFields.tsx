import Box from "@mui/material/Box";
import type { TitleMovement } from "../../api/client";
import { Choice } from "../../parts/Choice";
import { NumberField } from "../../parts/NumberField";
import { ink } from "../../theme";
import { KINDS, ORDERS, UNITS } from "./arrivals";

type Arrival = TitleMovement["in"];

const ROW = { display: "flex", alignItems: "center", gap: 1, minHeight: 30 } as const;

/** How a title comes and goes. */
export function MovementFields(props: {
  movement: TitleMovement;
  onKeep: (to: TitleMovement) => void;
}) {
  const { movement, onKeep } = props;
  const come = (to: Partial<Arrival>) => onKeep({ ...movement, in: { ...movement.in, ...to } });
  return (
    <Box sx={{ flex: 1, minWidth: 0 }}>
      <Kind
        names={{ row: "comes", kind: "How it comes", frames: "coming" }}
        arrival={movement.in}
        usual={12}
        onKeep={come}
      />
      <Box sx={ROW}>
        <Choice
          label="What comes as one"
          value={movement.in.unit}
          of={UNITS}
          onChange={(unit) => come({ unit })}
        />
        {movement.in.unit !== "WHOLE" && (
          <Choice
            label="In which order"
            value={movement.in.order}
            of={ORDERS}
            onChange={(order) => come({ order })}
          />
        )}
      </Box>
      <Kind
        names={{ row: "goes", kind: "How it goes", frames: "going" }}
        arrival={movement.out}
        usual={8}
        onKeep={(to) => onKeep({ ...movement, out: { ...movement.out, ...to } })}
      />
      <Box sx={ROW}>
        <Choice
          label="What it does between"
          value={movement.course}
          of={[
            ["STANDS", "stays between"],
            ["ROLLS", "rolls up, as credits do"],
            ["TURNS", "page by page, as blank lines part it"],
          ]}
          onChange={(course) => onKeep({ ...movement, course })}
        />
      </Box>
    </Box>
  );
}

function Kind(props: {
  names: { row: string; kind: string; frames: string };
  arrival: Arrival;
  /** Frames that it takes where none were said. */
  usual: number;
  onKeep: (to: Partial<Arrival>) => void;
}) {
  const { names, arrival, usual, onKeep } = props;
  return (
    <Box sx={ROW}>
      <Box sx={{ width: 34, color: ink.ink2 }}>{names.row}</Box>
      <Choice
        label={names.kind}
        value={arrival.kind}
        of={KINDS}
        onChange={(kind) => onKeep({ kind, frames: arrival.frames || usual })}
      />
      <NumberField
        label={names.frames}
        unit="f"
        digits={0}
        bare
        value={arrival.frames}
        onChange={(frames) => onKeep({ frames: Math.round(frames) })}
      />
    </Box>
  );
}
