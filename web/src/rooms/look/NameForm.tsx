import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { greyButton } from "./grey";

/** Asks for a name; Escape gives it up. */
export function NameForm({
  label,
  placeholder,
  act,
  width,
  onName,
  onGiveUp,
}: {
  label: string;
  placeholder: string;
  /** What is done with it. */
  act: string;
  width?: number;
  onName: (name: string) => void;
  onGiveUp: () => void;
}) {
  const [name, setName] = useState("");
  return (
    <Box
      component="form"
      sx={{ display: "flex", gap: 2 }}
      onSubmit={(e) => {
        e.preventDefault();
        onName(name);
      }}
    >
      <Box
        component="input"
        autoFocus
        aria-label={label}
        placeholder={placeholder}
        maxLength={40}
        value={name}
        onChange={(e) => setName(e.target.value)}
        onKeyDown={(e) => e.key === "Escape" && onGiveUp()}
        sx={{ font: "inherit", height: 26, width, px: 2, border: 0, borderRadius: "4px" }}
      />
      <Button type="submit" sx={greyButton} disabled={name.trim() === ""}>
        {act}
      </Button>
    </Box>
  );
}
