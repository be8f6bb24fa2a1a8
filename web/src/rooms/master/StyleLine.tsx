import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { Film, Production } from "../../api/client";
import { useStyleActions, useTakenStyle } from "../../api/styles";
import { ink } from "../../theme";
import { ChannelStyles } from "./ChannelStyles";

/** Which channel's style a production has, and whether that has changed since. */
export function StyleLine({ production, film }: { production: Production; film: Film }) {
  const [open, setOpen] = useState(false);
  const taken = useTakenStyle(production.id).data;
  const { take } = useStyleActions(production.id);
  const style = taken?.style;
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 2, minHeight: 32 }}>
      {open && <ChannelStyles production={production} film={film} onClose={() => setOpen(false)} />}
      <Box sx={{ flex: 1, color: taken?.changed ? ink.rust : ink.ink2 }}>
        {style
          ? taken.changed
            ? `The style of ${style.name} has changed since.`
            : `In the style of ${style.name}.`
          : "In no channel’s style."}
      </Box>
      {style && taken.changed && (
        <Button onClick={() => take.mutate({ style: style.id, revision: film.revision })}>
          Take it
        </Button>
      )}
      <Button onClick={() => setOpen(true)}>Channel’s style</Button>
    </Box>
  );
}
