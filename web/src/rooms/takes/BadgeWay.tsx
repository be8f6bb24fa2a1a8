import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import OutlinedInput from "@mui/material/OutlinedInput";
import { useState } from "react";
import { api, type Production, type Take } from "../../api/client";
import type { components } from "../../api/generated/schema";
import { useChange } from "../../api/queries";
import { ink } from "../../theme";
import { FaceChoice } from "../words/FaceChoice";
import { Way } from "./Way";

type MarkWays = components["schemas"]["MarkWays"];

const REACHES = [
  { reach: "WHERE_NEEDED", name: "Where needed" },
  { reach: "WHOLE_FILM", name: "Whole film" },
] as const;

/** In which a badge is lettered unless another is chosen. */
const USUAL_FACE = "Source Sans 3";

/** Letters a badge has; more would not be covered by half of the picture. */
const LONGEST = 60;

/** Covers every mark of the film with the channel's own sign. */
export function BadgeWay({
  production,
  take,
  ways,
  revision,
}: {
  production: Production;
  take: Take;
  ways: MarkWays;
  revision: number;
}) {
  const [text, setText] = useState<string | null>(null);
  const [chosen, setFace] = useState<string | null>(null);
  const params = { path: { productionId: production.id, takeId: take.id } };
  const path = "/api/productions/{productionId}/film/marks/{takeId}/badge";
  const says = text ?? ways.badge?.text ?? production.title;
  const face = chosen ?? ways.badge?.face ?? USUAL_FACE;
  const lay = useChange<(typeof REACHES)[number]["reach"]>(production.id, (reach) =>
    api.POST(path, { params, body: { revision, text: says, face, reach } }),
  );
  const out = useChange<void>(production.id, () =>
    api.POST(`${path}-out`, { params, body: { revision } }),
  );
  return (
    <>
      <Way
        says={
          ways.badge
            ? `A badge lies over marks ${ways.badge.reach === "WHOLE_FILM" ? "all the film" : "where needed"}`
            : "Cover every mark with a badge"
        }
      >
        {ways.badge && <Button onClick={() => out.mutate()}>Take it out</Button>}
      </Way>
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 2, pb: 2 }}>
        <OutlinedInput
          size="small"
          value={says}
          inputProps={{ "aria-label": "The badge says", maxLength: LONGEST }}
          onChange={(e) => setText(e.target.value)}
        />
        <FaceChoice label="The badge’s face or logotype" value={face} onChange={setFace} />
        {REACHES.map(({ reach, name }) => (
          <Button
            key={reach}
            aria-pressed={ways.badge?.reach === reach}
            onClick={() => lay.mutate(reach)}
            sx={ways.badge?.reach === reach ? { bgcolor: ink.thistleWash } : {}}
          >
            {name}
          </Button>
        ))}
      </Box>
    </>
  );
}
