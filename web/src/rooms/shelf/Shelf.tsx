import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { answerTo, api } from "../../api/client";
import { keys, useShelf } from "../../api/queries";
import { NotYet } from "../../parts/NotYet";
import { fraunces, ink } from "../../theme";
import { BringPacked } from "./BringPacked";
import { NewProduction } from "./NewProduction";
import { ShelfFoot } from "./ShelfFoot";
import { ShelfRow } from "./ShelfRow";
import { readAnew } from "../../api/readAnew";

/** The list of productions. */
export function Shelf() {
  const shelf = useShelf();
  const [making, setMaking] = useState(false);
  const demo = useDemo();
  const productions = shelf.data ?? [];
  return (
    <Box sx={{ height: "100%", display: "flex", flexDirection: "column" }}>
      <Box
        component="header"
        sx={{
          height: 52,
          flex: "none",
          display: "flex",
          alignItems: "center",
          gap: 3,
          px: 4,
          bgcolor: ink.band,
          borderBottom: `1px solid ${ink.rule2}`,
        }}
      >
        <img src="/thistle.svg" width={26} height={26} alt="" />
        <Box component="h1" sx={{ ...fraunces, m: 0, fontSize: 20, fontWeight: 560 }}>
          Late Thistle
        </Box>
        <Box sx={{ flex: 1 }} />
        <BringPacked />
        {productions.length > 0 && (
          <Button variant="contained" color="primary" onClick={() => setMaking(true)}>
            New production
          </Button>
        )}
      </Box>
      <Box component="main" sx={{ flex: 1, overflow: "auto", bgcolor: ink.sheet }}>
        {!shelf.data && <NotYet what="The shelf" of={[shelf]} />}
        {shelf.data && productions.length === 0 && (
          <Box sx={{ p: 20, maxWidth: 720 }}>
            <Box sx={{ ...fraunces, fontSize: 30, lineHeight: "40px", mb: 3 }}>
              The shelf is empty.
            </Box>
            <Box sx={{ fontSize: 15, lineHeight: "22px", color: ink.ink2, mb: 5 }}>
              Make a production, drop in a folder of clips and one song, and a first cut on the beat
              is waiting a minute later.
            </Box>
            <Button variant="contained" color="primary" onClick={() => setMaking(true)}>
              Make a production
            </Button>
            <Button
              sx={{ ml: 3 }}
              disabled={demo.isPending}
              onClick={() => {
                demo.mutate();
              }}
            >
              Put the demo on it
            </Button>
            {demo.error && <Box sx={{ mt: 3, color: ink.rust }}>{demo.error.message}</Box>}
          </Box>
        )}
        {productions.map((p) => (
          <ShelfRow key={p.id} production={p} />
        ))}
      </Box>
      <ShelfFoot />
      {making && <NewProduction onClose={() => setMaking(false)} />}
    </Box>
  );
}

/** Puts the demo on the shelf; its productions are there at once and are filled one by one. */
function useDemo() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async () => {
      await answerTo(api.POST("/api/demo"));
      await readAnew(client, keys.shelf);
    },
  });
}
