import Box from "@mui/material/Box";
import type { Facts, Take } from "../../api/client";
import { ink } from "../../theme";

/** What was measured of a take: its move as two frames, its time with what is wrong in it. */
export function MeasuredFacts({ take, facts }: { take: Take; facts: Facts }) {
  const seconds = Math.max(0.001, facts.rate > 0 ? take.seconds : 1);
  return (
    <Box sx={{ px: 4, py: 3, borderTop: `1px solid ${ink.rule}` }} data-testid="facts">
      {facts.troubles.length === 0 ? (
        <Box sx={{ color: ink.moss }}>Measured: nothing wrong.</Box>
      ) : (
        <Box component="ul" sx={{ m: 0, pl: 4, color: ink.rust }}>
          {facts.troubles.map((t) => (
            <li key={t}>{t}</li>
          ))}
        </Box>
      )}
      {!take.still && (
        <>
          <Box sx={{ display: "flex", gap: 4, mt: 2, alignItems: "center" }}>
            <MoveDrawing facts={facts} aspect={take.width / take.height} />
            <Box>
              <Box sx={{ fontWeight: 600 }}>
                {facts.move}
                {facts.move !== "still" && ` ${facts.movePercent.toFixed(1)} % of the width`}
              </Box>
              <Box sx={{ typography: "body2", color: ink.ink2 }}>
                dashed: what the first picture shows; solid: the last
              </Box>
              <Box sx={{ typography: "body2", color: ink.ink2 }}>
                {facts.realRate.toFixed(1)} pictures a second, sharpness{" "}
                {(100 * facts.sharpness).toFixed(0)} of 100, softest at {facts.softest.toFixed(1)} s
              </Box>
            </Box>
          </Box>
          <TimeStrip facts={facts} seconds={seconds} />
        </>
      )}
    </Box>
  );
}

/** The frame of the first picture and that of the last, as the camera moved between them. */
function MoveDrawing({ facts, aspect }: { facts: Facts; aspect: number }) {
  const w = 96;
  const h = w / aspect;
  const { right, down, zoom, turn } = facts.travel;
  // The last frame as it lies in the first picture: the way back of the picture's movement.
  const width = w / zoom;
  const height = h / zoom;
  const x = -right * w - width / 2;
  const y = -down * w - height / 2;
  return (
    <svg
      width={130}
      height={Math.min(110, h + 34)}
      viewBox={`-65 ${-(h + 34) / 2} 130 ${h + 34}`}
      role="img"
      aria-label={`Camera: ${facts.move}`}
      style={{ flex: "none" }}
    >
      <rect
        x={-w / 2}
        y={-h / 2}
        width={w}
        height={h}
        fill="none"
        stroke={ink.ink3}
        strokeDasharray="4 3"
      />
      <rect
        x={x}
        y={y}
        width={width}
        height={height}
        fill="none"
        stroke={ink.thistle}
        strokeWidth={1.8}
        transform={`rotate(${-turn})`}
      />
    </svg>
  );
}

/** Motion over the take, the part that can be used, and where something is wrong. */
function TimeStrip({ facts, seconds }: { facts: Facts; seconds: number }) {
  const w = 344;
  const x = (s: number) => (w * s) / seconds;
  const wrong = [...facts.frozen, ...facts.black, ...facts.flicker, ...facts.warps];
  return (
    <Box sx={{ mt: 2 }}>
      <svg width={w} height={54} role="img" aria-label="Motion and faults over time">
        <rect x={0} y={34} width={w} height={5} fill={ink.rule} />
        <rect
          x={x(facts.usable.from)}
          y={34}
          width={x(facts.usable.to - facts.usable.from)}
          height={5}
          fill={ink.moss}
        />
        {facts.motion.map((m, i) => (
          <rect
            key={i}
            x={(i * w) / facts.motion.length}
            y={30 - 28 * m}
            width={w / facts.motion.length - 1}
            height={Math.max(1, 28 * m)}
            fill={ink.thistleMid}
          />
        ))}
        {wrong.map((s) => (
          <rect
            key={`${s.from}-${s.to}`}
            x={x(s.from)}
            y={42}
            width={Math.max(2, x(s.to - s.from))}
            height={5}
            fill={ink.rust}
          />
        ))}
        {facts.jumps.map((j) => (
          <path key={j} d={`M${x(j)} 30v22`} stroke={ink.rust} strokeWidth={2} />
        ))}
      </svg>
      <Box sx={{ typography: "body2", color: ink.ink2 }}>
        usable {(facts.usable.to - facts.usable.from).toFixed(1)} s, from{" "}
        {facts.usable.from.toFixed(1)} to {facts.usable.to.toFixed(1)} s
      </Box>
    </Box>
  );
}
