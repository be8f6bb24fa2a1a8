import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { useNavigate } from "react-router";
import type { Film, Output, Production, Sheet } from "../../api/client";
import {
  isOpen,
  useChecks,
  useMend,
  useOutputActions,
  useOutputs,
  useRelease,
  type Told,
} from "../../api/masters";
import { askLeave, mayAsk } from "../../api/masterNews";
import { useFilm } from "../../api/queries";
import { NotYet } from "../../parts/NotYet";
import { useRoomProduction } from "../../parts/useRoomProduction";
import { plural } from "../../parts/words";
import { fraunces, ink } from "../../theme";
import { Checks } from "./Checks";
import { OutputCard } from "./OutputCard";
import { OutputRow } from "./OutputRow";
import { Presets } from "./Presets";
import { Screenings } from "./Screenings";
import { SegmentStrip } from "./SegmentStrip";
import { SheetPanel } from "./SheetPanel";
import { useMasterKeys } from "./useMasterKeys";

/** What leaves: outputs, the checks before them, the release sheet. */
export function MasterRoom() {
  const production = useRoomProduction();
  const film = useFilm(production.id);
  const outputs = useOutputs(production.id);
  const release = useRelease(production.id, film.data?.revision ?? 0);
  const go = useNavigate();
  if (!film.data || !outputs.data || !release.data)
    return <NotYet what="The list of outputs" of={[film, outputs, release]} />;
  if (film.data.shots.length === 0)
    return (
      <Box sx={{ height: "100%", bgcolor: ink.sheet, p: 20 }}>
        <Box sx={{ ...fraunces, fontSize: 26, lineHeight: "36px", mb: 4 }}>
          There is no film to render yet.
        </Box>
        <Button
          variant="contained"
          color="primary"
          onClick={() => void go(`/productions/${production.id}/score`)}
        >
          Go to Score
        </Button>
      </Box>
    );
  return (
    <Leaving
      key={production.id}
      production={production}
      film={film.data}
      outputs={outputs.data}
      release={release.data}
    />
  );
}

interface Props {
  production: Production;
  film: Film;
  outputs: readonly Output[];
  release: Sheet;
}

function Leaving({ production, film, outputs, release }: Props) {
  const actions = useOutputActions(production.id);
  const { findings, looking, failed } = useChecks(production.id, film.revision);
  const mend = useMend(production.id);
  const [card, setCard] = useState<number | null>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  const [showing, setShowing] = useState(false);
  const [adding, setAdding] = useState(false);
  const [asks, setAsks] = useState(mayAsk());
  /** How often it was asked where rights are stated. */
  const [stating, setStating] = useState(0);
  const must = findings.filter((f) => f.verdict === "MUST");
  const look = findings.filter((f) => f.verdict === "LOOK");
  const putRight = (finding: Told, way: number) =>
    mend.mutate({ revision: film.revision, group: finding.group, key: finding.key, way });
  const renderTicked = () => actions.renderTicked.mutate();
  useMasterKeys({
    production,
    film,
    findings: [...must, ...look],
    chosen,
    onChoose: setChosen,
    onMend: putRight,
    onRender: renderTicked,
  });
  const shown = outputs.find((o) => o.id === card);
  const rendering = outputs.find((o) => o.master && o.pictures && isOpen(o.master.state));
  const open = outputs.filter((o) => o.master && isOpen(o.master.state)).length;
  const ticked = outputs.filter((o) => o.said.ticked).length;
  return (
    <Box sx={{ height: "100%", display: "flex" }}>
      {showing && <Screenings production={production} onClose={() => setShowing(false)} />}
      {adding && (
        <Presets
          first={outputs[0]?.said}
          onAdd={(said) => {
            setAdding(false);
            actions.add.mutate(said);
          }}
          onClose={() => setAdding(false)}
        />
      )}
      <Box
        sx={{ flex: 1, minWidth: 0, bgcolor: ink.sheet, display: "flex", flexDirection: "column" }}
      >
        <Box sx={{ display: "flex", alignItems: "center", gap: 3, px: 4, py: 2 }}>
          <Box component="h1" sx={{ typography: "h1", m: 0 }}>
            What will come out
          </Box>
          <Box sx={{ flex: 1, color: ink.ink2, whiteSpace: "nowrap" }}>
            {plural(outputs.length, "output")}, {ticked} ticked
          </Box>
          {must.length > 0 && (
            <Box sx={{ color: ink.rust }}>{plural(must.length, "thing")} must be put right</Box>
          )}
          <Button onClick={() => setShowing(true)}>Have others watch</Button>
          <Button onClick={() => setAdding(true)}>Add one</Button>
          <Button variant="contained" color="primary" onClick={renderTicked}>
            Render what is ticked
          </Button>
        </Box>
        <Box
          component="section"
          aria-label="Outputs"
          sx={{ flex: "0 1 auto", minHeight: 96, maxHeight: "46%", overflow: "auto" }}
        >
          {outputs.map((output) => (
            <OutputRow
              key={output.id}
              production={production}
              film={film}
              output={output}
              chosen={output.id === card}
              onChoose={() => setCard(output.id === card ? null : output.id)}
              onTick={(on) =>
                actions.change.mutate({ id: output.id, said: { ...output.said, ticked: on } })
              }
              onRender={() => actions.render.mutate(output.id)}
              onCancel={(master) => actions.cancel.mutate(master)}
              onFirst={(master) => actions.first.mutate(master)}
              onMeasure={() => actions.measure.mutate(output.id)}
              measuring={actions.measure.isPending && actions.measure.variables === output.id}
              waits={open > 1}
            />
          ))}
        </Box>
        {rendering && asks && (
          <Box sx={{ px: 4, color: ink.ink2 }}>
            <Button size="small" onClick={() => void askLeave().then(() => setAsks(mayAsk()))}>
              Tell me outside this window when it is made
            </Button>
          </Box>
        )}
        {rendering?.master && (
          <SegmentStrip
            production={production}
            film={film}
            output={rendering}
            master={rendering.master}
          />
        )}
        {failed && <Box sx={{ px: 4, color: ink.rust }}>{failed.message}</Box>}
        <Checks
          production={production}
          film={film}
          findings={findings}
          looking={looking}
          chosen={chosen}
          onChoose={setChosen}
          onMend={putRight}
          onRights={() => {
            setCard(null);
            setStating((n) => n + 1);
          }}
        />
      </Box>
      <Box
        sx={{
          width: 376,
          flex: "none",
          borderLeft: `1px solid ${ink.rule2}`,
          bgcolor: ink.paper,
          overflow: "auto",
        }}
      >
        {shown ? (
          <OutputCard
            key={shown.id}
            production={production}
            film={film}
            output={shown}
            onChange={(said) => actions.change.mutate({ id: shown.id, said })}
            onRemove={() => {
              setCard(null);
              actions.remove.mutate(shown.id);
            }}
            onRender={() => actions.render.mutate(shown.id)}
            onClose={() => setCard(null)}
          />
        ) : (
          <SheetPanel production={production} film={film} release={release} stating={stating} />
        )}
      </Box>
    </Box>
  );
}
