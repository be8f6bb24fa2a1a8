/** The room in which colour is judged has none of its own. */
export const grey = {
  space: "#4B4B4B",
  bar: "#3E3E3E",
  panel: "#565656",
  text: "#F0F0F0",
  text2: "#CBCBCB",
  rule: "#8A8A8A",
  band: "#6B6B6B",
  scope: "#2E2E2E",
} as const;

/** A button of this room. */
export const greyButton = {
  color: grey.text,
  border: `1px solid ${grey.rule}`,
  bgcolor: "transparent",
  "&:hover": { bgcolor: grey.panel },
  "&.Mui-disabled": { color: grey.rule },
  "&:focus-visible": { outlineColor: grey.text },
} as const;
