import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import { isOver, useArrivals, type Arrival } from "../../api/arrivals";
import { fileSize, plural } from "../../parts/words";
import { ink } from "../../theme";

const WORDS = {
  waiting: "waiting",
  sending: "",
  arrived: "here",
  known: "already here",
  refused: "not taken",
} as const;

/** Files on their way in: a bar for each and one for all. */
export function ArrivalsPanel() {
  const { files, lost, clear } = useArrivals();
  if (files.length === 0) return lost.length === 0 ? null : <Lost names={lost} onSeen={clear} />;
  const all = files.reduce((n, f) => n + f.bytes, 0);
  const sent = files.reduce((n, f) => n + (isOver(f) ? f.bytes : f.sent), 0);
  const over = files.filter(isOver).length;
  return (
    <Box sx={{ p: 4, borderBottom: `1px solid ${ink.rule2}` }} data-testid="arrivals">
      <Box sx={{ display: "flex", alignItems: "baseline", mb: 1 }}>
        <Box component="h2" sx={{ typography: "h2", m: 0, flex: 1 }}>
          {over === files.length
            ? `${plural(files.length, "file")} brought in`
            : `Bringing in ${over + 1} of ${files.length}`}
        </Box>
        {over === files.length && <Button onClick={clear}>Done</Button>}
      </Box>
      <LinearProgress
        aria-label="all files"
        variant="determinate"
        value={all === 0 ? 100 : (sent / all) * 100}
      />
      <Box sx={{ typography: "body2", color: ink.ink2, mt: 1 }}>
        {fileSize(sent)} of {fileSize(all)}
      </Box>
      <Box
        role="group"
        aria-label="files"
        tabIndex={0}
        sx={{ mt: 2, maxHeight: 210, overflow: "auto" }}
      >
        {files.map((file) => (
          <Row key={file.key} file={file} />
        ))}
      </Box>
    </Box>
  );
}

/** Files that were on their way when the page was closed. */
function Lost({ names, onSeen }: { names: readonly string[]; onSeen: () => void }) {
  return (
    <Box sx={{ p: 4, borderBottom: `1px solid ${ink.rule2}` }} role="alert">
      <Box sx={{ color: ink.rust, mb: 1 }}>
        {plural(names.length, "file")} did not arrive before the page was closed; bring{" "}
        {names.length === 1 ? "it" : "them"} in again:
      </Box>
      <Box sx={{ typography: "body2", maxHeight: 120, overflow: "auto", mb: 2 }}>
        {names.join(", ")}
      </Box>
      <Button onClick={onSeen}>Done</Button>
    </Box>
  );
}

function Row({ file }: { file: Arrival }) {
  const wrong = file.state === "refused";
  return (
    <Box sx={{ py: 1, borderTop: `1px solid ${ink.rule}` }} title={file.reason}>
      <Box sx={{ display: "flex", gap: 2 }}>
        <Box
          sx={{
            flex: 1,
            minWidth: 0,
            whiteSpace: "nowrap",
            overflow: "hidden",
            textOverflow: "ellipsis",
          }}
        >
          {file.name}
        </Box>
        <Box sx={{ color: wrong ? ink.rust : ink.ink2 }}>
          {file.state === "sending"
            ? `${Math.floor((file.sent / Math.max(1, file.bytes)) * 100)} %`
            : WORDS[file.state]}
        </Box>
      </Box>
      {file.state === "sending" && (
        <LinearProgress
          aria-label={file.name}
          variant="determinate"
          value={(file.sent / Math.max(1, file.bytes)) * 100}
          sx={{ height: 3, mt: 0.5 }}
        />
      )}
      {file.reason !== "" && (
        <Box sx={{ typography: "body2", color: wrong ? ink.rust : ink.ink2 }}>{file.reason}</Box>
      )}
    </Box>
  );
}
