import { Navigate, Route, Routes } from "react-router";
import { ProductionFrame } from "./ProductionFrame";
import { Cues, LookRoom, MasterRoom, MixRoom, Score, StoryRoom, Takes, WordsRoom } from "./rooms";
import { Shelf } from "./rooms/shelf/Shelf";

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
        <Route path="look" element={<LookRoom />} />
        <Route path="words" element={<WordsRoom />} />
        <Route path="mix" element={<MixRoom />} />
        <Route path="master" element={<MasterRoom />} />
      </Route>
      <Route path="*" element={<Navigate to="/" replace />} />
    </Routes>
  );
}
