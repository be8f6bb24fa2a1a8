import Box from "@mui/material/Box";
import { useSegments } from "../../api/masters";
import {
  inShape,
  stillUrl,
  type Film,
  type Master,
  type Output,
  type Production,
} from "../../api/client";
import { fraunces, ink } from "../../theme";

interface Props {
  production: Production;
  film: Film;
  output: Output;
  master: Master;
}

/** What is rendered now: the pictures of its segments, those that are made and those to come. */
export function SegmentStrip({ production, film, output, master }: Props) {
  const segments = useSegments(production.id, master.id).data ?? [];
  const kept = segments.filter((s) => s.made && !s.mine).length;
  const done = segments.filter((s) => s.made).length;
  return (
    <Box component="section" aria-label="What is rendered" sx={{ px: 4, py: 2 }}>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, pb: 1 }}>
        <Box component="h2" sx={{ ...fraunces, fontSize: 16, fontWeight: 500, m: 0 }}>
          {output.called}
        </Box>
        <Box sx={{ flex: 1, color: ink.ink2 }}>
          {done} of {segments.length} segments
          {kept > 0 && `; ${kept} were kept from before (grey)`}
        </Box>
        <Box sx={{ color: ink.ink2 }}>goes on when this page is closed</Box>
      </Box>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: "3px" }}>
        {segments.map((segment, i) => (
          <Box
            key={i}
            sx={{
              width: 55,
              height: 34,
              display: "grid",
              placeItems: "center",
              color: ink.ink3,
              border: segment.made ? 0 : `1px dashed ${ink.rule2}`,
              borderBottom: segment.made
                ? `3px solid ${segment.mine ? ink.thistle : ink.rule2}`
                : undefined,
              overflow: "hidden",
            }}
          >
            {segment.made ? (
              <img
                src={stillUrl(
                  production.id,
                  inShape(film.revision, output.said.shape),
                  output.start + segment.start + Math.floor(segment.frames / 2),
                )}
                alt={`segment ${i + 1}, made`}
                style={{ width: 55, height: 31, objectFit: "cover" }}
              />
            ) : (
              i + 1
            )}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
