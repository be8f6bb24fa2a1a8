import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import MenuItem from "@mui/material/MenuItem";
import Select from "@mui/material/Select";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useState } from "react";
import { useAskForTakes, useEstimate } from "../../api/asking";
import { api, type Asked, type Production, type Shot } from "../../api/client";
import { useChange, useRequests, useServices } from "../../api/queries";
import { Labelled } from "../../parts/Labelled";
import { NotYet } from "../../parts/NotYet";
import { NumberField } from "../../parts/NumberField";
import { plural } from "../../parts/words";
import { ink } from "../../theme";
import { ServiceForm } from "./ServiceForm";

/** So many stills of a shot can be asked for at once. */
const MOST_STILLS = 6;

type Which = "this" | "without" | "all";

interface Props {
  production: Production;
  shots: readonly Shot[];
  current: Shot | null;
}

/** Asks a service for takes, and shows what is asked for and how far it is. */
export function AskPanel({ production, shots, current }: Props) {
  const reading = useServices();
  const services = reading.data ?? [];
  const requests = useRequests(production.id).data ?? [];
  const [name, setName] = useState<string | null>(null);
  const [asked, setWhich] = useState<Which | null>(null);
  const [picture, setPicture] = useState("");
  const [editing, setEditing] = useState<"old" | "new" | null>(null);
  const [pictures, setPictures] = useState(3);
  const [seed, setSeed] = useState(0);
  const service = services.find((s) => s.profile.name === name) ?? services[1] ?? services[0];
  const known = shots.filter((s) => s.storyShot !== null);
  const without = known.filter((s) => !s.takes.some((t) => !t.rejected && t.state !== "REFUSED"));
  const which = asked ?? (without.length === 0 && current ? "this" : "without");
  const wanted =
    which === "this"
      ? known.filter((s) => s.id === current?.id)
      : which === "all"
        ? known
        : without;
  const askedFor = {
    service: service?.profile.name ?? "",
    shots: wanted.map((s) => s.id),
    picture: picture === "" ? null : Number(picture),
    pictures,
    seed,
  };
  const ask = useAskForTakes(production.id);
  const estimate = useEstimate(production.id, askedFor).data;
  const act = useChange<{ id: number; what: "cancel" | "again" }>(production.id, ({ id, what }) => {
    const params = { path: { productionId: production.id, id } };
    return what === "cancel"
      ? api.POST("/api/productions/{productionId}/requests/{id}/cancel", { params })
      : api.POST("/api/productions/{productionId}/requests/{id}/again", { params });
  });
  const failedAgain = useChange<void>(production.id, () =>
    api.POST("/api/productions/{productionId}/requests/again", {
      params: { path: { productionId: production.id } },
    }),
  );
  if (!service) return <NotYet panel what="The list of services" of={[reading]} />;
  const profile = service.profile;
  const stills =
    which === "this" && current ? current.takes.filter((t) => t.still && t.state === "READY") : [];
  const open = requests.filter((r) => r.state === "QUEUED" || r.state === "RUNNING");
  const ended = requests.filter((r) => r.state === "FAILED" || r.state === "CANCELLED");
  const failed = ended.filter((r) => r.state === "FAILED").length;
  const done = requests.filter((r) => r.state === "DONE").length;
  if (editing) {
    return (
      <ServiceForm service={editing === "old" ? service : null} onDone={() => setEditing(null)} />
    );
  }
  return (
    <Box>
      <Box sx={{ px: 4, py: 2, display: "grid", gap: 3 }}>
        <Labelled label="Service">
          <Box sx={{ display: "flex", gap: 2 }}>
            <Select
              fullWidth
              value={profile.name}
              inputProps={{ "aria-label": "Service" }}
              onChange={(e) => setName(e.target.value)}
            >
              {services.map((s) => (
                <MenuItem key={s.id} value={s.profile.name}>
                  {s.profile.name}: {s.profile.kind === "STILL" ? "stills" : "clips"},{" "}
                  {s.left.toFixed(0)} credits left
                </MenuItem>
              ))}
            </Select>
            <Button onClick={() => setEditing("old")}>Edit</Button>
            <Button onClick={() => setEditing("new")}>Add</Button>
          </Box>
        </Labelled>
        <ToggleButtonGroup
          exclusive
          fullWidth
          value={which}
          aria-label="For which shots"
          onChange={(_, to: Which | null) => to && setWhich(to)}
        >
          <ToggleButton value="this">
            {current ? `shot ${current.label}` : "this shot"}
          </ToggleButton>
          <ToggleButton value="without">without a take</ToggleButton>
          <ToggleButton value="all">all shots</ToggleButton>
        </ToggleButtonGroup>
        {profile.inputs.includes("PICTURE") && stills.length > 0 && (
          <Labelled label="From a still">
            <Select
              fullWidth
              displayEmpty
              value={stills.some((t) => String(t.id) === picture) ? picture : ""}
              inputProps={{ "aria-label": "From a still" }}
              onChange={(e) => setPicture(e.target.value)}
            >
              <MenuItem value="">from the prompt alone</MenuItem>
              {stills.map((t) => (
                <MenuItem key={t.id} value={String(t.id)}>
                  take {t.number}, {t.fileName}
                </MenuItem>
              ))}
            </Select>
          </Labelled>
        )}
        {profile.kind === "STILL" && (
          <NumberField
            label="stills of each"
            unit="of 6"
            digits={0}
            value={pictures}
            onChange={(to) => setPictures(Math.max(1, Math.min(MOST_STILLS, Math.round(to))))}
          />
        )}
        {profile.inputs.includes("SEED") && (
          <NumberField
            label="seed of the first"
            unit={seed === 0 ? "seed, another each time" : "and up from it"}
            hint="The same seed and prompt give the same take"
            digits={0}
            value={seed}
            zero="any"
            onChange={(to) => setSeed(Math.max(0, Math.min(99_999, Math.round(to))))}
          />
        )}
        <Box sx={{ color: ink.ink2 }}>
          {wanted.length === 0
            ? which === "this"
              ? "Choose a take or shot of the story first."
              : known.length === 0
                ? "Prompts are made from the story; write its shots down first."
                : "Every shot of the story has a take."
            : estimate &&
              `${plural(wanted.length, "shot")}, ${estimate.credits.toFixed(0)} credits of ${estimate.left.toFixed(0)} left ${estimate.period === "DAY" ? "today" : "this month"}; about ${lasting(estimate.seconds)}.`}
        </Box>
        {wanted.length > 0 && (
          <Button variant="contained" color="primary" onClick={() => ask.mutate(askedFor)}>
            Ask {profile.name} for {plural(wanted.length, "take")}
          </Button>
        )}
        <Box sx={{ typography: "body2", color: ink.ink3 }}>
          A stand-in on this machine answers; no outside service is reached.
        </Box>
      </Box>
      <Box data-testid="requests" sx={{ borderTop: `1px solid ${ink.rule}` }}>
        {open.map((r) => (
          <Row key={r.id} request={r} onAct={(what) => act.mutate({ id: r.id, what })} />
        ))}
        {failed > 1 && (
          <Box sx={{ px: 4, py: 2, borderBottom: `1px solid ${ink.rule}` }}>
            <Button onClick={() => failedAgain.mutate()}>
              Ask again for all {failed} that failed
            </Button>
          </Box>
        )}
        {ended.map((r) => (
          <Row key={r.id} request={r} onAct={(what) => act.mutate({ id: r.id, what })} />
        ))}
        {requests.length > 0 && (
          <Box sx={{ px: 4, py: 2, color: ink.ink2 }}>
            {done} of {requests.length} came
          </Box>
        )}
      </Box>
    </Box>
  );
}

/** A time to wait in words: seconds up to a minute and a half, minutes beyond. */
const lasting = (seconds: number) =>
  seconds < 90 ? `${Math.ceil(seconds)} s` : `${Math.ceil(seconds / 60)} min`;

function Row({ request: r, onAct }: { request: Asked; onAct: (what: "cancel" | "again") => void }) {
  const open = r.state === "QUEUED" || r.state === "RUNNING";
  const part =
    r.state === "RUNNING" ? Math.min(96, (100 * r.waited) / (r.waited + r.secondsLeft)) : 0;
  return (
    <Box
      component="section"
      aria-label={`Request for shot ${r.label}`}
      sx={{ px: 4, py: 2, borderBottom: `1px solid ${ink.rule}` }}
    >
      <Box sx={{ display: "flex", gap: 2, alignItems: "center" }}>
        <b>{r.label}</b>
        <Box sx={{ flex: 1 }}>
          {r.service}
          {r.kind !== "MAKE" && `, ${r.kind.toLowerCase()}`}, {r.cost.toFixed(0)} credits
        </Box>
        <Button onClick={() => onAct(open ? "cancel" : "again")}>
          {open ? "Cancel" : "Ask again"}
        </Button>
      </Box>
      <Box sx={{ typography: "body2", color: r.state === "FAILED" ? ink.rust : ink.ink2 }}>
        {r.state === "QUEUED" &&
          `${r.before === 0 ? "next" : `${r.before} before it`}, about ${lasting(r.secondsLeft)}`}
        {r.state === "RUNNING" && `being made, about ${lasting(r.secondsLeft)}`}
        {r.state === "FAILED" && r.message}
        {r.state === "CANCELLED" && "cancelled, nothing charged"}
      </Box>
      {r.state === "RUNNING" && (
        <LinearProgress
          aria-label={`Request for ${r.label}`}
          variant="determinate"
          value={part}
          sx={{ height: 3, mt: 1 }}
        />
      )}
    </Box>
  );
}
