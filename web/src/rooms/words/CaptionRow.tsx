import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { memo } from "react";
import type { Words } from "../../api/client";
import { fraunces, ink } from "../../theme";
import { captionFaults } from "./titles";

/** A caption, and how quickly it must be read. */
export const CaptionRow = memo(function CaptionRow(props: {
  at: number;
  one: Words["captions"]["captions"][number];
  rules: Words["captions"];
  fps: number;
  chosen: boolean;
  onChoose: (at: number) => void;
  onWrite: (line: string | null) => void;
}) {
  const { at, one, rules, fps, chosen, onChoose, onWrite } = props;
  const faults = captionFaults(one, rules);
  const full = rules.mostPerSecond * 1.25;
  return (
    <ButtonBase
      role="listitem"
      aria-current={chosen || undefined}
      onClick={() => onChoose(at)}
      onDoubleClick={() => one.line !== "" && onWrite(one.line)}
      sx={{
        width: "100%",
        font: "inherit",
        display: "grid",
        gridTemplateColumns: "22px 1fr 64px",
        px: 3,
        py: 1.5,
        textAlign: "left",
        alignItems: "start",
        borderTop: `1px solid ${ink.rule}`,
        bgcolor: chosen ? ink.thistleWash : "transparent",
        contentVisibility: "auto",
        containIntrinsicSize: "auto 44px",
        "&:focus-visible": { outlineOffset: -2 },
      }}
    >
      <Box sx={{ ...fraunces, fontStyle: "italic", fontSize: 14, color: ink.thistleDeep }}>
        {at + 1}
      </Box>
      <Box sx={{ lineHeight: "17px" }}>
        {one.lines.map((line, i) => (
          // What does not fit here hangs, so that it is not taken for a line of its own.
          <Box key={i} sx={{ pl: 2, textIndent: "-8px" }}>
            {line}
          </Box>
        ))}
        {faults.map((fault) => (
          <Box key={fault} sx={{ color: ink.rust, fontSize: 12 }}>
            {fault}
          </Box>
        ))}
      </Box>
      <Box sx={{ fontSize: 12 }}>
        <Box sx={{ display: "flex" }}>
          <Box sx={{ flex: 1, fontWeight: 600, color: faults.length > 0 ? ink.rust : ink.ink }}>
            {one.perSecond.toFixed(1)}
          </Box>
          <Box sx={{ color: ink.ink2 }}>{((one.end - one.start) / fps).toFixed(1)} s</Box>
        </Box>
        <svg width={64} height={8} aria-hidden>
          <line x1={0} x2={64} y1={4} y2={4} stroke={ink.rule} strokeWidth={3} />
          <line
            x1={0}
            x2={Math.min(64, (one.perSecond / full) * 64)}
            y1={4}
            y2={4}
            stroke={one.perSecond > rules.mostPerSecond ? ink.rust : ink.moss}
            strokeWidth={3}
          />
          <line
            x1={(rules.mostPerSecond / full) * 64}
            x2={(rules.mostPerSecond / full) * 64}
            y1={0}
            y2={8}
            stroke={ink.ink2}
          />
        </svg>
      </Box>
    </ButtonBase>
  );
});
