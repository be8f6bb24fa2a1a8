import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import OutlinedInput from "@mui/material/OutlinedInput";
import { useState } from "react";
import { useFaceActions, useOwnFaces } from "../../api/faces";
import type { OwnFace } from "../../api/client";
import { OutButton } from "../../parts/OutButton";
import { ink } from "../../theme";

/** A family's weights and slopes, as people call them. */
function cutsOf(faces: readonly OwnFace[]) {
  if (faces.some((f) => f.logotype)) return "a logotype";
  return faces
    .map((f) => [f.bold ? "bold" : "", f.italic ? "italic" : ""].filter(Boolean).join(" "))
    .map((name) => name || "regular")
    .join(", ");
}

/** The person's own faces: brought in with the licence they are used under, and taken off. */
export function OwnFaces({
  onChoose,
  onClose,
}: {
  onChoose: (family: string) => void;
  onClose: () => void;
}) {
  const own = useOwnFaces().data ?? [];
  const { bringIn, remove } = useFaceActions();
  const [file, setFile] = useState<File | null>(null);
  const [licence, setLicence] = useState("");
  const families = [...new Set(own.map((f) => f.family))];
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth onKeyDown={(e) => e.stopPropagation()}>
      <DialogTitle sx={{ typography: "h1" }}>Your own faces</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 3 }}>
        <Box>
          A font file for the words of any production: .ttf, .otf, .woff or .woff2, a bold or an
          italic one after the other. Or a logotype: a picture, see-through where it has no ink
          (.png, .webp), which stands in place of whatever words are set in it. It goes along with
          what is set in it.
        </Box>
        <Box
          component="form"
          onSubmit={(e) => {
            e.preventDefault();
            if (file) bringIn(file, licence, onChoose);
          }}
          sx={{ display: "flex", gap: 2, alignItems: "center" }}
        >
          <Button component="label" sx={{ flex: "none", maxWidth: 200 }}>
            <Box sx={{ overflow: "hidden", textOverflow: "ellipsis", whiteSpace: "nowrap" }}>
              {file?.name ?? "Choose a file"}
            </Box>
            <input
              type="file"
              hidden
              aria-label="Font file"
              accept=".ttf,.otf,.woff,.woff2,.png,.webp,.jpg,.jpeg"
              onChange={(e) => setFile(e.target.files?.[0] ?? null)}
            />
          </Button>
          <OutlinedInput
            fullWidth
            value={licence}
            placeholder="Its licence, such as OFL 1.1 or bought for films"
            inputProps={{ "aria-label": "Licence of the face", maxLength: 500 }}
            onChange={(e) => setLicence(e.target.value)}
          />
          {file && (
            <Button type="submit" variant="contained" color="primary" sx={{ flex: "none" }}>
              Bring in
            </Button>
          )}
        </Box>
        {families.map((family) => {
          const faces = own.filter((f) => f.family === family);
          return (
            <Box
              key={family}
              component="section"
              aria-label={family}
              sx={{
                display: "flex",
                gap: 2,
                alignItems: "center",
                borderTop: `1px solid ${ink.rule}`,
                pt: 2,
              }}
            >
              <Box sx={{ flex: 1, minWidth: 0 }}>
                <Box sx={{ fontWeight: 600 }}>{family}</Box>
                <Box sx={{ color: ink.ink2, overflowWrap: "anywhere" }}>
                  {cutsOf(faces)}; {faces[0]?.licence}
                </Box>
              </Box>
              <Button onClick={() => onChoose(family)}>Set in it</Button>
              <OutButton label={`Take ${family} off`} onOut={() => remove(family)} />
            </Box>
          );
        })}
        {families.length > 0 && (
          <Box sx={{ color: ink.ink2 }}>
            What is set in a face that is taken off stays as it is.
          </Box>
        )}
      </DialogContent>
      <DialogActions sx={{ p: 4 }}>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
