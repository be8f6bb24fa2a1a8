import { styled } from "@mui/material/styles";

/** A button that looks like what it holds: a picture with its name, a line of text. */
export const BareButton = styled("button")({
  padding: 0,
  border: 0,
  backgroundColor: "transparent",
  font: "inherit",
  textAlign: "left",
  cursor: "pointer",
});
