import Box from "@mui/material/Box";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import Dialog from "@mui/material/Dialog";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { Fragment } from "react";
import { face, ink } from "../theme";
import { useKeys, useKeySheet } from "./keys";

/** The keys of the room that is open, opened by "?" or from the top bar. */
export function KeyHelp() {
  const { tables, open, letters, setLetters, show } = useKeySheet();
  const own = (name: string) => (name === "Anywhere" ? 1 : 0);
  const groups = tables.flat().sort((a, b) => own(a.name) - own(b.name));
  useKeys([
    {
      name: "Anywhere",
      keys: [
        { shown: "?", says: "this sheet", acts: { "?": () => show(true) } },
        { shown: "Tab", says: "go from control to control" },
      ],
    },
  ]);
  return (
    <Dialog open={open} onClose={() => show(false)} maxWidth="md">
      <DialogTitle sx={{ typography: "h1", pb: 1 }}>Keys</DialogTitle>
      <DialogContent>
        <Box sx={{ columns: 2, columnGap: 10, width: 680 }}>
          {groups.map((group) => (
            <Box key={group.name} sx={{ breakInside: "avoid", mb: 4 }}>
              <Box sx={{ typography: "h2", mb: 1 }}>{group.name}</Box>
              <Box sx={{ display: "grid", gridTemplateColumns: "110px 1fr", rowGap: 1 }}>
                {group.keys.map(({ shown, says }) => (
                  <Fragment key={shown}>
                    <Box sx={{ fontFamily: face.mono, fontSize: 12, color: ink.thistleDeep }}>
                      {shown}
                    </Box>
                    <Box>{says}</Box>
                  </Fragment>
                ))}
              </Box>
            </Box>
          ))}
        </Box>
        <FormControlLabel
          label="Single letters, digits and marks act as keys"
          control={
            <Checkbox
              size="small"
              checked={letters}
              onChange={(e) => setLetters(e.target.checked)}
            />
          }
        />
      </DialogContent>
    </Dialog>
  );
}
