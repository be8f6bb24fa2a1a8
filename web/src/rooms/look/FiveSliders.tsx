import Box from "@mui/material/Box";
import type { Basics } from "../../api/client";
import { GreySlider } from "./GreySlider";
import { FIVE } from "./five";

/** A shot's five numbers. */
export function FiveSliders({
  five,
  onMove,
  onSet,
}: {
  five: Basics;
  /** While one is dragged. */
  onMove: (five: Basics) => void;
  onSet: (five: Basics) => void;
}) {
  return (
    <Box>
      {FIVE.map(({ name, most, ...shown }) => (
        <GreySlider
          key={name}
          {...shown}
          value={five[name]}
          least={-most}
          most={most}
          onMove={(to) => onMove({ ...five, [name]: to })}
          onSet={(to) => onSet({ ...five, [name]: to })}
        />
      ))}
    </Box>
  );
}
