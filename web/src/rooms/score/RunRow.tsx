import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Select from "@mui/material/Select";
import { useState } from "react";
import type { Run } from "../../api/client";
import { NumberField } from "../../parts/NumberField";
import { ink } from "../../theme";

export const WAYS: Record<Run["way"], string> = {
  FORWARD: "forward",
  REVERSE: "in reverse",
  BACK_AND_FORTH: "back and forth",
  HOLD: "held",
};

const BETWEEN: Record<Run["between"], string> = {
  NEAREST: "nearest frames",
  BLENDED: "frames mixed",
  MOTION: "drawn along the motion",
};

/** A run in words: "forward, 50 %". */
export function runName(run: Run): string {
  if (run.way === "HOLD") return "its first frame, held";
  const speed = run.from === run.to ? `${run.from} %` : `${run.from} to ${run.to} %`;
  return `${WAYS[run.way]}, ${speed}`;
}

/** How the shot runs: its way, its speed at both ends, and what is shown between frames. */
export function RunRow({
  run,
  onRun,
  stretches = true,
}: {
  run: Run;
  onRun: (run: Run, stretch: boolean) => void;
  /** Whether a speed may make the shot longer or shorter. */
  stretches?: boolean;
}) {
  const [open, setOpen] = useState(false);
  const [stretch, setStretch] = useState(false);
  const set = (to: Partial<Run>) => {
    const next = { ...run, ...to };
    onRun(next, stretch && next.way !== "HOLD" && next.way !== "BACK_AND_FORTH");
  };
  const speeds = (from: number, to: number) => set({ from: Math.round(from), to: Math.round(to) });
  return (
    <Box sx={{ borderTop: `1px solid ${ink.rule}`, py: 1 }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 2 }}>
        <Box sx={{ width: 40, color: ink.ink2 }}>Runs</Box>
        <Box sx={{ flex: 1 }} data-testid="run">
          {runName(run)}
        </Box>
        <Button aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? "Done" : "Speed"}
        </Button>
      </Box>
      {open && (
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, alignItems: "center", pt: 1 }}>
          <Select
            size="small"
            value={run.way}
            inputProps={{ "aria-label": "Which way" }}
            sx={{ height: 26 }}
            onChange={(e) => set({ way: e.target.value })}
          >
            {Object.entries(WAYS).map(([way, name]) => (
              <MenuItem key={way} value={way}>
                {name}
              </MenuItem>
            ))}
          </Select>
          {run.way !== "HOLD" && (
            <>
              <NumberField
                label="from"
                unit="%"
                digits={0}
                value={run.from}
                hint="25 to 400 %; with one number the speed is the same all along"
                onChange={(v) => speeds(v, run.from === run.to ? v : run.to)}
              />
              <NumberField
                label="to"
                unit="%"
                digits={0}
                value={run.to}
                onChange={(v) => speeds(run.from, v)}
              />
              <Select
                size="small"
                value={run.between}
                inputProps={{ "aria-label": "Between frames" }}
                sx={{ height: 26 }}
                onChange={(e) => set({ between: e.target.value })}
              >
                {Object.entries(BETWEEN).map(([between, name]) => (
                  <MenuItem key={between} value={between}>
                    {name}
                  </MenuItem>
                ))}
              </Select>
              {stretches && (
                <label style={{ display: "flex", alignItems: "center", gap: 6 }}>
                  <input
                    type="checkbox"
                    checked={stretch}
                    onChange={(e) => setStretch(e.target.checked)}
                  />
                  a new speed makes it longer or shorter
                </label>
              )}
            </>
          )}
        </Box>
      )}
    </Box>
  );
}
