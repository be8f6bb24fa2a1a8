import { useState } from "react";
import { ink } from "../../theme";
import { hex, rgbOf } from "./titles";

/** A colour that is seen as it is chosen, and kept as the field is left. */
export function ColourField(props: {
  label: string;
  value: number;
  onTry: (to: number) => void;
  onKeep: (to: number) => void;
}) {
  const { label, value, onTry, onKeep } = props;
  const [text, setText] = useState<string | null>(null);
  return (
    <input
      type="color"
      aria-label={label}
      title={label}
      value={text ?? hex(value)}
      onChange={(e) => {
        setText(e.target.value);
        onTry(rgbOf(e.target.value));
      }}
      onBlur={() => {
        if (text !== null) onKeep(rgbOf(text));
        setText(null);
      }}
      style={{ width: 28, height: 26, padding: 0, border: `1px solid ${ink.edge}`, flex: "none" }}
    />
  );
}
