import Box from "@mui/material/Box";
import type { Look } from "../../api/client";
import { AXES, FURTHEST, heightOf } from "./drift";
import { grey } from "./grey";

const ROW = 38;

/** How far each shot lies from the key shot, as it came and as it is. */
export function DriftLines({
  look,
  chosen,
  onChoose,
}: {
  look: Look;
  chosen: string;
  onChoose: (item: string) => void;
}) {
  const count = look.shots.length;
  const x = (i: number) => ((i + 0.5) / count) * 100;
  return (
    <Box>
      {AXES.map((axis) => (
        <Box key={axis.name} sx={{ display: "flex", height: ROW, mb: 1 }}>
          <Box sx={{ width: 134, flex: "none", display: "flex", alignItems: "center" }}>
            <Box sx={{ flex: 1, fontWeight: 600, fontSize: 13 }}>{axis.label}</Box>
            <Box sx={{ fontSize: 12, color: grey.text2, textAlign: "right", pr: 2 }}>
              {axis.more}
              <br />
              {axis.less}
            </Box>
          </Box>
          <Box sx={{ flex: 1, position: "relative", bgcolor: grey.panel }}>
            <Box
              sx={{
                position: "absolute",
                left: 0,
                right: 0,
                top: `${heightOf(look.close) * 100}%`,
                height: `${(look.close / FURTHEST) * 100}%`,
                bgcolor: grey.band,
              }}
            />
            <svg
              width="100%"
              height={ROW}
              viewBox={`0 0 100 ${ROW}`}
              preserveAspectRatio="none"
              style={{ position: "absolute", inset: 0 }}
              aria-hidden
            >
              {(["before", "now"] as const).map((when) => (
                <polyline
                  key={when}
                  points={look.shots
                    .flatMap((s, i) => (s.now ? [{ s, i }] : []))
                    .map(({ s, i }) => `${x(i)},${heightOf(s[when]?.[axis.name] ?? 0) * ROW}`)
                    .join(" ")}
                  fill="none"
                  stroke={when === "now" ? "#FFFFFF" : grey.text2}
                  strokeWidth={when === "now" ? 1.6 : 1}
                  strokeDasharray={when === "now" ? undefined : "2 3"}
                  vectorEffect="non-scaling-stroke"
                />
              ))}
            </svg>
            {look.shots.map((s, i) => (
              <Box
                key={s.item}
                component="button"
                tabIndex={-1}
                aria-label={`${s.label}: ${axis.label} ${(s.now?.[axis.name] ?? 0).toFixed(1)}`}
                title={`${s.label}: ${(s.before?.[axis.name] ?? 0).toFixed(1)} as it came, ${(s.now?.[axis.name] ?? 0).toFixed(1)} now`}
                onClick={() => onChoose(s.item)}
                sx={{
                  position: "absolute",
                  left: `${(i / count) * 100}%`,
                  width: `${100 / count}%`,
                  top: 0,
                  bottom: 0,
                  p: 0,
                  border: 0,
                  cursor: "pointer",
                  bgcolor: s.item === chosen ? "#FFFFFF22" : "transparent",
                }}
              >
                {s.before && <Mark top={heightOf(s.before[axis.name])} hollow />}
                {s.now && <Mark top={heightOf(s.now[axis.name])} diamond={s.keyOf !== "NONE"} />}
              </Box>
            ))}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

function Mark({ top, hollow, diamond }: { top: number; hollow?: boolean; diamond?: boolean }) {
  return (
    <Box
      sx={{
        position: "absolute",
        left: "50%",
        top: `${top * 100}%`,
        width: 7,
        height: 7,
        transform: `translate(-50%, -50%) ${diamond ? "rotate(45deg) scale(1.2)" : ""}`,
        borderRadius: diamond ? 0 : "50%",
        border: `1px solid ${hollow ? grey.text2 : "#FFFFFF"}`,
        bgcolor: hollow ? "transparent" : "#FFFFFF",
      }}
    />
  );
}
