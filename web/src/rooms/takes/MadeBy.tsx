import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import {
  useEnlarge,
  useEnlargementEstimate,
  useExtend,
  useExtensionEstimate,
} from "../../api/asking";
import type { Production, Take } from "../../api/client";
import { useServices } from "../../api/queries";
import { NumberField } from "../../parts/NumberField";
import { ink } from "../../theme";

/** Which service made a take, from what; it can go on for longer or be made larger. */
export function MadeBy({ production, take }: { production: Production; take: Take }) {
  const [longer, setLonger] = useState(2);
  const service = useServices().data?.find((s) => s.profile.name === take.service)?.profile;
  const extend = useExtend(production.id);
  const enlarge = useEnlarge(production.id);
  const known = service !== undefined;
  const longerFor = useExtensionEstimate(production.id, take.id, longer, known && !take.still).data;
  const largerFor = useEnlargementEstimate(production.id, take.id, known).data;
  return (
    <Box sx={{ px: 4, py: 3, borderTop: `1px solid ${ink.rule}` }}>
      <Box>
        made by <b>{take.service}</b>, {take.cost.toFixed(1)} credits
      </Box>
      <Box sx={{ typography: "body2", color: ink.ink2, my: 1 }}>{take.prompt}</Box>
      {service && (
        <Box sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap" }}>
          {!take.still && longerFor && (
            <>
              <NumberField
                label="go on for"
                unit="s"
                digits={0}
                value={longer}
                onChange={(to) => setLonger(Math.max(1, Math.min(10, Math.round(to))))}
              />
              <Button onClick={() => extend.mutate({ take: take.id, seconds: longer })}>
                {`Extend to ${(take.seconds + longer).toFixed(1)} s, ${longerFor.credits.toFixed(0)} credits`}
              </Button>
            </>
          )}
          <Button onClick={() => enlarge.mutate({ take: take.id })}>
            Enlarge to {2 * take.width}×{2 * take.height}
            {largerFor && `, ${largerFor.credits.toFixed(0)} credits`}
          </Button>
        </Box>
      )}
    </Box>
  );
}
