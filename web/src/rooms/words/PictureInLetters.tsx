import Box from "@mui/material/Box";
import type { Material } from "../../api/client";
import { useMaterial } from "../../api/queries";
import { CardRow } from "../../parts/CardRow";
import { Choice } from "../../parts/Choice";
import { ink } from "../../theme";

/** What stands for no take. */
const NONE = "none";

interface Props {
  production: number;
  /** The take that is seen in a title's letters. */
  picture: string | null;
  onChoose: (picture: string | null) => void;
}

/** Which take is seen in a title's letters: one of all that are there, or none. */
export function PictureInLetters({ production, picture, onChoose }: Props) {
  const shots = useMaterial(production).data?.shots ?? [];
  const takes = shots.flatMap((shot) =>
    shot.takes
      .filter((take) => take.state === "READY" && !take.rejected)
      .map((take) => [String(take.id), called(shot, take.number)] as const),
  );
  const gone = picture !== null && !takes.some(([id]) => id === picture);
  return (
    <CardRow>
      <Box sx={{ color: ink.ink2 }}>in the letters</Box>
      <Choice
        label="Seen in the letters"
        value={picture ?? NONE}
        of={[
          [NONE, "no picture"],
          ...takes,
          ...(gone ? ([[picture, "a take that is not there"]] as const) : []),
        ]}
        onChange={(take) => onChoose(take === NONE ? null : take)}
      />
    </CardRow>
  );
}

const called = ({ label, title }: Material["shots"][number], take: number) =>
  `${[label, title].filter(Boolean).join(" ")}, take ${take}`;
