import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import OutlinedInput from "@mui/material/OutlinedInput";
import { useState } from "react";
import { Link } from "react-router";
import { api, stillUrl, type Film, type Production } from "../../api/client";
import { useChange, useFilm, useMasters, useMaterial } from "../../api/queries";
import { plural, shapeName } from "../../parts/words";
import { fraunces, ink } from "../../theme";
import { PackDialog } from "./PackDialog";

/** Stills of a film on the shelf, all as high: as many as fill a row in the film's shape. */
const HIGH = 112;
const UPRIGHT_HIGH = 180;
const ROW = 1200;

function stillsOf({ width, height }: Production) {
  const high = width < height ? UPRIGHT_HIGH : HIGH;
  return { high, count: Math.max(4, Math.round(ROW / ((high * width) / height))) };
}

/** One production: a strip of its film, its title and where it stands. */
export function ShelfRow({ production }: { production: Production }) {
  const id = production.id;
  const film = useFilm(id).data;
  const material = useMaterial(id).data;
  const masters = useMasters(id).data;
  const [title, setTitle] = useState<string | null>(null);
  const [removing, setRemoving] = useState(false);
  const [packing, setPacking] = useState(false);
  const rename = useChange<string>(id, (to) =>
    api.PATCH("/api/productions/{id}", {
      params: { path: { id } },
      body: { title: to, targetSeconds: production.targetSeconds },
    }),
  );
  const remove = useChange<void>(id, () =>
    api.DELETE("/api/productions/{id}", { params: { path: { id } } }),
  );
  const begun = (film?.shots.length ?? 0) > 0;
  const open = `/productions/${id}/${begun ? "score" : "takes"}`;
  const made = masters?.filter((m) => m.bytes !== null).length ?? 0;
  const save = () => {
    if (title !== null && title.trim() !== "" && title !== production.title) rename.mutate(title);
    setTitle(null);
  };
  return (
    <Box
      component="article"
      aria-label={production.title}
      sx={{ px: 6, pt: 5, pb: 5, borderBottom: `1px solid ${ink.rule}` }}
    >
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 4, mb: 3 }}>
        {title === null ? (
          <Box
            component={Link}
            to={open}
            sx={{
              ...fraunces,
              fontSize: 26,
              lineHeight: "34px",
              fontWeight: 500,
              color: ink.ink,
              textDecoration: "none",
              "&:hover": { color: ink.thistleDeep },
            }}
          >
            {production.title}
          </Box>
        ) : (
          <OutlinedInput
            autoFocus
            value={title}
            inputProps={{ "aria-label": "Title", maxLength: 200 }}
            onChange={(e) => setTitle(e.target.value)}
            onBlur={save}
            onKeyDown={(e) => {
              if (e.key === "Enter") save();
              if (e.key === "Escape") setTitle(null);
            }}
            sx={{ width: 360 }}
          />
        )}
        <Box sx={{ color: ink.ink2, fontSize: 14 }}>
          {stands(production, film)}
          {material && `, ${plural(material.shots.length, "shot")}`}
          {made > 0 && `, ${plural(made, "master")}`}
        </Box>
        <Box sx={{ flex: 1 }} />
        <Box sx={{ color: ink.ink2 }}>
          {production.width}×{production.height}, {shapeName(production.width, production.height)},{" "}
          {Number(production.framesPerSecond.toFixed(3))} fps
        </Box>
        <Button onClick={() => setTitle(production.title)}>Rename</Button>
        <Button onClick={() => setPacking(true)}>Pack</Button>
        <Button onClick={() => setRemoving(true)}>Remove</Button>
      </Box>
      <Box
        component={Link}
        to={open}
        aria-label={`Open ${production.title}`}
        sx={{ display: "block", textDecoration: "none" }}
      >
        {film && begun ? <Strip production={production} film={film} /> : <Blank />}
      </Box>
      {packing && <PackDialog production={production} onClose={() => setPacking(false)} />}
      {removing && (
        <Dialog open onClose={() => setRemoving(false)}>
          <DialogTitle sx={{ typography: "h1" }}>Remove {production.title}?</DialogTitle>
          <DialogContent>
            Its shots, film and list of masters go. This cannot be undone; the files on your own
            disk are not touched.
          </DialogContent>
          <DialogActions sx={{ p: 4 }}>
            <Button onClick={() => setRemoving(false)}>Keep it</Button>
            <Button
              color="error"
              variant="contained"
              onClick={() => {
                remove.mutate();
                setRemoving(false);
              }}
            >
              Remove
            </Button>
          </DialogActions>
        </Dialog>
      )}
    </Box>
  );
}

function stands(production: Production, film: Film | undefined): string {
  if (!film || film.shots.length === 0)
    return `aims at ${Math.round(production.targetSeconds)} s, not cut yet`;
  return `${(film.length / production.framesPerSecond).toFixed(1)} s`;
}

function Strip({ production, film }: { production: Production; film: Film }) {
  const { high, count } = stillsOf(production);
  const frames = Array.from({ length: count }, (_, i) =>
    Math.floor((film.length * (i + 0.5)) / count),
  );
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: `repeat(${count}, 1fr)`, gap: "2px" }}>
      {frames.map((frame) => (
        <Box
          key={frame}
          component="img"
          src={stillUrl(production.id, film.revision, frame)}
          alt=""
          sx={{
            width: "100%",
            height: high,
            objectFit: "cover",
            display: "block",
            bgcolor: ink.well,
          }}
        />
      ))}
    </Box>
  );
}

function Blank() {
  return (
    <Box
      sx={{
        height: 112,
        border: `1px dashed ${ink.rule2}`,
        display: "grid",
        placeItems: "center",
        color: ink.ink2,
      }}
    >
      Open it and drop in clips and a song
    </Box>
  );
}
