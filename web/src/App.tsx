import { lazy } from "react";
import { Navigate, Route, Routes } from "react-router";
import { ProductionFrame } from "./ProductionFrame";
import { Shelf } from "./rooms/shelf/Shelf";

// A room is loaded when it is first opened.
const StoryRoom = lazy(() =>
  import("./rooms/story/StoryRoom").then((m) => ({ default: m.StoryRoom })),
);
const Takes = lazy(() => import("./rooms/takes/Takes").then((m) => ({ default: m.Takes })));
const Cues = lazy(() => import("./rooms/cues/Cues").then((m) => ({ default: m.Cues })));
const Score = lazy(() => import("./rooms/score/Score").then((m) => ({ default: m.Score })));
const MasterRoom = lazy(() =>
  import("./rooms/master/MasterRoom").then((m) => ({ default: m.MasterRoom })),
);

/** Which room an address shows. */
export function App() {
  return (
    <Routes>
      <Route path="/" element={<Shelf />} />
      <Route path="/productions/:id" element={<ProductionFrame />}>
        <Route index element={<Navigate to="score" replace />} />
        <Route path="story" element={<StoryRoom />} />
        <Route path="takes" element={<Takes />} />
        <Route path="cues" element={<Cues />} />
        <Route path="score" element={<Score />} />
        <Route path="master" element={<MasterRoom />} />
      </Route>
      <Route path="*" element={<Navigate to="/" replace />} />
    </Routes>
  );
}
