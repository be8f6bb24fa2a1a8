import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useRef, useState } from "react";
import { api, type Film, type Production } from "../../api/client";
import { useChange } from "../../api/queries";
import { ink } from "../../theme";

/** Brings in a cut that another program wrote, and says what of it could not be. */
export function CutFromElsewhere({ production, film }: { production: Production; film: Film }) {
  const input = useRef<HTMLInputElement>(null);
  const [left, setLeft] = useState<{ file: string; said: readonly string[] } | null>(null);
  const bring = useChange(production.id, (foreign: { file: string; text: string }) =>
    api.POST("/api/productions/{productionId}/film/cut-in", {
      params: { path: { productionId: production.id } },
      body: { revision: film.revision, ...foreign },
    }),
  );
  const read = async (file: File) => {
    setLeft(null);
    const foreign = { file: file.name, text: await file.text() };
    await bring.mutateAsync(foreign).then(
      (brought) => setLeft({ file: file.name, said: brought.left }),
      () => undefined,
    );
  };
  return (
    <Box sx={{ borderTop: `1px solid ${ink.rule}`, pt: 3, mt: 3 }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 3 }}>
        <Box sx={{ flex: 1, color: ink.ink2 }}>
          A cut made elsewhere (OTIO, CMX 3600) comes in place of this one; its files are found
          among the takes by their names. Undo brings this one back.
        </Box>
        <Button disabled={bring.isPending} onClick={() => input.current?.click()}>
          Bring in a cut
        </Button>
        <input
          ref={input}
          type="file"
          hidden
          accept=".otio,.edl"
          aria-label="A cut made elsewhere"
          onChange={(e) => {
            const file = e.target.files?.[0];
            e.target.value = "";
            if (file) void read(file);
          }}
        />
      </Box>
      {left && (
        <Box role="status" sx={{ mt: 2, maxHeight: 160, overflow: "auto" }}>
          {left.said.length === 0
            ? `All of ${left.file} is in.`
            : `${left.file} is in, without this:`}
          {left.said.map((sentence) => (
            <Box key={sentence} sx={{ color: ink.rust }}>
              {sentence}
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}
