import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useNavigate } from "react-router";
import { useFilm, useMasters } from "../../api/queries";
import { NotYet } from "../../parts/NotYet";
import { useRoomProduction } from "../../parts/useRoomProduction";
import { fraunces, ink } from "../../theme";
import { MasterRow } from "./MasterRow";
import { OrderForm } from "./OrderForm";

/** Masters: ordered, rendered with progress, checked, downloaded. */
export function MasterRoom() {
  const production = useRoomProduction();
  const reading = [useFilm(production.id), useMasters(production.id)] as const;
  const [film, masters] = [reading[0].data, reading[1].data];
  const go = useNavigate();
  if (!film || !masters) return <NotYet what="The list of masters" of={reading} />;
  if (film.shots.length === 0 && masters.length === 0) {
    return (
      <Box sx={{ height: "100%", bgcolor: ink.sheet, p: 20 }}>
        <Box sx={{ ...fraunces, fontSize: 26, lineHeight: "36px", mb: 4 }}>
          There is no film to render yet.
        </Box>
        <Button
          variant="contained"
          color="primary"
          onClick={() => void go(`/productions/${production.id}/score`)}
        >
          Go to Score
        </Button>
      </Box>
    );
  }
  return (
    <Box sx={{ height: "100%", display: "flex" }}>
      <Box sx={{ flex: 1, minWidth: 0, bgcolor: ink.sheet, overflow: "auto" }}>
        {masters.length === 0 && (
          <Box sx={{ p: 12, maxWidth: 520 }}>
            <Box sx={{ ...fraunces, fontSize: 26, lineHeight: "36px", mb: 2 }}>Not made yet.</Box>
            <Box sx={{ fontSize: 15, lineHeight: "22px", color: ink.ink2 }}>
              Choose a size and a name at the right. Rendering goes on when this page is closed, and
              the finished file is checked frame by frame.
            </Box>
          </Box>
        )}
        {masters.map((m) => (
          <MasterRow key={m.id} master={m} production={production} />
        ))}
      </Box>
      <OrderForm key={production.id} production={production} film={film} />
    </Box>
  );
}
