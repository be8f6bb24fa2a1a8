import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import { useQuery } from "@tanstack/react-query";
import { answerTo, api, type Production, type Take } from "../../api/client";
import type { components } from "../../api/generated/schema";
import { keys, useChange } from "../../api/queries";
import { ink } from "../../theme";
import { Way } from "./Way";

/** A box of a picture, in parts of its width and height. */
export type Place = components["schemas"]["FilledPlace"];

const WATCHED_EVERY = 1000;

/** Has another take made in which places are filled, and says how far that is. */
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
  const productionId = production.id;
  const path = { productionId, takeId: take.id };
  const repairs = useQuery({
    queryKey: [...keys.material(productionId), "repairs", take.id],
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/takes/{takeId}/repairs", { params: { path } }),
      ),
    refetchInterval: (query) =>
      query.state.data?.some((r) => !r.failed) === true ? WATCHED_EVERY : false,
  }).data;
  const fill = useChange<void>(productionId, () =>
    api.POST("/api/productions/{productionId}/takes/{takeId}/repairs", {
      params: { path },
      body: { boxes },
    }),
  );
  const stop = useChange<number>(productionId, (id) =>
    api.DELETE("/api/productions/{productionId}/repairs/{id}", {
      params: { path: { productionId, id } },
    }),
  );
  const repair = repairs?.[0];
  if (repair && !repair.failed)
    return (
      <Way says={`Filling, ${Math.floor(100 * repair.share)} %: another take is made`}>
        <LinearProgress
          variant="determinate"
          value={100 * repair.share}
          aria-label="Filling"
          sx={{ width: 72 }}
        />
        <Button onClick={() => stop.mutate(repair.id)}>Stop</Button>
      </Way>
    );
  return (
    <>
      <Way says={says}>
        <Button
          onClick={() => {
            fill.mutate();
            onAsked?.();
          }}
        >
          Fill it
        </Button>
      </Way>
      {repair?.failed === true && <Box sx={{ color: ink.rust }}>{repair.message}</Box>}
    </>
  );
}
