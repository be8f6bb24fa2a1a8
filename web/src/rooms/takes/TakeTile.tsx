import Box from "@mui/material/Box";
import { stripUrl, takeFrameUrl, type Film, type Production, type Take } from "../../api/client";
import { framingName } from "../../parts/words";
import { ink } from "../../theme";
import { faultName } from "./faults";
import { tileSize, type TileSize } from "./tile";

export interface TileProps {
  take: Take;
  production: Production;
  pick: boolean;
  chosen: boolean;
  compared: boolean;
  /** How far all takes of the row are played, 0 to 1, or null while they stand. */
  playing: number | null;
  dense: boolean;
  /** How wide the rows are, in pixels. */
  room: number;
  short: Film["problems"][number] | undefined;
  onChoose: (more: boolean) => void;
  onPick: () => void;
}

const STRIP = 24;
const STRIP_ROW = 8;

/** A take small: its picture, whether it is the pick, what is wrong with it. */
export function TakeTile(props: TileProps) {
  const { take, production, pick, chosen, compared, dense, short, onChoose, onPick } = props;
  const size = tileSize(production, dense, props.room);
  const wrong = take.facts?.troubles ?? [];
  const said = [...take.faults.map(faultName), ...(take.note ? [take.note] : [])];
  return (
    <Box
      component="button"
      data-take={take.id}
      aria-pressed={pick}
      aria-label={`Take ${take.number}${pick ? ", the pick" : ""}${take.rejected ? ", put aside" : ""}`}
      onClick={(e: React.MouseEvent) => onChoose(e.ctrlKey || e.metaKey || e.shiftKey)}
      onDoubleClick={onPick}
      onKeyDown={(e: React.KeyboardEvent) => {
        if (e.key === "Enter") {
          e.preventDefault();
          onPick();
        }
      }}
      onFocus={() => chosen || onChoose(false)}
      sx={{
        width: size.width,
        flex: "none",
        display: "flex",
        flexDirection: "column",
        alignItems: "stretch",
        alignSelf: "flex-start",
        p: 0,
        border: 0,
        bgcolor: "transparent",
        font: "inherit",
        color: ink.ink,
        textAlign: "left",
        cursor: "pointer",
      }}
    >
      {/* Pictures lie on neutral grey, which meets that of the next take. */}
      <Box sx={{ bgcolor: ink.well, mt: -2, mx: "-6px", pt: 2, px: "6px" }}>
        <Box
          sx={{
            height: size.height,
            bgcolor: "#6a6a6a",
            position: "relative",
            overflow: "hidden",
            boxShadow: pick
              ? `0 0 0 3px ${ink.thistle}`
              : chosen
                ? `0 0 0 2px ${ink.sheet}`
                : "none",
            "& > .seen": { opacity: take.rejected ? 0.42 : 1 },
          }}
        >
          <Picture {...props} size={size} />
          {compared && <Chip right>compared</Chip>}
          {short && <Chip wrong>{short.frames} f short in score</Chip>}
        </Box>
      </Box>
      <Box
        sx={{
          display: "flex",
          px: "5px",
          py: "1px",
          mx: pick ? "-3px" : 0,
          bgcolor: pick ? ink.thistle : chosen ? ink.sheet : "transparent",
          color: pick ? "#fff" : ink.ink,
          position: "relative",
          minHeight: 19,
          whiteSpace: "nowrap",
        }}
      >
        <Box sx={{ flex: 1 }}>
          <b>{take.number}</b> {take.state === "READY" && lengthAndRate(take, size.width < NARROW)}
        </Box>
        {pick && <b>pick</b>}
        {!pick && take.rejected && <b>aside</b>}
      </Box>
      {!dense && (
        <Box sx={{ px: "5px", typography: "body2", minHeight: 32 }}>
          {take.state === "REFUSED" ? (
            <Box sx={{ color: ink.rust }}>{take.reason}</Box>
          ) : said.length + wrong.length > 0 ? (
            <Box
              sx={{
                color: ink.rust,
                display: "-webkit-box",
                WebkitLineClamp: 2,
                overflow: "hidden",
              }}
              style={{ WebkitBoxOrient: "vertical" }}
              title={[...said, ...wrong].join("; ")}
            >
              {[...said, ...wrong].slice(0, MOST_SAID).join("; ")}
            </Box>
          ) : take.facts ? (
            <Box sx={{ color: ink.moss }}>{take.still ? "clean" : `${take.facts.move}, clean`}</Box>
          ) : take.state === "READY" ? (
            <Box sx={{ color: take.reason ? ink.rust : ink.ink2 }}>
              {take.reason ? "not measured" : "measuring"}
            </Box>
          ) : null}
          <Fitting take={take} production={production} />
        </Box>
      )}
    </Box>
  );
}

/** So much is said of a take on its tile, the worst first; the rest on its card. */
const MOST_SAID = 3;

/** On tiles narrower than this a take's own rate has no room; the panel at the side tells it. */
const NARROW = 96;

function lengthAndRate(take: Take, narrow: boolean) {
  if (take.still) return "still";
  return `${take.seconds.toFixed(1)} s${take.rate && !narrow ? `, ${take.rate} fps` : ""}`;
}

function Chip({
  children,
  wrong,
  right,
}: {
  children: React.ReactNode;
  wrong?: boolean;
  right?: boolean;
}) {
  return (
    <Box
      sx={{
        position: "absolute",
        ...(right ? { right: 4, top: 4 } : { left: 4, bottom: 4 }),
        px: 1,
        fontSize: 12,
        fontWeight: 600,
        color: "#fff",
        bgcolor: wrong ? ink.rust : ink.ink,
        borderRadius: "2px",
      }}
    >
      {children}
    </Box>
  );
}

function Picture({ take, production, playing, size }: TileProps & { size: TileSize }) {
  if (take.state !== "READY") {
    const done = Math.floor((take.framesDone / Math.max(1, take.frames)) * 100);
    return (
      <Box
        sx={{ height: "100%", display: "grid", placeItems: "center", color: "#fff", fontSize: 12 }}
      >
        {take.state === "PREPARING" ? `preparing ${done} %` : "not usable"}
      </Box>
    );
  }
  return (
    <>
      <img
        className="seen"
        src={takeFrameUrl(production.id, take.id, take.frames * 0.4, 2 * size.height)}
        alt=""
        loading="lazy"
        draggable={false}
        style={{ width: "100%", height: "100%", objectFit: "contain", display: "block" }}
      />
      {playing !== null && !take.still && (
        <Playing take={take} production={production} part={playing} size={size} />
      )}
    </>
  );
}

/** A take played small over its still: one picture of its strip after the other. */
function Playing({
  take,
  production,
  part,
  size,
}: {
  take: Take;
  production: Production;
  part: number;
  size: TileSize;
}) {
  const at = Math.min(STRIP - 1, Math.floor(part * STRIP));
  const scale = Math.min(size.width / take.width, size.height / take.height);
  const [width, height] = [take.width * scale, take.height * scale];
  return (
    <div
      className="seen"
      style={{
        position: "absolute",
        top: (size.height - height) / 2,
        left: (size.width - width) / 2,
        width,
        height,
        pointerEvents: "none",
        backgroundImage: `url(${stripUrl(production.id, take.id)})`,
        backgroundSize: `${width * STRIP_ROW}px ${(height * STRIP) / STRIP_ROW}px`,
        backgroundPosition: `-${(at % STRIP_ROW) * width}px -${Math.floor(at / STRIP_ROW) * height}px`,
      }}
    />
  );
}

/** What will be done to it to fit the film, if anything. */
function Fitting({ take, production }: { take: Take; production: Production }) {
  if (take.state === "REFUSED") return null;
  const plain = take.framing === "FILL" && take.loss < 0.005;
  if (plain && !take.otherRate) return null;
  return (
    <Box sx={{ color: ink.ink2 }}>
      {!plain && `${take.width}×${take.height}, ${framingName[take.framing]}`}
      {take.framing === "FILL" && !plain && ` −${Math.round(take.loss * 100)} %`}
      {!plain && take.otherRate && ", "}
      {take.otherRate &&
        `${take.variableRate ? "variable rate" : take.rate} to ${Number(production.framesPerSecond.toFixed(3))} by time`}
    </Box>
  );
}
