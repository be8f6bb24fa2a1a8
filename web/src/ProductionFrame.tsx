import Box from "@mui/material/Box";
import { Suspense, useEffect, useState, type DragEvent } from "react";
import { Outlet, useLocation, useNavigate, useParams } from "react-router";
import { filesOf, useArrivals } from "./api/arrivals";
import { ApiProblem } from "./api/client";
import { usePulse } from "./api/events";
import { useMasterNews } from "./api/masterNews";
import { useProduction } from "./api/queries";
import { KeyHelp } from "./parts/KeyHelp";
import { MeetingDialog } from "./parts/meeting";
import { NotYet } from "./parts/NotYet";
import { TopBar } from "./parts/TopBar";
import { RoomBoundary, Trouble } from "./parts/Trouble";
import { useNotice } from "./parts/notice";
import { NARROWEST, useWindowWidth } from "./parts/useWindowWidth";
import { TooNarrow, loadRooms } from "./rooms";
import { useRoom } from "./store";
import { ink } from "./theme";

/** Milliseconds after which the first room is there, and the others may be loaded. */
const ONCE_DRAWN = 2_000;

/** What all rooms of a production share: the top bar, events, and files dropped anywhere. */
export function ProductionFrame() {
  const id = Number(useParams()["id"]);
  const production = useProduction(id);
  const heard = usePulse(id);
  useMasterNews(id);
  const room = useLocation().pathname;
  const bring = useArrivals((s) => s.bring);
  const look = useArrivals((s) => s.look);
  const tell = useNotice((s) => s.tell);
  const set = useRoom((s) => s.set);
  const go = useNavigate();
  const [over, setOver] = useState(false);
  const width = useWindowWidth();

  useEffect(() => {
    const later = setTimeout(loadRooms, ONCE_DRAWN);
    return () => clearTimeout(later);
  }, []);

  useEffect(() => look(id), [id, look]);

  useEffect(() => set({ frame: 0, place: null, playing: false, barsPerLine: null }), [id, set]);

  const drop = async (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    try {
      const files = await filesOf(event.dataTransfer);
      if (files.length === 0) return;
      bring(id, files);
      void go(`/productions/${id}/takes`);
    } catch {
      tell("The dropped folder could not be read; choose its files instead.", "wrong");
    }
  };

  if (production.error) {
    const gone = production.error instanceof ApiProblem && production.error.status === 404;
    return (
      <Trouble
        title={gone ? "There is no such production." : "The production could not be read."}
        says={production.error.message}
        act={gone ? "Back to the shelf" : "Try again"}
        onAct={() => (gone ? void go("/") : void production.refetch())}
      />
    );
  }
  if (!production.data) return <NotYet what="The production" of={[production]} />;
  return (
    <Box
      sx={{ height: "100%", display: "flex", flexDirection: "column" }}
      onDragOver={(e) => {
        if (e.dataTransfer.types.includes("Files")) {
          e.preventDefault();
          setOver(true);
        }
      }}
      onDragLeave={(e) => {
        if (!e.currentTarget.contains(e.relatedTarget as Node | null)) setOver(false);
      }}
      onDrop={(e) => void drop(e)}
    >
      <TopBar production={production.data} heard={heard} />
      <Box component="main" sx={{ flex: 1, minHeight: 0, position: "relative" }}>
        <RoomBoundary name={room}>
          <Suspense fallback={<NotYet what="The room" of={[]} />}>
            {width < NARROWEST ? (
              <TooNarrow production={production.data} width={width} />
            ) : (
              <Outlet context={production.data} />
            )}
          </Suspense>
        </RoomBoundary>
        {over && (
          <Box
            sx={{
              position: "absolute",
              inset: 8,
              border: `2px dashed ${ink.thistle}`,
              borderRadius: 1,
              bgcolor: "#EADFF0E0",
              display: "grid",
              placeItems: "center",
              typography: "h1",
              color: ink.thistleDeep,
              pointerEvents: "none",
              zIndex: 10,
            }}
          >
            Let go to bring these into {production.data.title}
          </Box>
        )}
      </Box>
      <KeyHelp />
      <MeetingDialog />
    </Box>
  );
}
