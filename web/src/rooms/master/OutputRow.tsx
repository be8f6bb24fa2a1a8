import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ButtonBase from "@mui/material/ButtonBase";
import Checkbox from "@mui/material/Checkbox";
import LinearProgress from "@mui/material/LinearProgress";
import Link from "@mui/material/Link";
import {
  inShape,
  stillUrl,
  under,
  type Film,
  type Master,
  type Output,
  type Production,
} from "../../api/client";
import { isOpen } from "../../api/masters";
import { fileSize, plural } from "../../parts/words";
import { fraunces, ink } from "../../theme";
import { qualityName, rateOf, timeLeft } from "./quality";

interface Props {
  production: Production;
  film: Film;
  output: Output;
  chosen: boolean;
  onChoose: () => void;
  onTick: (ticked: boolean) => void;
  onRender: () => void;
  onCancel: (master: number) => void;
  onFirst: (master: number) => void;
  onMeasure: () => void;
  /** Whether it is being measured. */
  measuring: boolean;
  /** Whether another output is being made, too. */
  waits: boolean;
}

/** One output: what it is, what of the film, how large, and how far it has come. */
export function OutputRow(props: Props) {
  const { production, film, output, chosen, onChoose, onTick } = props;
  const { said, master } = output;
  const open = master !== null && isOpen(master.state);
  return (
    <Box
      component="article"
      aria-label={output.called}
      sx={{
        px: 4,
        py: 1,
        borderTop: `1px solid ${ink.rule}`,
        bgcolor: chosen ? ink.thistleWash : "transparent",
      }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 3, minHeight: 40 }}>
        <Checkbox
          size="small"
          checked={said.ticked}
          slotProps={{ input: { "aria-label": `render ${output.called}` } }}
          onChange={(e) => onTick(e.target.checked)}
          sx={{ p: 0 }}
        />
        <Picture production={production} film={film} output={output} />
        <ButtonBase
          aria-pressed={chosen}
          aria-label={`${output.called}, change it`}
          onClick={onChoose}
          sx={{ width: 200, flex: "none", display: "block", textAlign: "left", font: "inherit" }}
        >
          <Box
            sx={{
              ...fraunces,
              fontSize: 16,
              fontWeight: 500,
              lineHeight: "20px",
              overflow: "hidden",
              textOverflow: "ellipsis",
              whiteSpace: "nowrap",
            }}
          >
            {output.called}
          </Box>
          <Box sx={{ color: ink.ink2, lineHeight: "18px", whiteSpace: "nowrap" }}>
            {describe(output, production)}
          </Box>
        </ButtonBase>
        <Box sx={{ flex: 1, minWidth: 0, color: ink.ink2, lineHeight: "18px" }}>
          {output.label}
          {output.part !== "the whole film" && <Box>{output.part}</Box>}
        </Box>
        <PartBar film={film} output={output} />
        <Box sx={{ width: 66, flex: "none", textAlign: "right" }}>
          <Size {...props} />
        </Box>
        <Box sx={{ width: 216, flex: "none", textAlign: "right" }}>
          <State {...props} />
        </Box>
      </Box>
      {master && !open && <Outcome master={master} output={output} />}
      {output.fault !== null && <Box sx={{ color: ink.rust, pl: 26.5 }}>{output.fault}</Box>}
    </Box>
  );
}

function Picture({ production, film, output }: Pick<Props, "production" | "film" | "output">) {
  if (!output.pictures || output.fault !== null)
    return (
      <Box
        aria-hidden
        sx={{
          width: 64,
          height: 36,
          flex: "none",
          display: "grid",
          placeItems: "center",
          bgcolor: ink.band,
          color: ink.ink2,
          fontSize: 12,
        }}
      >
        {output.sound ? "sound" : "words"}
      </Box>
    );
  const own = output.said.shape === null || output.said.shape === film.shapes[0]?.name;
  return (
    <Box sx={{ width: 64, height: 36, flex: "none", display: "grid", placeItems: "center" }}>
      <img
        src={stillUrl(
          production.id,
          inShape(film.revision, own ? null : output.said.shape),
          Math.floor((output.start + output.end) / 2),
        )}
        alt=""
        style={{ maxWidth: 64, maxHeight: 36 }}
      />
    </Box>
  );
}

function describe(output: Output, production: Production): string {
  const { said } = output;
  const seconds = `${((output.end - output.start) / production.framesPerSecond).toFixed(1)} s`;
  if (!output.pictures) return seconds;
  const rate = Number(rateOf(said.rate ?? production.rate).toFixed(3));
  const quality = said.megabytes === null ? `, ${qualityName[said.quality]}` : "";
  return `${output.width}×${output.height}, ${rate} fps${quality}`;
}

/** How large its file is or will be; where nothing tells, a few seconds of it can. */
function Size({ output, onMeasure, measuring }: Props) {
  if (measuring) return <Box sx={{ color: ink.ink2 }}>measuring</Box>;
  const size = sizeOf(output);
  const making = output.master !== null && isOpen(output.master.state);
  if (size !== "" || !output.measurable || making) return <>{size}</>;
  return (
    <Button size="small" title="Makes a few seconds of it, which are kept" onClick={onMeasure}>
      Size?
    </Button>
  );
}

const sizeOf = (output: Output) =>
  output.master?.bytes && !output.stale
    ? fileSize(output.master.bytes)
    : output.bytes === null
      ? ""
      : `${output.said.megabytes !== null && !output.sound ? "≤" : "≈"} ${fileSize(output.bytes)}`;

/** Where in the film it lies. */
function PartBar({ film, output }: { film: Film; output: Output }) {
  const share = (frame: number) => `${(100 * frame) / Math.max(1, film.length)}%`;
  return (
    <Box
      role="img"
      aria-label={`frames ${output.start} to ${output.end} of ${film.length}`}
      sx={{ width: 84, height: 6, flex: "none", bgcolor: ink.band, position: "relative" }}
    >
      <Box
        sx={{
          position: "absolute",
          inset: 0,
          left: share(output.start),
          right: share(film.length - output.end),
          bgcolor: output.said.ticked ? ink.waveBody : ink.rule2,
        }}
      />
    </Box>
  );
}

function State({ production, output, onRender, onCancel, onFirst, waits }: Props) {
  const { master } = output;
  if (master && isOpen(master.state))
    return (
      <Box sx={{ display: "flex", alignItems: "center", gap: 2 }} aria-live="polite">
        <Box sx={{ flex: 1, minWidth: 0 }}>
          <LinearProgress
            aria-label={`${output.called}, rendering`}
            variant={
              master.state === "RENDERING" || isBeingWritten(master)
                ? "determinate"
                : "indeterminate"
            }
            value={percent(
              isBeingWritten(master) ? master.framesWritten : master.framesDone,
              master,
            )}
          />
          <Box sx={{ lineHeight: "18px", color: ink.ink2, whiteSpace: "nowrap" }}>
            {progressOf(master)}
          </Box>
        </Box>
        {waits && master.state !== "CHECKING" && (
          <Button
            size="small"
            sx={{ flex: "none" }}
            title="Before all others that wait"
            onClick={() => onFirst(master.id)}
          >
            First
          </Button>
        )}
        <Button size="small" sx={{ flex: "none" }} onClick={() => onCancel(master.id)}>
          Stop
        </Button>
      </Box>
    );
  if (master && master.bytes !== null && !output.stale)
    return (
      <Link
        href={`${under(production.id)}/masters/${master.id}/file`}
        download
        sx={{ fontWeight: 600 }}
      >
        Download
      </Link>
    );
  if (output.fault !== null) return <span />;
  return (
    <Button size="small" onClick={onRender}>
      {output.stale ? "Render again" : "Render it"}
    </Button>
  );
}

const percent = (frames: number, master: Master) =>
  Math.min(100, Math.round((frames / Math.max(1, master.frames)) * 100));

/** Whether its frames, which are drawn, are being encoded into its file. */
const isBeingWritten = (master: Master) =>
  master.state === "CHECKING" &&
  master.framesWritten > 0 &&
  percent(master.framesWritten, master) < 100;

function progressOf(master: Master): string {
  if (master.state === "WAITING") return "waiting its turn";
  if (isBeingWritten(master)) return `drawn; writing, ${percent(master.framesWritten, master)} %`;
  if (master.state === "CHECKING") return "writing and checking";
  const left = master.secondsLeft === null ? "" : `, ${timeLeft(master.secondsLeft)}`;
  return `${master.framesDone} of ${master.frames} frames${left}`;
}

const WORD: Partial<Record<Master["state"], string>> = {
  DONE: "Checked",
  DOUBTFUL: "Look at this",
  FAILED: "Failed",
  CANCELLED: "Stopped",
};

/** Whether its file is read back and checked: captions are written from what is checked before. */
const isReadBack = ({ encoding }: Master) => encoding !== "CAPTIONS";

function Outcome({ master, output }: { master: Master; output: Output }) {
  const { stale } = output;
  const good = master.state === "DONE";
  const quiet = stale || master.state === "CANCELLED";
  return (
    <Box
      title={master.message ?? ""}
      sx={{
        pl: 26.5,
        color: ink.ink2,
        lineHeight: "18px",
        whiteSpace: "nowrap",
        overflow: "hidden",
        textOverflow: "ellipsis",
      }}
    >
      <Box
        component="span"
        sx={{
          px: 1.5,
          mr: 1.5,
          borderRadius: "2px",
          fontWeight: 600,
          bgcolor: quiet ? ink.band : good ? ink.mossWash : ink.rustWash,
          color: quiet ? ink.ink2 : good ? ink.moss : ink.rust,
        }}
      >
        {good && !isReadBack(master) ? "Made" : WORD[master.state]}
      </Box>
      {stale && "The film has changed since. "}
      {stale &&
        output.segments > 0 &&
        `${output.toRender} of ${plural(output.segments, "segment")} to render. `}
      {master.message}
    </Box>
  );
}
