import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import OutlinedInput from "@mui/material/OutlinedInput";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { answerTo, api, type Production } from "../../api/client";
import { keys, useChange } from "../../api/queries";
import { useNotice } from "../../parts/notice";
import { face, ink } from "../../theme";

/** Links by which others watch: made, copied, withdrawn. */
export function Screenings({
  production,
  onClose,
}: {
  production: Production;
  onClose: () => void;
}) {
  const id = production.id;
  const path = { productionId: id };
  const [name, setName] = useState("");
  const tell = useNotice((s) => s.tell);
  const screenings = useQuery({
    queryKey: [...keys.production(id), "screenings"],
    queryFn: () =>
      answerTo(api.GET("/api/productions/{productionId}/screenings", { params: { path } })),
  }).data;
  const make = useChange<string>(id, (whom) =>
    api.POST("/api/productions/{productionId}/screenings", {
      params: { path },
      body: { name: whom },
    }),
  );
  const withdraw = useChange<number>(id, (which) =>
    api.DELETE("/api/productions/{productionId}/screenings/{id}", {
      params: { path: { ...path, id: which } },
    }),
  );
  const address = screenings?.address ?? window.location.origin;
  const copy = (link: string) =>
    navigator.clipboard.writeText(link).then(
      () => tell("The link is copied."),
      () => tell(`It cannot be copied here; it is ${link}`),
    );
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth>
      <DialogTitle sx={{ typography: "h1" }}>Have others watch {production.title}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 3 }}>
        <Box>
          Whoever has a link sees the film as it is, its versions and what was rendered of it, and
          leaves notes; they stand as markers in Score. A link ends after a week, or when you
          withdraw it.
        </Box>
        <Box
          component="form"
          onSubmit={(e) => {
            e.preventDefault();
            make.mutate(name);
            setName("");
          }}
          sx={{ display: "flex", gap: 2 }}
        >
          <OutlinedInput
            autoFocus
            fullWidth
            value={name}
            placeholder="Whom it is for"
            inputProps={{ "aria-label": "Whom it is for", maxLength: 80 }}
            onChange={(e) => setName(e.target.value)}
          />
          <Button type="submit" variant="contained" color="primary" sx={{ whiteSpace: "nowrap" }}>
            Make a link
          </Button>
        </Box>
        {screenings?.links.map((link) => (
          <Box key={link.id} sx={{ borderTop: `1px solid ${ink.rule}`, pt: 2 }}>
            <Box sx={{ display: "flex", alignItems: "baseline", gap: 2 }}>
              <Box sx={{ flex: 1, fontWeight: 600 }}>{link.name}</Box>
              <Box sx={{ color: ink.ink2 }}>
                until{" "}
                {new Date(link.endsAt).toLocaleDateString(undefined, {
                  day: "numeric",
                  month: "long",
                })}
              </Box>
              <Button onClick={() => void copy(address + link.path)}>Copy</Button>
              <Button component="a" href={link.path} target="_blank" rel="noreferrer">
                Open
              </Button>
              <Button onClick={() => withdraw.mutate(link.id)}>Withdraw</Button>
            </Box>
            <Box sx={{ fontFamily: face.mono, fontSize: 12, overflowWrap: "anywhere" }}>
              {address + link.path}
            </Box>
          </Box>
        ))}
        {screenings && screenings.address == null && (
          <Box sx={{ color: ink.ink2 }}>
            Links work on this machine only. Start with{" "}
            <Box component="span" sx={{ fontFamily: face.mono, fontSize: 12 }}>
              ./start --listen ADDRESS
            </Box>{" "}
            (this machine’s address in your network) to have a phone reach them; nothing else is
            served there.
          </Box>
        )}
      </DialogContent>
      <DialogActions sx={{ p: 4 }}>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
