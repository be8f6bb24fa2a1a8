import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useState } from "react";
import type { Matte, Placed, Production } from "../api/client";
import { useTake } from "../api/queries";
import { ink } from "../theme";
import { SubjectOfShot } from "./SubjectOfShot";
import { useSubject } from "./useSubject";

const PARTS: { part: Matte["part"]; name: string; says: string }[] = [
  { part: "ALL", name: "all of it", says: "The whole picture stays" },
  { part: "SUBJECT", name: "subject", says: "What was cut out of the take stays" },
  { part: "BACKGROUND", name: "background", says: "What is behind the subject stays" },
];

/** Which part of a picture stays, by the subject that was cut out of its take. */
export function SubjectRow({
  production,
  shot,
  onPart,
}: {
  production: Production;
  shot: Placed;
  onPart: (part: Matte["part"]) => void;
}) {
  const [drawing, setDrawing] = useState(false);
  const take = useTake(production.id, shot.takeId);
  const cut = useSubject(production.id, shot.takeId).view?.cut;
  return (
    <Box
      component="section"
      aria-label="Subject"
      sx={{
        borderTop: `1px solid ${ink.rule}`,
        py: 1,
        display: "flex",
        alignItems: "center",
        gap: 2,
      }}
    >
      <Box sx={{ width: 44, color: ink.ink2 }}>Part</Box>
      {cut ? (
        <ToggleButtonGroup
          exclusive
          value={shot.matte.part}
          aria-label="Which part stays"
          onChange={(_, part: Matte["part"] | null) => part && onPart(part)}
        >
          {PARTS.map(({ part, name, says }) => (
            <ToggleButton key={part} value={part} title={says}>
              {name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      ) : (
        <Box>all of it</Box>
      )}
      <Box sx={{ flex: 1 }} />
      {take && (
        <Button
          title={cut ? "Correct what was cut out of the take" : "Say what its subject is"}
          onClick={() => setDrawing(true)}
        >
          {cut ? "Correct" : "Cut its subject out"}
        </Button>
      )}
      {drawing && take && (
        <SubjectOfShot
          production={production}
          shot={shot}
          take={take}
          uses={[
            {
              name: "Let the subject stay",
              says: "What is behind it goes",
              act: () => onPart("SUBJECT"),
            },
          ]}
          onClose={() => setDrawing(false)}
        />
      )}
    </Box>
  );
}
