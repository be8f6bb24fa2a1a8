import Button from "@mui/material/Button";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { useNavigate } from "react-router";
import type { Unpacked } from "../../api/client";
import { keys } from "../../api/queries";
import { readAnew } from "../../api/readAnew";
import { sendWithProgress } from "../../api/sendWithProgress";
import { useNotice } from "../../parts/notice";

/** Brings a packed production in as one more on the shelf, and opens it. */
export function BringPacked() {
  const input = useRef<HTMLInputElement>(null);
  const go = useNavigate();
  const client = useQueryClient();
  const tell = useNotice((s) => s.tell);
  const [share, setShare] = useState(0);
  const bring = useMutation({
    mutationFn: (file: File) => {
      setShare(0);
      return sendWithProgress<Unpacked>(
        `/api/productions/packed?name=${encodeURIComponent(file.name)}`,
        file,
        (sent) => setShare(sent / Math.max(1, file.size)),
      );
    },
    onSuccess: async (made) => {
      await readAnew(client, keys.shelf);
      tell(`${made.title} is here. Its takes are being prepared.`);
      void go(`/productions/${made.id}/takes`);
    },
    onError: (error, file) => tell(`${file.name}: ${error.message}`, "wrong"),
  });
  return (
    <>
      <Button disabled={bring.isPending} onClick={() => input.current?.click()}>
        {!bring.isPending
          ? "Bring in a packed one"
          : share < 1
            ? `Sending it, ${Math.floor(100 * share)} %`
            : "Looking into it…"}
      </Button>
      <input
        ref={input}
        type="file"
        hidden
        accept=".zip,application/zip"
        aria-label="A packed production"
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = "";
          if (file) bring.mutate(file);
        }}
      />
    </>
  );
}
