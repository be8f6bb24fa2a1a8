import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import OutlinedInput from "@mui/material/OutlinedInput";
import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Film, type Production, type Version } from "../../api/client";
import { keys, useChange, useVersions } from "../../api/queries";
import { timecode } from "../../parts/time";
import { plural } from "../../parts/words";
import { fraunces, ink } from "../../theme";
import { CutFromElsewhere } from "./CutFromElsewhere";
import { WatchBoth } from "./WatchBoth";

interface Props {
  production: Production;
  film: Film;
  onClose: () => void;
}

/** Differences that are told before the rest is counted. */
const TOLD = 6;

/** The film's named versions: what is other in each, going back to one, naming this one. */
export function Versions({ production, film, onClose }: Props) {
  const versions = useVersions(production.id, film.revision).data;
  const [name, setName] = useState("");
  const [watched, setWatched] = useState<Version | null>(null);
  const at = { productionId: production.id };
  const client = useQueryClient();
  const { mutateAsync: keepAs } = useChange<string>(
    production.id,
    (to) =>
      api.POST("/api/productions/{productionId}/film/versions", {
        params: { path: at },
        body: { name: to },
      }),
    { inOrder: "film" },
  );
  const { mutateAsync: goBack } = useChange<number>(
    production.id,
    (version) =>
      api.POST("/api/productions/{productionId}/film/versions/{id}/back", {
        params: { path: { ...at, id: version } },
        body: {
          revision: client.getQueryData<Film>(keys.film(production.id))?.revision ?? film.revision,
        },
      }),
    { inOrder: "film" },
  );
  const { mutateAsync: remove } = useChange<number>(production.id, (version) =>
    api.DELETE("/api/productions/{productionId}/film/versions/{id}", {
      params: { path: { ...at, id: version } },
    }),
  );
  const keep = async () => {
    await keepAs(name).then(
      () => setName(""),
      () => undefined,
    );
  };
  if (watched) {
    return (
      <WatchBoth
        production={production}
        film={film}
        version={watched}
        onClose={() => setWatched(null)}
      />
    );
  }
  return (
    <Dialog open onClose={onClose} maxWidth={false} aria-labelledby="versions">
      <Box sx={{ width: 720, p: 5, bgcolor: ink.sheet }}>
        <Box component="h2" id="versions" sx={{ typography: "h1", m: 0, mb: 1 }}>
          Versions
        </Box>
        <Box sx={{ color: ink.ink2, mb: 3 }}>
          Everything is saved as it is done; a version is a name to come back to. What the film is
          now comes back with Undo.
        </Box>
        <Box
          component="form"
          onSubmit={(e) => {
            e.preventDefault();
            void keep();
          }}
          sx={{ display: "flex", gap: 2, mb: 3 }}
        >
          <OutlinedInput
            autoFocus
            value={name}
            onChange={(e) => setName(e.target.value)}
            placeholder="what this version is"
            inputProps={{ "aria-label": "Name of this version", maxLength: 80 }}
            sx={{ flex: 1 }}
          />
          <Button type="submit" variant="contained" color="primary" disabled={name.trim() === ""}>
            Name it as it is now
          </Button>
        </Box>
        {versions?.length === 0 && <Box sx={{ color: ink.ink2 }}>No version has a name yet.</Box>}
        <Box sx={{ maxHeight: 420, overflow: "auto" }}>
          {versions?.map((version) => (
            <Row
              key={version.id}
              version={version}
              production={production}
              onWatch={() => setWatched(version)}
              onBack={() => {
                void goBack(version.id).then(onClose, () => undefined);
              }}
              onRemove={() => void remove(version.id).catch(() => undefined)}
            />
          ))}
        </Box>
        <CutFromElsewhere production={production} film={film} />
        <Box sx={{ display: "flex", justifyContent: "flex-end", mt: 4 }}>
          <Button onClick={onClose}>Close</Button>
        </Box>
      </Box>
    </Dialog>
  );
}

interface RowProps {
  version: Version;
  production: Production;
  onWatch: () => void;
  onBack: () => void;
  onRemove: () => void;
}

function Row({ version, production, onWatch, onBack, onRemove }: RowProps) {
  const { differences } = version;
  const more = differences.length - TOLD;
  return (
    <Box
      component="section"
      aria-label={version.name}
      sx={{ display: "flex", gap: 3, py: 2, borderTop: `1px solid ${ink.rule}` }}
    >
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Box sx={{ display: "flex", gap: 3, alignItems: "baseline" }}>
          <Box sx={{ ...fraunces, fontSize: 17, color: ink.thistleDeep }}>{version.name}</Box>
          <Box sx={{ color: ink.ink2 }}>
            {timecode(version.length, production.framesPerSecond)}, {plural(version.shots, "shot")},{" "}
            {new Date(version.madeAt).toLocaleString([], {
              dateStyle: "medium",
              timeStyle: "short",
            })}
          </Box>
        </Box>
        <Box sx={{ typography: "body2", color: ink.ink2 }}>
          {differences.length === 0
            ? "as the film is now"
            : `against the film as it is now: ${differences.slice(0, TOLD).join("; ")}`}
          {more > 0 && `; and ${plural(more, "shot")} more`}
        </Box>
      </Box>
      <Box sx={{ display: "flex", gap: 2, alignItems: "center" }}>
        {differences.length > 0 && <Button onClick={onWatch}>Watch both</Button>}
        <Button onClick={onBack} disabled={differences.length === 0}>
          Go back to it
        </Button>
        <Button onClick={onRemove}>Remove</Button>
      </Box>
    </Box>
  );
}
