import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import type { Film, Treatment, TreatmentKind } from "../../api/client";
import { BareButton } from "../../parts/BareButton";
import { ink } from "../../theme";
import { ParameterRow } from "./ParameterRow";
import { SOURCE, TREATMENT, shownAs, withAt } from "./treatments";

interface Props {
  kind: TreatmentKind | undefined;
  treatment: Treatment;
  film: Film;
  open: boolean;
  onOpen: (open: boolean) => void;
  onSet: (to: Treatment) => void;
  onMove: (by: 1 | -1) => void;
  onRemove: () => void;
}

/** One treatment: whether it is done, its place in the order, its values. */
export function TreatmentRow(props: Props) {
  const { kind, treatment, film, open, onOpen, onSet, onMove, onRemove } = props;
  const name = TREATMENT[treatment.kind];
  return (
    <Box
      component="li"
      aria-label={name}
      sx={{ listStyle: "none", borderTop: `1px solid ${ink.rule}` }}
      onKeyDown={(e) => {
        if (e.altKey && (e.key === "ArrowUp" || e.key === "ArrowDown")) {
          e.preventDefault();
          e.stopPropagation();
          onMove(e.key === "ArrowUp" ? -1 : 1);
        }
      }}
    >
      <Box sx={{ display: "flex", alignItems: "center", minHeight: 34, gap: 1 }}>
        <Checkbox
          size="small"
          checked={!treatment.bypassed}
          slotProps={{ input: { "aria-label": `${name} is done` } }}
          title="Leave it out to compare"
          onChange={(_, on) => onSet({ ...treatment, bypassed: !on })}
          sx={{ p: 0.5, ml: -1 }}
        />
        <BareButton
          aria-expanded={open}
          onClick={() => onOpen(!open)}
          sx={{
            flex: 1,
            minWidth: 0,
            color: treatment.bypassed ? ink.ink3 : ink.ink,
            whiteSpace: "nowrap",
            overflow: "hidden",
            textOverflow: "ellipsis",
          }}
        >
          <Box component="span" sx={{ fontWeight: 600 }}>
            {name}
          </Box>
          {!open && kind && (
            <Box component="span" sx={{ color: ink.ink2 }}>
              {" "}
              {inWords(treatment, kind)}
            </Box>
          )}
        </BareButton>
        <Button
          aria-label={`${name} earlier`}
          title="Done before (Alt+↑)"
          onClick={() => onMove(-1)}
        >
          ↑
        </Button>
        <Button aria-label={`${name} later`} title="Done after (Alt+↓)" onClick={() => onMove(1)}>
          ↓
        </Button>
        <Button aria-label={`Take ${name} out`} onClick={onRemove}>
          Out
        </Button>
      </Box>
      {open &&
        kind?.parameters.map((parameter, i) => {
          const value = treatment.values[i];
          return (
            value && (
              <ParameterRow
                key={parameter.name}
                parameter={parameter}
                value={value}
                film={film}
                onSet={(to) => onSet({ ...treatment, values: withAt(treatment.values, i, to) })}
              />
            )
          );
        })}
    </Box>
  );
}

/** Its first value, and what that follows. */
function inWords({ values }: Treatment, { parameters }: TreatmentKind): string {
  const driven = values.find((v) => v.follows);
  const at = driven ? values.indexOf(driven) : 0;
  const value = values[at];
  const parameter = parameters[at];
  if (!value || !parameter) return "";
  const { unit, scale, digits } = shownAs(parameter);
  const number = ((value.follows?.to ?? value.value) / scale).toFixed(digits);
  const amount = `${number}${unit === "" ? "" : ` ${unit}`}`;
  return value.follows ? `${amount} on ${SOURCE[value.follows.source].name}` : amount;
}
