import Box from "@mui/material/Box";
import IconButton from "@mui/material/IconButton";
import Tooltip from "@mui/material/Tooltip";
import { useHistory, useSteps } from "../api/history";
import { ink } from "../theme";
import { stepKeys, useKeys } from "./keys";

/** Undo and redo over all rooms of a production: two buttons, and their keys. */
export function History({ production }: { production: number }) {
  const { data } = useHistory(production);
  const { undo, redo } = useSteps(production);
  useKeys([{ name: "In every room", keys: stepKeys(undo, redo) }]);
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
      <Step name="Undo" keys="Ctrl+Z" what={data?.undo?.label} onClick={undo} />
      <Step name="Redo" keys="Ctrl+Shift+Z" what={data?.redo?.label} onClick={redo} />
    </Box>
  );
}

interface StepProps {
  name: "Undo" | "Redo";
  keys: string;
  what: string | undefined;
  onClick: () => void;
}

/** With nothing to do it leaves its place empty, so that the other never moves. */
function Step({ name, keys, what, onClick }: StepProps) {
  return (
    <Tooltip describeChild title={`${name}: ${what ?? ""} (${keys})`}>
      <IconButton
        size="small"
        aria-label={name}
        onClick={onClick}
        sx={{ visibility: what === undefined ? "hidden" : "visible", color: ink.ink }}
      >
        <Arrow back={name === "Undo"} />
      </IconButton>
    </Tooltip>
  );
}

/** An arrow that turns back, or on. */
function Arrow({ back }: { back: boolean }) {
  return (
    <svg
      width={18}
      height={18}
      viewBox="0 0 18 18"
      fill="none"
      stroke="currentColor"
      strokeWidth={1.6}
      transform={back ? undefined : "scale(-1 1)"}
      aria-hidden
    >
      <path d="M3 6.5h7.5a4 4 0 0 1 0 8H6" />
      <path d="M6.5 3 3 6.5 6.5 10" />
    </svg>
  );
}
