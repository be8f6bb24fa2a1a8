import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useNavigate } from "react-router";
import { useExtend, useExtensionEstimate } from "../../api/asking";
import type { Material, Placed, Problem, Production } from "../../api/client";
import { useServices } from "../../api/queries";
import { ink } from "../../theme";
import type { ScoreActions } from "./useScoreActions";

interface Props {
  production: Production;
  shot: Placed;
  problem: Problem;
  material: Material | undefined;
  actions: ScoreActions;
}

interface Way {
  name: string;
  cost: string;
  act: () => void;
}

/** What the server offers for a problem. */
const offered = ({ problem, actions }: Pick<Props, "problem" | "actions">): Way[] =>
  problem.remedies.map(({ kind, name, cost }) => ({
    name,
    cost,
    act: () => actions.mend(problem.place, kind, problem.kind),
  }));

/** What can be done about too little material, each with what it costs. */
export function Remedies(props: Props) {
  const { production, shot, problem, material } = props;
  const longer = useLonger(production, shot, problem.frames, material);
  return <Ways ways={[...offered(props), ...(longer ? [longer] : [])]} />;
}

/** What the server offers for a problem that a longer take would not mend. */
export function OfferedRemedies(props: Pick<Props, "problem" | "actions">) {
  const ways = offered(props);
  return ways.length > 0 && <Ways ways={ways} />;
}

function Ways({ ways }: { ways: readonly Way[] }) {
  return (
    <Box component="ul" aria-label="What can be done" sx={{ m: 0, p: 0, pb: 1, listStyle: "none" }}>
      {ways.map(({ name, cost, act }) => (
        <Box
          key={name}
          component="li"
          sx={{ display: "flex", alignItems: "baseline", gap: 2, minHeight: 26 }}
        >
          <Button onClick={act} sx={{ flex: "none" }}>
            {name}
          </Button>
          <Box sx={{ color: ink.ink2, lineHeight: "15px" }}>{cost}</Box>
        </Box>
      ))}
    </Box>
  );
}

/** A longer take: from the service that made it where that can go on, else asked for anew. */
function useLonger(
  production: Production,
  shot: Placed,
  missing: number,
  material: Material | undefined,
) {
  const go = useNavigate();
  const extend = useExtend(production.id);
  const services = useServices().data;
  const take = material?.shots.flatMap((s) => s.takes).find((t) => t.id === shot.takeId);
  const maker = services?.find((s) => s.profile.name === take?.service)?.profile;
  const seconds = Math.max(1, Math.ceil(missing / production.framesPerSecond));
  const may = take !== undefined && maker !== undefined && !take.still;
  const price = useExtensionEstimate(production.id, shot.takeId, seconds, may).data;
  if (may && price) {
    return {
      name: `Ask for ${seconds} s more`,
      cost: `${price.credits.toFixed(0)} credits of ${maker.name}; comes as another take in about ${Math.round(price.seconds)} s`,
      act: () => extend.mutate({ take: shot.takeId, seconds }),
    };
  }
  const longEnough = services?.some(
    (s) =>
      s.profile.kind === "CLIP" &&
      s.profile.lengths.some((l) => l * production.framesPerSecond >= shot.used),
  );
  if (!longEnough) return null;
  return {
    name: "Ask for a longer take",
    cost: `${shot.used} f or more, for credits`,
    act: () => void go(`/productions/${production.id}/takes?take=${shot.takeId}`),
  };
}
