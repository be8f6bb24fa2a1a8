import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useNavigate } from "react-router";
import type { Film, Material, Placed, Production } from "../../api/client";
import { useAskAgain, useServices } from "../../api/queries";
import { useNotice } from "../../parts/notice";
import { ink } from "../../theme";
import { remediesFor } from "./remedies";
import type { ScoreActions } from "./useScoreActions";

/** Services let a clip go on for so many seconds at a time. */
const MOST_LONGER = 10;

/** What can be done about too little material, each with what it costs. */
export function Remedies({
  production,
  film,
  shot,
  missing,
  material,
  actions,
}: {
  production: Production;
  film: Film;
  shot: Placed;
  missing: number;
  material: Material | undefined;
  actions: ScoreActions;
}) {
  const go = useNavigate();
  const ask = useAskAgain(production.id);
  const tell = useNotice((s) => s.tell);
  const services = useServices().data;
  const take = material?.shots.flatMap((s) => s.takes).find((t) => t.id === shot.takeId);
  const maker = services?.find((s) => s.profile.name === take?.service)?.profile;
  const seconds = Math.max(1, Math.ceil(missing / production.framesPerSecond));
  const longer =
    take && maker && !take.still && seconds <= MOST_LONGER
      ? {
          name: `Ask for ${seconds} s more`,
          cost: `${(seconds * maker.credits).toFixed(0)} credits of ${maker.name}; comes as another take in about ${Math.round(maker.waitSeconds)} s`,
          act: () =>
            ask.mutate(
              { path: "extend", body: { take: take.id, seconds } },
              {
                onSuccess: (answer) => {
                  const { count, message } = answer as { count: number; message: string };
                  if (count === 0) tell(message, "wrong");
                  else tell(`${maker.name} is asked for take ${take.number}, ${seconds} s longer.`);
                },
              },
            ),
        }
      : {
          name: "Ask for a longer take",
          cost: `${shot.used} f or more, for credits`,
          act: () => void go(`/productions/${production.id}/takes?take=${shot.takeId}`),
        };
  const all = [...remediesFor(film, shot, missing, material, actions), longer];
  return (
    <Box component="ul" aria-label="What can be done" sx={{ m: 0, p: 0, pb: 1, listStyle: "none" }}>
      {all.map(({ name, cost, act }) => (
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
