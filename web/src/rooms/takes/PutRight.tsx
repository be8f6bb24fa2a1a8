import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import { useState } from "react";
import type { Facts, Production, Take } from "../../api/client";
import { Choice } from "../../parts/Choice";
import { plural } from "../../parts/words";
import { ink } from "../../theme";
import { useRepairs, type RepairKind } from "./useRepairs";
import { Way } from "./Way";

const AT_WORK: Record<RepairKind, string> = {
  FILL: "Filling",
  LIGHT: "Evening the light",
  NOISE: "Taking noise out",
  BLOCKS: "Softening blocks",
  REPEATS: "Drawing what repeats",
  JUMPS: "Bridging",
  CUT: "Cutting",
};

/** In percent of what is measured. */
const STRENGTHS = [
  ["50", "half of it"],
  ["100", "as measured"],
  ["200", "twice as much"],
] as const;

type Strength = (typeof STRENGTHS)[number][0];

/** What of a take can be put right in another one made of it, and how far that is. */
export function PutRight({
  production,
  take,
  facts,
}: {
  production: Production;
  take: Take;
  /** What was measured of it, once it has been. */
  facts: Facts | null;
}) {
  const { working, failed, ask, stop } = useRepairs(production.id, take.id);
  const [strength, setStrength] = useState<Partial<Record<RepairKind, Strength>>>({});
  const graded = (kind: RepairKind, says: string, act: string) => (
    <Way key={kind} says={says}>
      <Choice
        label={`By how much: ${says}`}
        width={120}
        value={strength[kind] ?? "100"}
        of={STRENGTHS}
        onChange={(to) => setStrength({ ...strength, [kind]: to })}
      />
      <Button onClick={() => ask({ kind, strength: Number(strength[kind] ?? "100") })}>
        {act}
      </Button>
    </Way>
  );
  const way = (kind: RepairKind, says: string, act: string) => (
    <Way key={kind} says={says}>
      <Button onClick={() => ask({ kind })}>{act}</Button>
    </Way>
  );
  if (!facts && !working && !failed) return null;
  return (
    <Box
      component="section"
      aria-label="Put right"
      sx={{ px: 4, py: 3, borderTop: `1px solid ${ink.rule}` }}
    >
      <Box component="h3" sx={{ typography: "h2", m: 0, mb: 1 }}>
        Put right, as another take
      </Box>
      {working ? (
        <Way says={`${AT_WORK[working.kind]}, ${Math.floor(100 * working.work.share)} %`}>
          <LinearProgress
            variant="determinate"
            value={100 * working.work.share}
            aria-label={AT_WORK[working.kind]}
            sx={{ width: 72 }}
          />
          <Button onClick={() => stop(working.work.id)}>Stop</Button>
        </Way>
      ) : (
        <>
          {failed && <Box sx={{ color: ink.rust, pb: 1 }}>{failed.work.message}</Box>}
          {facts && (
            <>
              {facts.flicker.length > 0 && way("LIGHT", "Light that flickers", "Make it even")}
              {facts.repeated > 0 &&
                way(
                  "REPEATS",
                  `${plural(facts.repeated, "picture")} shown again`,
                  "Draw the motion",
                )}
              {facts.jumps.length > 0 && (
                <Way says={plural(facts.jumps.length, "jump")}>
                  <Button onClick={() => ask({ kind: "JUMPS" })}>Bridge</Button>
                  <Button
                    title="Another take of the longest piece without a jump"
                    onClick={() => ask({ kind: "CUT" })}
                  >
                    Cut out
                  </Button>
                </Way>
              )}
              {graded("NOISE", "Noise", "Take it out")}
              {graded("BLOCKS", "Blocks and ringing of compression", "Soften")}
            </>
          )}
        </>
      )}
    </Box>
  );
}
