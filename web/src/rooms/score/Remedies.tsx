import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useNavigate } from "react-router";
import type { Film, Material, Placed, Production } from "../../api/client";
import { ink } from "../../theme";
import { remediesFor } from "./remedies";
import type { ScoreActions } from "./useScoreActions";

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
  const all = [
    ...remediesFor(film, shot, missing, material, actions),
    {
      name: "Ask for a longer take",
      cost: `${shot.used} f or more, for credits`,
      act: () => void go(`/productions/${production.id}/takes`),
    },
  ];
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
