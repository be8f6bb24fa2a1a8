import Box from "@mui/material/Box";
import { useCallback, useMemo } from "react";
import type { Film, Production } from "../../api/client";
import { usePeaks } from "../../api/queries";
import { useSize } from "../../parts/useSize";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import { Sheet } from "./Sheet";
import { SheetHeader } from "./SheetHeader";
import { placeStaves } from "./layout";
import { useNeeds } from "./useNeeds";
import { useRulers } from "./useRulers";
import type { ScoreActions } from "./useScoreActions";
import { useKeys } from "../../parts/keys";
import { scoreKeys } from "./scoreKeys";
import { useFollow, useWindow } from "./useWindow";

interface Props {
  production: Production;
  film: Film;
  actions: ScoreActions;
}

/** The film wrapped into staves, as many as its length and the bars a line ask for, and its keys. */
export function Staves({ production, film, actions }: Props) {
  const peaks = usePeaks(production.id, film.clock.song).data;
  const wish = useRoom((s) => s.barsPerLine);
  const [sheet, size] = useSize("score", { width: 904, height: 680 });
  const fps = production.framesPerSecond;
  const { rulers, barsPerLine } = useRulers(film, fps, wish, size.width);
  const { whole, needs } = useNeeds(film, rulers);
  const open = useRoom((s) => rulers.findLastIndex((r) => r.stave.start <= s.frame));
  const places = useMemo(
    () => placeStaves(size.height, open, whole, needs),
    [size.height, open, whole, needs],
  );
  const { seen, onScroll } = useWindow(size.height);
  const boxRef = useFollow(open, places);
  const both = useCallback(
    (element: HTMLElement | null) => {
      sheet(element);
      boxRef.current = element;
    },
    [sheet, boxRef],
  );
  useKeys(scoreKeys({ film, fps, rulers, actions }));
  return (
    <Box
      sx={{
        flex: 1,
        minWidth: 0,
        display: "flex",
        flexDirection: "column",
        bgcolor: ink.sheet,
      }}
    >
      <SheetHeader
        film={film}
        production={production}
        actions={actions}
        barsPerLine={barsPerLine}
      />
      <Box
        ref={both}
        onScroll={onScroll}
        role="region"
        aria-label="staves"
        tabIndex={0}
        sx={{ flex: 1, minHeight: 0, overflow: "hidden auto" }}
      >
        <Sheet
          production={production}
          film={film}
          peaks={peaks}
          rulers={rulers}
          places={places}
          seen={seen}
          width={size.width}
          actions={actions}
        />
      </Box>
    </Box>
  );
}
