import Button from "@mui/material/Button";
import { useRef } from "react";
import { inOrder, useArrivals } from "../api/arrivals";
import { useRoomProduction } from "./useRoomProduction";

/** Buttons that choose files, or a whole folder, to bring in. */
export function BringInButtons({
  strong = false,
  what = "files",
}: {
  strong?: boolean;
  what?: string;
}) {
  const { id } = useRoomProduction();
  const bring = useArrivals((s) => s.bring);
  const files = useRef<HTMLInputElement>(null);
  const folder = useRef<HTMLInputElement>(null);
  const take = (input: HTMLInputElement) => {
    bring(id, inOrder([...(input.files ?? [])]));
    input.value = "";
  };
  return (
    <span>
      <input
        ref={files}
        type="file"
        multiple
        hidden
        data-testid="choose-files"
        onChange={(e) => take(e.currentTarget)}
      />
      <input
        ref={folder}
        type="file"
        hidden
        data-testid="choose-folder"
        {...{ webkitdirectory: "" }}
        onChange={(e) => take(e.currentTarget)}
      />
      <Button
        variant={strong ? "contained" : "outlined"}
        color={strong ? "primary" : "inherit"}
        onClick={() => files.current?.click()}
      >
        Bring in {what}
      </Button>
      {what === "files" && (
        <Button sx={{ ml: 2 }} onClick={() => folder.current?.click()}>
          A whole folder
        </Button>
      )}
    </span>
  );
}
