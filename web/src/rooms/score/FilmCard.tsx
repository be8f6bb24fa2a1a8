import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { Film, Production } from "../../api/client";
import { useSongs } from "../../api/queries";
import { plural } from "../../parts/words";
import { ink } from "../../theme";
import type { ScoreActions } from "./useScoreActions";
import { meansOf } from "./means";
import { select } from "./useScoreKeys";

/** The film as a whole, while no shot is selected: what to look at, and which shots are out. */
export function FilmCard({
  production,
  film,
  actions,
}: {
  production: Production;
  film: Film;
  actions: ScoreActions;
}) {
  const fps = production.framesPerSecond;
  const song = useSongs(production.id).data?.find((s) => s.chosen);
  const lengths = film.shots.map((s) => s.end - s.start).sort((a, b) => a - b);
  const span = (frames: number | undefined) => `${((frames ?? 0) / fps).toFixed(2)} s`;
  const rows: [string, string][] = [
    [
      "Length",
      `${(film.length / fps).toFixed(2)} s of ${Math.round(production.targetSeconds)} s wanted`,
    ],
    ["Shots", `${film.shots.length}, ${span(lengths[0])} to ${span(lengths.at(-1))}`],
    ...meansOf(film, song, fps).map(({ name, mean, shots }): [string, string] => [
      name,
      `${mean.toFixed(2)} s a shot, ${plural(shots, "shot")}`,
    ]),
    ...(film.voice.length > 0
      ? ([
          ["In words", `${film.problems.filter((p) => p.kind === "INSIDE_WORD").length} cuts`],
        ] satisfies [string, string][])
      : []),
    ["Locked", `${film.shots.filter((s) => s.locked).length}`],
  ];
  return (
    <Box sx={{ p: 4 }} component="section" aria-label="The film">
      <Box component="h2" sx={{ typography: "h1", m: 0, mb: 2 }}>
        The whole film
      </Box>
      {rows.map(([name, value]) => (
        <Box key={name} sx={{ display: "flex", py: 1, borderTop: `1px solid ${ink.rule}` }}>
          <Box sx={{ width: 84, color: ink.ink2 }}>{name}</Box>
          <Box>{value}</Box>
        </Box>
      ))}
      <Box component="h2" sx={{ typography: "h2", m: 0, mt: 4, mb: 1 }}>
        {film.problems.length === 0 ? "Nothing to look at" : `${film.problems.length} to look at`}
      </Box>
      {film.problems.map((p, i) => (
        <Box
          key={i}
          sx={{
            display: "flex",
            alignItems: "center",
            gap: 2,
            py: 1,
            borderTop: `1px solid ${ink.rule}`,
          }}
        >
          <Box sx={{ flex: 1, color: ink.rust }}>{p.text}</Box>
          <Button onClick={() => select(film, p.place)}>Show</Button>
        </Box>
      ))}
      {film.outside.length > 0 && (
        <>
          <Box component="h2" sx={{ typography: "h2", m: 0, mt: 4, mb: 1 }}>
            {plural(film.outside.length, "shot")} left out
          </Box>
          {film.outside.map((s) => (
            <Box
              key={s.shotId}
              sx={{
                display: "flex",
                alignItems: "center",
                gap: 2,
                py: 1,
                borderTop: `1px solid ${ink.rule}`,
              }}
            >
              <Box sx={{ flex: 1 }}>
                <b>{s.label}</b> {s.title}
              </Box>
              <Button onClick={() => actions.bringBack(s.shotId)}>Bring back</Button>
            </Box>
          ))}
        </>
      )}
    </Box>
  );
}
