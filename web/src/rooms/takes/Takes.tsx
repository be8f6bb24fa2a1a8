import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useVirtualizer } from "@tanstack/react-virtual";
import { useCallback, useMemo, useRef, useState } from "react";
import { useSearchParams } from "react-router";
import { api, type Material, type Shot, type Take } from "../../api/client";
import { useChange, useFilm, useMaterial, useSetPick } from "../../api/queries";
import { BringInButtons } from "../../parts/BringInButtons";
import { useKeys } from "../../parts/keys";
import { plural } from "../../parts/words";
import { NotYet } from "../../parts/NotYet";
import { useSize } from "../../parts/useSize";
import { useRoomProduction } from "../../parts/useRoomProduction";
import { fraunces, ink } from "../../theme";
import { ArrivalsPanel } from "./ArrivalsPanel";
import { AskPanel } from "./AskPanel";
import { Compare } from "./Compare";
import { FAULTS } from "./faults";
import { Ledger } from "./Ledger";
import { Rail } from "./Rail";
import { ShotRow } from "./ShotRow";
import { TakePanel } from "./TakePanel";
import { SIDE, tileSize } from "./tile";
import { useJudge } from "./useJudge";

type Show = "all" | "notes";
type Side = "take" | "asked" | "ledger";
const MOST_COMPARED = 4;

/** The takes of every shot: which is the pick, what each is, what is right and wrong with it. */
export function Takes() {
  const production = useRoomProduction();
  const id = production.id;
  const reading = useMaterial(id);
  const material = reading.data;
  const film = useFilm(id).data;
  const [search] = useSearchParams();
  const [chosen, setChosen] = useState<number | null>(() => Number(search.get("take")) || null);
  const [compared, setCompared] = useState<readonly number[]>([]);
  const [comparing, setComparing] = useState(false);
  const [show, setShow] = useState<Show>("all");
  const [dense, setDense] = useState(false);
  const [playAll, setPlayAll] = useState(false);
  const [side, setSide] = useState<Side>("take");
  const setPick = useSetPick(id);
  const judge = useJudge(id);
  const scroller = useRef<HTMLDivElement | null>(null);
  const [measured, room] = useSize("takes", { width: 856, height: 700 });
  const scrolls = useCallback(
    (element: HTMLDivElement | null) => {
      scroller.current = element;
      measured(element);
    },
    [measured],
  );

  const all = useMemo(() => material?.shots ?? [], [material]);
  const noted = all.filter(hasNote);
  const shots = show === "notes" ? noted : all;
  const current = useMemo(() => found(material, chosen), [material, chosen]);
  // The rows' places are read anew with each drawing; nothing of them is remembered here.
  // eslint-disable-next-line react-hooks/incompatible-library
  const rows = useVirtualizer({
    count: shots.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => tileSize(production, dense, room.width).height + (dense ? 30 : 70),
    getItemKey: (index) => shots[index]?.id ?? index,
    overscan: 3,
  });

  const pick = async (shot: Shot, take: Take) => {
    setChosen(take.id);
    if (take.state !== "READY" || shot.pick === take.id) return;
    await setPick.mutateAsync({ shot: shot.id, take: take.id });
  };

  const compare = (take: number) =>
    setCompared((c) =>
      c.includes(take) ? c.filter((x) => x !== take) : [...c, take].slice(-MOST_COMPARED),
    );

  const go = (shot: number, take: number) => {
    const to = shots[Math.max(0, Math.min(shots.length - 1, shot))];
    if (!to) return;
    rows.scrollToIndex(shots.indexOf(to));
    const chosenTake = to.takes[Math.max(0, Math.min(to.takes.length - 1, take))];
    if (chosenTake) setChosen(chosenTake.id);
  };

  const row = current ? shots.findIndex((s) => s.id === current.shot.id) : -1;
  const column = current ? current.shot.takes.indexOf(current.take) : 0;
  const onTake = (act: (take: Take) => void) => () => {
    if (!current) return false;
    act(current.take);
    return true;
  };
  useKeys([
    {
      name: "Takes",
      keys: [
        {
          shown: "← → ↑ ↓",
          says: "go from take to take",
          acts: {
            ArrowDown: () => go(row + 1, column),
            ArrowUp: () => go(row - 1, column),
            ArrowRight: () => go(Math.max(0, row), column + 1),
            ArrowLeft: () => go(Math.max(0, row), column - 1),
          },
        },
        { shown: "Enter", says: "make it the pick" },
        {
          shown: "R",
          says: "put it aside, take it back",
          acts: { R: onTake((take) => judge.reject(take, !take.rejected)) },
        },
        {
          shown: "V",
          says: "add to what is compared, take it out",
          acts: { V: onTake((take) => compare(take.id)) },
        },
        {
          shown: "1 to 6",
          says: "say a fault: move, limbs, face, lettering, look, other",
          acts: Object.fromEntries(
            FAULTS.map(([fault], i) => [
              String(i + 1),
              onTake((take) => judge.toggleFault(take, fault)),
            ]),
          ),
        },
      ],
    },
  ]);

  const comparedTakes = compared
    .map((t) => found(material, t))
    .filter((x): x is { shot: Shot; take: Take } => x !== null);

  if (!material) return <NotYet what="The list of takes" of={[reading]} />;
  return (
    <Box sx={{ display: "flex", height: "100%" }}>
      {all.length > 0 && (
        <Rail shots={all} onGo={(shot) => rows.scrollToIndex(shots.indexOf(shot))} />
      )}
      <Box
        sx={{ flex: 1, minWidth: 0, display: "flex", flexDirection: "column", bgcolor: ink.sheet }}
      >
        <Box
          sx={{
            minHeight: 42,
            px: 4,
            display: "flex",
            alignItems: "center",
            gap: 2,
            borderBottom: `1px solid ${ink.rule}`,
          }}
        >
          {noted.length > 0 && (
            <ToggleButtonGroup
              exclusive
              value={show}
              aria-label="Show"
              onChange={(_, to: Show | null) => to && setShow(to)}
            >
              <ToggleButton value="all">all {plural(all.length, "shot")}</ToggleButton>
              <ToggleButton value="notes">to look at {noted.length}</ToggleButton>
            </ToggleButtonGroup>
          )}
          {all.length > 0 && (
            <>
              <ToggleButton value="dense" selected={dense} onChange={() => setDense(!dense)}>
                dense
              </ToggleButton>
              <ToggleButton value="play" selected={playAll} onChange={() => setPlayAll(!playAll)}>
                play all
              </ToggleButton>
            </>
          )}
          {comparedTakes.length > 1 && (
            <Button variant="contained" color="primary" onClick={() => setComparing(true)}>
              Compare {comparedTakes.length}
            </Button>
          )}
          <Numbers material={material} />
          <Box sx={{ flex: 1 }} />
          {all.length > 0 && <BringInButtons />}
        </Box>
        <Refusals material={material} id={id} />
        <Box ref={scrolls} sx={{ flex: 1, overflow: "auto" }} data-testid="shots">
          {all.length === 0 && <Empty />}
          <div style={{ height: rows.getTotalSize(), position: "relative" }}>
            {rows.getVirtualItems().map((row) => {
              const shot = shots[row.index];
              if (!shot) return null;
              return (
                <div
                  key={row.key}
                  data-index={row.index}
                  ref={rows.measureElement}
                  style={{
                    position: "absolute",
                    top: 0,
                    left: 0,
                    right: 0,
                    transform: `translateY(${row.start}px)`,
                  }}
                >
                  <ShotRow
                    shot={shot}
                    production={production}
                    chosen={chosen}
                    compared={compared}
                    dense={dense}
                    room={room.width}
                    playAll={playAll}
                    short={film?.problems.find(
                      (p) =>
                        p.kind === "OUT_OF_MATERIAL" && film.shots[p.place]?.shotId === shot.id,
                    )}
                    onChoose={(take, more) => {
                      setChosen(take.id);
                      setSide("take");
                      if (more) compare(take.id);
                    }}
                    onPick={(take) => void pick(shot, take)}
                  />
                </div>
              );
            })}
          </div>
        </Box>
      </Box>
      <Box
        sx={{
          width: SIDE,
          flex: "none",
          borderLeft: `1px solid ${ink.rule2}`,
          bgcolor: ink.paper,
          overflow: "auto",
        }}
      >
        <ArrivalsPanel />
        {all.length > 0 && (
          <Box sx={{ px: 4, pt: "8px", pb: 1 }}>
            <ToggleButtonGroup
              exclusive
              value={side}
              aria-label="At the side"
              onChange={(_, to: Side | null) => to && setSide(to)}
            >
              <ToggleButton value="take">Take</ToggleButton>
              <ToggleButton value="asked">Ask for takes</ToggleButton>
              <ToggleButton value="ledger">Ledger</ToggleButton>
            </ToggleButtonGroup>
          </Box>
        )}
        {side === "asked" && (
          <AskPanel production={production} shots={all} current={current?.shot ?? null} />
        )}
        {side === "ledger" && <Ledger production={production} />}
        {side === "take" && current && (
          <TakePanel
            key={current.take.id}
            production={production}
            shot={current.shot}
            take={current.take}
            shots={all}
            judge={judge}
            onPick={() => void pick(current.shot, current.take)}
          />
        )}
        {side === "take" && !current && all.length > 0 && (
          <Box sx={{ p: 4, color: ink.ink2 }}>
            Choose a take to look through it and read what was measured. Press Enter on a take, or
            double-click it, to make it the pick; V adds it to what is compared; R puts it aside; 1
            to 6 say what is wrong.
          </Box>
        )}
      </Box>
      {comparing && comparedTakes.length > 1 && (
        <Compare
          production={production}
          takes={comparedTakes}
          onPick={(shot, take) => void pick(shot, take)}
          onClose={() => setComparing(false)}
        />
      )}
    </Box>
  );
}

/** Whether something about the shot should be looked at. */
function hasNote(shot: Shot): boolean {
  const pick = shot.takes.find((t) => t.id === shot.pick);
  return (
    shot.takes.length === 0 ||
    shot.takes.some((t) => t.state === "REFUSED") ||
    (pick !== undefined &&
      (pick.rejected || pick.faults.length > 0 || (pick.facts?.troubles.length ?? 0) > 0)) ||
    shot.takes.some((t) => t.framing !== "FILL" || t.loss > 0.001 || t.otherRate)
  );
}

function found(material: Material | undefined, take: number | null) {
  for (const shot of material?.shots ?? []) {
    const it = shot.takes.find((t) => t.id === take);
    if (it) return { shot, take: it };
  }
  return null;
}

function Numbers({ material }: { material: Material | undefined }) {
  if (!material || material.missing.length + material.doubled.length === 0) return null;
  return (
    <Box sx={{ color: ink.rust, minWidth: 0 }} role="status">
      {material.missing.length > 0 && <span>Missing: {material.missing.join(", ")}. </span>}
      {material.doubled.length > 0 && <span>Twice: {material.doubled.join(", ")}.</span>}
    </Box>
  );
}

function Refusals({ material, id }: { material: Material | undefined; id: number }) {
  const dismiss = useChange<void>(id, () =>
    api.DELETE("/api/productions/{productionId}/refusals", {
      params: { path: { productionId: id } },
    }),
  );
  const refusals = material?.refusals ?? [];
  if (refusals.length === 0) return null;
  return (
    <Box
      role="alert"
      sx={{
        px: 4,
        py: 2,
        bgcolor: ink.rustWash,
        borderBottom: `1px solid ${ink.rust}`,
        display: "flex",
        gap: 4,
      }}
    >
      <Box
        role="group"
        aria-label="files not taken"
        tabIndex={0}
        sx={{ flex: 1, maxHeight: 110, overflow: "auto" }}
      >
        <Box sx={{ fontWeight: 600 }}>{plural(refusals.length, "file")} not taken</Box>
        {refusals.map((r) => (
          <Box key={r.id}>
            <b>{r.fileName}</b>: {r.reason}
          </Box>
        ))}
      </Box>
      <Button onClick={() => dismiss.mutate()} sx={{ alignSelf: "start" }}>
        Clear the list
      </Button>
    </Box>
  );
}

function Empty() {
  return (
    <Box sx={{ p: 20, maxWidth: 640 }}>
      <Box sx={{ ...fraunces, fontSize: 26, lineHeight: "36px", mb: 3 }}>No clips yet.</Box>
      <Box sx={{ fontSize: 15, lineHeight: "22px", color: ink.ink2, mb: 5 }}>
        Drop a folder of clips and a song anywhere on this page. Names such as “shot_010_take2.mp4”
        or “3b.mp4” sort themselves into shots and takes; you can correct any of it. Or write the
        shots down in Story and ask services for their takes.
      </Box>
      <BringInButtons strong />
    </Box>
  );
}
