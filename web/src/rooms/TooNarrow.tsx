import Box from "@mui/material/Box";
import type { Production } from "../api/client";
import { useFilm } from "../api/queries";
import { NARROWEST } from "../parts/useWindowWidth";
import { Monitor } from "./score/Monitor";
import { Transport } from "./score/Transport";
import { fraunces, ink } from "../theme";

/** What a window too narrow for a room shows instead: what to do, and the film to be watched. */
export function TooNarrow({ production, width }: { production: Production; width: number }) {
  const film = useFilm(production.id).data;
  return (
    <Box sx={{ height: "100%", overflow: "auto", bgcolor: ink.paper }}>
      {film && film.length > 0 && (
        <>
          <Monitor production={production} film={film} />
          <Transport production={production} film={film} />
        </>
      )}
      <Box sx={{ p: 6 }}>
        <Box sx={{ ...fraunces, fontSize: 22, lineHeight: "30px", mb: 2 }}>
          This room needs a wider window.
        </Box>
        <Box sx={{ color: ink.ink2 }}>
          It is made for {NARROWEST} pixels or more; this window has {width}. Make it wider, or make
          the page smaller with Ctrl and minus.
        </Box>
      </Box>
    </Box>
  );
}
