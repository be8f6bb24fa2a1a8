import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import { api, under, type Master, type Production } from "../../api/client";
import { useChange } from "../../api/queries";
import { fileSize } from "../../parts/words";
import { fraunces, ink } from "../../theme";
import { qualityName } from "./quality";

/** One master: what it is, how far it has come or what its check said, and its file. */
export function MasterRow({ master, production }: { master: Master; production: Production }) {
  const path = `${under(production.id)}/masters/${master.id}`;
  const cancel = useChange<void>(production.id, () =>
    api.POST("/api/productions/{productionId}/masters/{id}/cancel", {
      params: { path: { productionId: production.id, id: master.id } },
    }),
  );
  const open = ["WAITING", "RENDERING", "CHECKING"].includes(master.state);
  const rate = rateOf(master.rate);
  return (
    <Box
      component="article"
      aria-label={master.name}
      sx={{ px: 6, py: 5, borderBottom: `1px solid ${ink.rule}` }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 4 }}>
        <Box sx={{ flex: 1, minWidth: 0 }}>
          <Box
            sx={{
              ...fraunces,
              fontSize: 21,
              fontWeight: 500,
              lineHeight: "28px",
              overflow: "hidden",
              textOverflow: "ellipsis",
            }}
          >
            {master.name}
          </Box>
          <Box sx={{ color: ink.ink2 }}>
            {master.width}×{master.height}, {Number(rate.toFixed(3))} fps,{" "}
            {qualityName[master.quality]}, {(master.frames / rate).toFixed(1)} s,{" "}
            {new Date(master.createdAt).toLocaleString("en-GB", {
              dateStyle: "medium",
              timeStyle: "short",
            })}
          </Box>
        </Box>
        {open && <Button onClick={() => cancel.mutate()}>Cancel</Button>}
        {master.bytes !== null && (
          <Button variant="contained" color="primary" href={`${path}/file`} download>
            Download, {fileSize(master.bytes)}
          </Button>
        )}
      </Box>
      {open ? <Progress master={master} /> : <Outcome master={master} />}
    </Box>
  );
}

function Progress({ master }: { master: Master }) {
  const words =
    master.state === "WAITING"
      ? "Waiting its turn"
      : master.state === "CHECKING"
        ? "Checking every frame of the file"
        : `${master.framesDone} of ${master.frames} frames`;
  const left = master.secondsLeft;
  return (
    <Box sx={{ mt: 3 }} aria-live="polite">
      <LinearProgress
        aria-label={master.name}
        variant={master.state === "RENDERING" ? "determinate" : "indeterminate"}
        value={(master.framesDone / Math.max(1, master.frames)) * 100}
      />
      <Box sx={{ display: "flex", justifyContent: "space-between", mt: 1 }}>
        <span>{words}</span>
        <Box component="span" sx={{ color: ink.ink2 }}>
          {left !== null && master.state === "RENDERING" && `about ${timeLeft(left)} left`}
        </Box>
      </Box>
    </Box>
  );
}

function Outcome({ master }: { master: Master }) {
  const good = master.state === "DONE";
  const word = {
    DONE: "Checked",
    DOUBTFUL: "Look at this",
    FAILED: "Failed",
    CANCELLED: "Cancelled",
  }[master.state as "DONE" | "DOUBTFUL" | "FAILED" | "CANCELLED"];
  return (
    <Box sx={{ mt: 2, display: "flex", gap: 2, alignItems: "baseline" }}>
      <Box
        component="span"
        sx={{
          px: 2,
          borderRadius: "2px",
          fontWeight: 600,
          bgcolor: good ? ink.mossWash : master.state === "CANCELLED" ? ink.band : ink.rustWash,
          color: good ? ink.moss : master.state === "CANCELLED" ? ink.ink2 : ink.rust,
        }}
      >
        {word}
      </Box>
      <span>{master.message}</span>
    </Box>
  );
}

const timeLeft = (seconds: number) =>
  seconds < 60
    ? `${Math.ceil(seconds)} s`
    : `${Math.floor(seconds / 60)} min ${Math.round(seconds % 60)} s`;

/** Frames a second of a rate such as "24" or "24000/1001". */
export function rateOf(rate: string): number {
  const [frames, seconds] = rate.split("/").map(Number);
  return (frames ?? 24) / (seconds ?? 1);
}
