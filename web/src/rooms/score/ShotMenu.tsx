import Button from "@mui/material/Button";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import Box from "@mui/material/Box";
import { useRef, useState } from "react";
import { face, ink } from "../../theme";

/** Something that can be done, with its key. */
export interface Act {
  name: string;
  key?: string;
  act: () => void;
}

/** A button that opens a list of what can be done. */
export function ShotMenu({ name, acts }: { name: string; acts: readonly Act[] }) {
  const [open, setOpen] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  return (
    <>
      <Button ref={button} aria-haspopup="menu" onClick={() => setOpen(true)}>
        {name}
      </Button>
      <Menu open={open} anchorEl={() => button.current} onClose={() => setOpen(false)}>
        {acts.map(({ name: what, key, act }) => (
          <MenuItem
            key={what}
            dense
            onClick={() => {
              setOpen(false);
              act();
            }}
          >
            <Box sx={{ flex: 1, pr: 6 }}>{what}</Box>
            {key && (
              <Box sx={{ fontFamily: face.mono, fontSize: 12, color: ink.thistleDeep }}>{key}</Box>
            )}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
