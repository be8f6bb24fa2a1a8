import Box from "@mui/material/Box";
import { takeFrameUrl, type Production, type Shot } from "../../api/client";
import { useStory } from "../../api/story";
import { ink } from "../../theme";

interface Props {
  production: Production;
  shots: readonly Shot[];
  shot: Shot;
}

/** The picks of the shots before and after, and the pictures of the people in this one. */
export function Neighbours({ production, shots, shot }: Props) {
  const story = useStory(production.id).data;
  const at = shots.findIndex((s) => s.id === shot.id);
  const takes = shots.flatMap((s) => s.takes);
  const people = (story?.sheets.people ?? []).filter(
    (p) => p.picture !== "" && shot.who.some((w) => w.toLowerCase() === p.name.toLowerCase()),
  );
  const shown = [
    ...[shots[at - 1], shots[at + 1]].flatMap((s, i) => {
      const pick = s?.takes.find((t) => t.id === s.pick && t.state === "READY");
      return s && pick
        ? [{ key: s.id, name: `${i === 0 ? "before" : "after"}: ${s.label}`, take: pick, i }]
        : [];
    }),
    ...people.flatMap((p) => {
      const take = takes.find((t) => String(t.id) === p.picture && t.state === "READY");
      return take ? [{ key: p.name, name: p.name, take, i: 2 }] : [];
    }),
  ];
  if (shown.length === 0) return null;
  return (
    <Box sx={{ px: 4, pt: 2, display: "flex", gap: 2 }}>
      {shown.map(({ key, name, take, i }) => (
        <Box key={key} sx={{ width: 109 }}>
          <Box sx={{ height: 61, bgcolor: ink.well }}>
            <img
              src={takeFrameUrl(
                production.id,
                take.id,
                take.frames * (i === 0 ? 0.9 : i === 1 ? 0.1 : 0.4),
                144,
              )}
              alt=""
              style={{ width: "100%", height: "100%", objectFit: "contain" }}
            />
          </Box>
          <Box sx={{ typography: "body2", color: ink.ink2 }}>{name}</Box>
        </Box>
      ))}
    </Box>
  );
}
