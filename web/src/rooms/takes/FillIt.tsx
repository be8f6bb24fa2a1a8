import Button from "@mui/material/Button";
import type { Production, Take } from "../../api/client";
import { useRepairs, type Place } from "./useRepairs";
import { Way } from "./Way";

/** Has another take made in which places are filled. */
export function FillIt({
  production,
  take,
  boxes = null,
  says,
  onAsked,
}: {
  production: Production;
  take: Take;
  /** Places that are filled; null for the take's marks. */
  boxes?: Place[] | null;
  says: string;
  onAsked?: () => void;
}) {
  const { working, ask } = useRepairs(production.id, take.id);
  if (working) return null;
  return (
    <Way says={says}>
      <Button
        onClick={() => {
          ask({ kind: "FILL", boxes });
          onAsked?.();
        }}
      >
        Fill it
      </Button>
    </Way>
  );
}
