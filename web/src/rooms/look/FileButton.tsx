import Button from "@mui/material/Button";
import { greyButton } from "./grey";

/** A button of this room that asks for a file. */
export function FileButton({
  accept,
  children,
  onFile,
}: {
  accept: string;
  children: string;
  onFile: (file: File) => void;
}) {
  return (
    <Button sx={greyButton} component="label">
      {children}
      <input
        type="file"
        hidden
        accept={accept}
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (file) onFile(file);
          e.target.value = "";
        }}
      />
    </Button>
  );
}
