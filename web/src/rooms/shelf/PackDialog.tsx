import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { under, type Production } from "../../api/client";

/** Saves a production as one zip, with its files or without. */
export function PackDialog({
  production,
  onClose,
}: {
  production: Production;
  onClose: () => void;
}) {
  const zip = `${under(production.id)}/production.zip`;
  return (
    <Dialog open onClose={onClose}>
      <DialogTitle sx={{ typography: "h1" }}>Pack {production.title}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 3, maxWidth: 520 }}>
        <Box>
          One zip with the story, takes, song, voice, film, its versions, the release sheet and what
          is to be delivered. It is brought in on any shelf with “Bring in a packed one”, and makes
          the same film there. Masters stay: they can be rendered again.
        </Box>
        <Box>
          Without its files the zip is small, and opens where the files are already: as a copy on
          this shelf, or with a colleague who has them.
        </Box>
      </DialogContent>
      <DialogActions sx={{ p: 4 }}>
        <Button onClick={onClose}>Not now</Button>
        <Button component="a" href={`${zip}?media=false`} download onClick={onClose}>
          Without its files
        </Button>
        <Button
          component="a"
          href={zip}
          download
          onClick={onClose}
          variant="contained"
          color="primary"
        >
          With its files
        </Button>
      </DialogActions>
    </Dialog>
  );
}
