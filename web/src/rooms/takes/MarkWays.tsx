import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useQuery } from "@tanstack/react-query";
import { answerTo, api, type Production, type Shot, type Take } from "../../api/client";
import { keys, useChange, useFilm, useServices } from "../../api/queries";
import { plural } from "../../parts/words";
import { ink } from "../../theme";
import { BadgeWay } from "./BadgeWay";
import { FillIt } from "./FillIt";
import { Way } from "./Way";

/** The ways in which a service's mark is not seen in the film, and what each costs. */
export function MarkWays({
  production,
  shot,
  take,
}: {
  production: Production;
  shot: Shot;
  take: Take;
}) {
  const productionId = production.id;
  const path = { productionId, takeId: take.id };
  const revision = useFilm(productionId).data?.revision ?? 0;
  const ways = useQuery({
    queryKey: [...keys.film(productionId), "marks", take.id, revision],
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/film/marks/{takeId}", { params: { path } }),
      ),
  }).data;
  const frameOut = useChange<void>(productionId, () =>
    api.POST("/api/productions/{productionId}/film/marks/{takeId}/frame-out", {
      params: { path },
      body: { revision },
    }),
  );
  const bars = useChange<void>(productionId, () =>
    api.POST("/api/productions/{productionId}/film/marks/{takeId}/bars", {
      params: { path },
      body: { revision },
    }),
  );
  const pick = useChange<number>(productionId, (other) =>
    api.PATCH("/api/productions/{productionId}/shots/{shotId}", {
      params: { path: { productionId, shotId: shot.id } },
      body: { title: null, pick: other },
    }),
  );
  if (!ways) return null;
  return (
    <Box component="section" aria-label="The mark" sx={{ px: 4, pb: 3 }}>
      <Box component="h3" sx={{ typography: "h2", m: 0, mb: 1 }}>
        A service’s mark
      </Box>
      <Box sx={{ color: ways.open > 0 ? ink.rust : ink.ink2, pb: 1 }}>{seen(ways)}</Box>
      <Terms service={take.service} />
      <Way
        says={
          ways.closer === null || ways.closer === undefined
            ? "Framing it out would come too close"
            : `Frame it out: ${ways.closer} % closer, ${ways.lost} % of the picture lost`
        }
      >
        {ways.closer !== null && ways.closer !== undefined && ways.shown > 0 && (
          <Button onClick={() => frameOut.mutate()}>In {plural(ways.shown, "place")}</Button>
        )}
      </Way>
      {ways.bars !== null && ways.bars !== undefined && (
        <Way says={`Bars of ${(ways.bars / 100).toFixed(2)} over the film cover it`}>
          <Button onClick={() => bars.mutate()}>Lay them</Button>
        </Way>
      )}
      {ways.shown > 0 && (
        <BadgeWay production={production} take={take} ways={ways} revision={revision} />
      )}
      {ways.others.map((other) => (
        <Way key={other.id} says={`Take ${other.number} has none`}>
          <Button onClick={() => pick.mutate(other.id)}>Pick take {other.number}</Button>
        </Way>
      ))}
      <FillIt production={production} take={take} says={behind(ways.behind)} />
    </Box>
  );
}

function seen({ shown, open }: { shown: number; open: number }): string {
  if (shown === 0) return "The film does not show this take.";
  if (open === 0) return "It is not seen in the film.";
  return `It is seen in ${plural(open, "place")} of the film.`;
}

/** What the terms of the service say of hiding its mark. */
function Terms({ service }: { service: string }) {
  const services = useServices().data;
  if (service === "") return null;
  const marks = services?.find((s) => s.profile.name === service)?.profile.marks ?? "UNSAID";
  if (marks === "MAY_GO")
    return <Box sx={{ color: ink.moss, pb: 1 }}>{service}: its terms let the mark go.</Box>;
  return (
    <Box sx={{ color: ink.rust, pb: 1 }}>
      {marks === "MUST_STAY"
        ? `${service}: its terms ask that the mark stays. Choose another take.`
        : `${service}: nobody has said whether its terms let the mark go. Look, and say so in its profile (Ask for takes).`}
    </Box>
  );
}

const behind = (share: number) =>
  share >= 100
    ? "Fill it as another take: the camera shows what is behind it"
    : share > 0
      ? `Fill it as another take: the camera shows up to ${share} % of what is behind it`
      : "Fill it as another take, from what is around it";
