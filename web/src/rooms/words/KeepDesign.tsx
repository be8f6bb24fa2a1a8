import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import OutlinedInput from "@mui/material/OutlinedInput";
import { useState } from "react";
import { useKeepDesign } from "../../api/words";
import { ink } from "../../theme";

/** Keeps how a title is made, under a name, to begin others with in any production. */
export function KeepDesign({ production, title }: { production: number; title: string }) {
  const [name, setName] = useState<string | null>(null);
  const { keep } = useKeepDesign();
  if (name === null) {
    return (
      <Button
        size="small"
        title="Begin other titles as this one is made, in any production"
        onClick={() => setName("")}
      >
        Keep as a design
      </Button>
    );
  }
  const save = () => {
    if (name.trim() !== "") keep(production, title, name);
    setName(null);
  };
  return (
    <Box sx={{ display: "flex", gap: 1 }}>
      <OutlinedInput
        autoFocus
        value={name}
        placeholder="its name"
        inputProps={{ "aria-label": "Name of the design", maxLength: 40 }}
        onChange={(e) => setName(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === "Enter") save();
          if (e.key === "Escape") setName(null);
          e.stopPropagation();
        }}
        sx={{ height: 26, width: 130, bgcolor: ink.sheet, "& input": { px: 1 } }}
      />
      <Button size="small" onClick={save}>
        Keep
      </Button>
    </Box>
  );
}
