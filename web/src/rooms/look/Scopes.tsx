import Box from "@mui/material/Box";
import { useState } from "react";
import { scopeUrl, type Beyond } from "../../api/client";
import { useBeyond } from "../../api/queries";
import { Still } from "../../parts/Still";
import { GreyToggle } from "./GreyToggle";
import { grey } from "./grey";

const HEIGHT = 90;

/** Codes of 8 bits: from below, as a share of a scope's height. */
const level = (percent: number) => 1 - (16 + (219 * percent) / 100) / 255;

type Shown = "waveform" | "parade" | "histogram";

const SHOWN = [
  { value: "waveform", name: "Luma", hint: "Brightness over the picture\u2019s width" },
  { value: "parade", name: "R G B", hint: "Red, green and blue side by side" },
  { value: "histogram", name: "Histogram", hint: "How much of the picture has which brightness" },
] as const satisfies readonly { value: Shown; name: string; hint: string }[];

/** What an engineer's scopes show of a frame of the film, computed from the drawn frame. */
export function Scopes({
  production,
  revision,
  frame,
}: {
  production: number;
  revision: number;
  frame: number;
}) {
  const [shown, setShown] = useState<Shown>("waveform");
  const beyond = useBeyond(production, revision, frame).data;
  const url = (scope: Shown | "vectors") => scopeUrl(production, revision, frame, scope);
  return (
    <Box component="section" aria-label="Scopes" sx={{ flex: "none" }}>
      <Box sx={{ display: "flex", gap: 2 }}>
        <Box sx={{ flex: 1, height: HEIGHT, position: "relative", bgcolor: grey.scope }}>
          <Picture src={url(shown)} alt={`Scope: ${shown}`} />
          {shown !== "histogram" &&
            [0, 50, 100].map((percent) => (
              <Line key={percent} top={level(percent)} label={`${percent}`} />
            ))}
          {shown === "histogram" &&
            [0, 100].map((percent) => <Upright key={percent} left={1 - level(percent)} />)}
        </Box>
        <Box sx={{ width: HEIGHT, height: HEIGHT, position: "relative", bgcolor: grey.scope }}>
          <Picture src={url("vectors")} alt="Scope: colour difference, the red one upwards" />
          <Graticule />
        </Box>
      </Box>
      <Box sx={{ display: "flex", alignItems: "center", gap: 3, mt: 1 }}>
        <GreyToggle label="Scope" value={shown} options={SHOWN} onChange={setShown} />
        <Box sx={{ fontSize: 12, color: grey.text2, lineHeight: "15px" }}>
          {beyond ? outOfRange(beyond) : ""}
        </Box>
      </Box>
    </Box>
  );
}

function Picture({ src, alt }: { src: string; alt: string }) {
  return (
    <Box sx={{ position: "absolute", inset: 0, mixBlendMode: "screen" }}>
      <Still src={src} alt={alt} stretched />
    </Box>
  );
}

function Line({ top, label }: { top: number; label: string }) {
  return (
    <Box
      sx={{
        position: "absolute",
        left: 0,
        right: 0,
        top: `${top * 100}%`,
        borderTop: `1px solid ${grey.rule}`,
        fontSize: 11,
        lineHeight: "12px",
        color: grey.text2,
        pl: 1,
      }}
    >
      {label}
    </Box>
  );
}

function Upright({ left }: { left: number }) {
  return (
    <Box
      sx={{
        position: "absolute",
        top: 0,
        bottom: 0,
        left: `${left * 100}%`,
        borderLeft: `1px solid ${grey.rule}`,
      }}
    />
  );
}

/** BT.709's primaries and their complements at 75 %, as Cb and Cr from -0.5 to 0.5. */
const TARGETS = (
  [
    ["R", 1, 0, 0],
    ["Y", 1, 1, 0],
    ["G", 0, 1, 0],
    ["C", 0, 1, 1],
    ["B", 0, 0, 1],
    ["M", 1, 0, 1],
  ] as const
).map(([name, r, g, b]) => {
  const y = 0.2126 * r + 0.7152 * g + 0.0722 * b;
  return { name, cb: (0.75 * (b - y)) / 1.8556, cr: (0.75 * (r - y)) / 1.5748 };
});

/** Where skin of all kinds lies, in degrees from Cb towards Cr: common practice, no source. */
const SKIN = (123 * Math.PI) / 180;

/** Codes of chroma, 224 of 255 from end to end. */
const along = (difference: number) => 50 + (difference * 224 * 100) / 255;

function Graticule() {
  return (
    <svg
      viewBox="0 0 100 100"
      width={HEIGHT}
      height={HEIGHT}
      style={{ position: "absolute", inset: 0 }}
      aria-hidden
    >
      <g stroke={grey.rule} fill="none" strokeWidth={0.6}>
        <line x1={50} x2={50} y1={4} y2={96} />
        <line y1={50} y2={50} x1={4} x2={96} />
        <circle cx={50} cy={50} r={44} />
        <line
          x1={50}
          y1={50}
          x2={50 + 44 * Math.cos(SKIN)}
          y2={50 - 44 * Math.sin(SKIN)}
          strokeDasharray="2 2"
        />
      </g>
      {TARGETS.map((t) => (
        <g key={t.name}>
          <rect
            x={along(t.cb) - 2.4}
            y={100 - along(t.cr) - 2.4}
            width={4.8}
            height={4.8}
            fill="none"
            stroke={grey.text2}
            strokeWidth={0.7}
          />
          <text
            x={50 + (along(t.cb) - 50) * 0.78}
            y={100 - (50 + (along(t.cr) - 50) * 0.78) + 2.6}
            textAnchor="middle"
            fontSize={8}
            fill={grey.text2}
          >
            {t.name}
          </text>
        </g>
      ))}
    </svg>
  );
}

/** What may not be broadcast, in words. */
export function outOfRange({ below, above, outside }: Beyond): string {
  const share = (of: number) => `${(100 * of).toFixed(of < 0.001 ? 2 : 1)} %`;
  const told = [
    below > 0 ? `${share(below)} below black` : "",
    above > 0 ? `${share(above)} above white` : "",
    outside > 0 ? `${share(outside)} of colours beyond 5 %` : "",
  ].filter((t) => t !== "");
  return told.length === 0 ? "All within broadcast range" : told.join(", ");
}
