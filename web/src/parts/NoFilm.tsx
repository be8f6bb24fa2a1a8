import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useNavigate } from "react-router";
import { fraunces } from "../theme";

/** What a room says that works on the film, while there is none. */
export function NoFilm({ production, children }: { production: number; children: string }) {
  const go = useNavigate();
  return (
    <Box sx={{ p: 20, ...fraunces, fontSize: 26, lineHeight: "36px" }}>
      {children}
      <Box sx={{ mt: 4 }}>
        <Button
          variant="contained"
          color="primary"
          onClick={() => void go(`/productions/${production}/score`)}
        >
          Go to Score
        </Button>
      </Box>
    </Box>
  );
}
