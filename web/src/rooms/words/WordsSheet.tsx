import Box from "@mui/material/Box";
import { useMemo, useRef, useState, type PointerEvent } from "react";
import type { Film, Production, Title, Words } from "../../api/client";
import { useSize } from "../../parts/useSize";
import { useRoom } from "../../store";
import { face, ink } from "../../theme";
import { catches, freeAt, nearest, type Caught } from "../mix/moments";
import { PictureBand } from "../score/PictureBand";
import { PlayheadLine } from "../score/PlayheadLine";
import { bandOf } from "../score/band";
import { SHEET, type Ruler } from "../score/layout";
import { goTo } from "../score/playing";
import { shotsOn } from "../score/staves";
import { useRulers } from "../score/useRulers";
import { PARTS, ROWS } from "./parts";
import { nameOf } from "./titles";
import type { WordsActions } from "./useWordsActions";

/** About how wide a letter of a title's name is, in pixels. */
const NAME_LETTER = 7;

interface Props {
  production: Production;
  film: Film;
  words: Words;
  chosen: string | null;
  caption: number | null;
  onTitle: (id: string | null) => void;
  onCaption: (at: number) => void;
  actions: WordsActions;
}

type Drag =
  | { kind: "seek" }
  | {
      kind: "title";
      id: string;
      fromX: number;
      /** What it can be caught by. */
      all: readonly Caught[];
      moved: boolean;
    };

const REACH = 8;

/** The film on low staves: titles ramp up to where they land, captions are boxes. */
export function WordsSheet(props: Props) {
  const { production, film, words, onTitle, onCaption, actions } = props;
  const [box, size] = useSize("words", { width: 688, height: 280 });
  const fps = production.framesPerSecond;
  const wish = useRoom((s) => s.barsPerLine);
  const { rulers } = useRulers(film, fps, wish, size.width);
  const surface = useRef<HTMLDivElement>(null);
  const drag = useRef<Drag | null>(null);
  const [moving, setMoving] = useState<{ id: string; frame: number } | null>(null);
  const titles = useMemo(
    () => words.titles.map((t) => (moving?.id === t.id ? landed(t, moving.frame) : t)),
    [words.titles, moving],
  );

  const locate = (e: PointerEvent) => {
    const edge = surface.current?.getBoundingClientRect();
    const x = e.clientX - (edge?.left ?? 0);
    const y = e.clientY - (edge?.top ?? 0);
    const line = Math.max(0, Math.min(rulers.length - 1, Math.floor(y / ROWS.height)));
    const ruler = rulers[line];
    return ruler ? { ruler, x, y: y - line * ROWS.height } : null;
  };
  const down = (e: PointerEvent) => {
    const at = locate(e);
    if (!at || e.button !== 0) return;
    surface.current?.setPointerCapture(e.pointerId);
    const frame = at.ruler.frame(at.x);
    if (at.y < ROWS.caption - 2) {
      const title = titles.find(
        ({ place }) => place != null && frame >= place.start - 2 && frame < place.end + 2,
      );
      if (title) {
        onTitle(title.id);
        drag.current = {
          kind: "title",
          id: title.id,
          fromX: e.clientX,
          all: catches(film, title.id),
          moved: false,
        };
        return;
      }
    } else if (at.y < ROWS.picture - 2) {
      const one = words.captions.captions.findIndex((c) => frame >= c.start && frame < c.end);
      if (one >= 0) {
        onCaption(one);
        return;
      }
    }
    drag.current = { kind: "seek" };
    goTo(film, Math.floor(frame));
  };
  const move = (e: PointerEvent) => {
    const at = locate(e);
    const now = drag.current;
    if (!at || !now) return;
    const frame = at.ruler.frame(at.x);
    if (now.kind === "seek") {
      goTo(film, Math.floor(frame));
    } else {
      now.moved ||= Math.abs(e.clientX - now.fromX) > 4;
      if (now.moved) {
        const reach = at.ruler.frame(at.x + REACH) - frame;
        const caught = e.altKey ? null : nearest(now.all, frame, reach);
        setMoving({ id: now.id, frame: Math.round(caught?.frame ?? frame) });
      }
    }
  };
  const up = (e: PointerEvent) => {
    const now = drag.current;
    drag.current = null;
    const title = words.titles.find((t) => t.id === moving?.id);
    if (now?.kind === "title" && now.moved && moving && title) {
      const caught = e.altKey ? null : nearest(now.all, moving.frame, 0.6);
      actions.land(title, caught?.tie ?? freeAt(moving.frame));
    }
    setMoving(null);
  };

  return (
    <Box
      ref={box}
      role="region"
      aria-label="staves"
      tabIndex={0}
      sx={{ flex: 1, minHeight: 0, overflow: "hidden auto", bgcolor: ink.sheet }}
    >
      <div
        ref={surface}
        role="group"
        aria-label="Words over the film"
        style={{
          position: "relative",
          height: rulers.length * ROWS.height + 2,
          touchAction: "none",
          userSelect: "none",
        }}
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={up}
        onPointerCancel={() => {
          drag.current = null;
          setMoving(null);
        }}
      >
        {rulers.map((ruler, i) => (
          <Stave
            key={ruler.stave.index}
            {...props}
            titles={titles}
            ruler={ruler}
            top={i * ROWS.height}
            width={size.width}
            isLast={i === rulers.length - 1}
          />
        ))}
      </div>
    </Box>
  );
}

/** A title as it would land at a frame. */
function landed(title: Title, frame: number): Title {
  if (!title.place) return title;
  const by = frame - title.place.landing;
  const { start, landing, end } = title.place;
  return { ...title, place: { start: start + by, landing: landing + by, end: end + by } };
}

function Stave(
  props: Props & {
    titles: readonly Title[];
    ruler: Ruler;
    top: number;
    width: number;
    isLast: boolean;
  },
) {
  const { production, film, words, titles, ruler, top, width, isLast, chosen, caption } = props;
  const { stave } = ruler;
  const shots = shotsOn(film, stave);
  const clamp = (frame: number) => ruler.x(Math.max(stave.start, Math.min(stave.end, frame)));
  const rows: [string, number][] = [
    ["titles", ROWS.titleEnd - 2],
    ["captions", ROWS.captionEnd - 3],
    ["picture", ROWS.pictureEnd - 7],
  ];
  return (
    <div style={{ position: "absolute", left: 0, top, width, height: ROWS.height }}>
      <PictureBand
        band={bandOf(shots, () => false, ruler, PARTS, production, film)}
        top={ROWS.picture}
        width={width}
      />
      <svg
        width={width}
        height={ROWS.height}
        style={{ position: "absolute", left: 0, top: 0, overflow: "visible" }}
        fontFamily={face.sans}
        fontSize={12}
      >
        <path
          d={stave.bars.map(({ frame }) => `M${ruler.x(frame)} 14V${ROWS.picture}`).join("")}
          stroke={ink.rule}
        />
        <g fill={ink.ink3}>
          {stave.bars.map((bar, i) => (
            <text
              key={bar.frame}
              x={ruler.x(bar.frame) + 4}
              y={ROWS.number + 2}
              fontWeight={i === 0 ? 600 : undefined}
              fill={i === 0 ? ink.ink : undefined}
            >
              {bar.label}
            </text>
          ))}
        </g>
        <g fill={ink.ink2} textAnchor="end">
          {rows.map(([name, y]) => (
            <text key={name} x={SHEET.labels.to} y={y}>
              {name}
            </text>
          ))}
        </g>
        <line x1={SHEET.lead} x2={SHEET.lead} y1={18} y2={ROWS.pictureEnd} stroke={ink.ink} />
        {titles.map((title) => {
          const { place } = title;
          if (!place || place.end <= stave.start || place.start >= stave.end) return null;
          const isChosen = title.id === chosen;
          const lands = place.landing >= stave.start && place.landing < stave.end;
          const from = clamp(place.start);
          const at = clamp(place.landing);
          const to = clamp(place.end);
          const colour = isChosen ? ink.thistle : ink.ink2;
          return (
            <g key={title.id}>
              <path
                d={`M${from} ${ROWS.titleEnd}L${at} ${ROWS.title}H${to}V${ROWS.titleEnd}Z`}
                fill={isChosen ? ink.thistleWash : ink.band}
                stroke={colour}
              />
              {lands && (
                <path
                  d={`M${at} ${ROWS.title}v-5m-3 -3a3 3 0 1 0 6 0a3 3 0 1 0 -6 0`}
                  fill="none"
                  stroke={colour}
                  strokeWidth={1.5}
                />
              )}
            </g>
          );
        })}
        {titles.map((title) => {
          const { place } = title;
          if (!place || place.landing < stave.start || place.landing >= stave.end) return null;
          const name = nameOf(title);
          const long = name.length * NAME_LETTER;
          const at = clamp(place.landing);
          const to = clamp(place.end);
          const inside = to - at > long + 8;
          return (
            <text
              key={title.id}
              x={inside ? at + 6 : Math.min(to + 5, width - 8 - long)}
              y={ROWS.titleEnd - 1}
              fontFamily={face.serif}
              fontSize={13}
              fontWeight={500}
              fill={title.id === chosen ? ink.thistleDeep : ink.ink}
              {...(inside ? {} : { stroke: ink.sheet, strokeWidth: 3, paintOrder: "stroke" })}
            >
              {name}
            </text>
          );
        })}
        {words.captions.captions.map((one, i) => {
          if (one.end <= stave.start || one.start >= stave.end) return null;
          const from = clamp(one.start);
          const long = Math.max(2, clamp(one.end) - from);
          const text = one.lines.join(" ");
          const room = Math.floor((long - 6) / 5.6);
          const wrong = one.faults.length > 0;
          return (
            <g key={one.start}>
              <rect
                x={from}
                y={ROWS.caption}
                width={long}
                height={ROWS.captionEnd - ROWS.caption}
                rx={2}
                fill={i === caption ? ink.thistleWash : wrong ? ink.rustWash : ink.band}
                stroke={i === caption ? ink.thistle : wrong ? ink.rust : ink.rule2}
              />
              <text
                x={from + 4}
                y={ROWS.captionEnd - 3}
                fontSize={12}
                fill={wrong ? ink.rust : ink.ink}
              >
                {room < 3
                  ? ""
                  : room >= text.length
                    ? text
                    : `${text.slice(0, room - 1).trimEnd()}…`}
              </text>
            </g>
          );
        })}
        <PlayheadLine ruler={ruler} parts={PARTS} isLast={isLast} />
      </svg>
    </div>
  );
}
