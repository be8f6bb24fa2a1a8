import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import { useState } from "react";
import { treatmentUrl, type Film, type Production, type Treatment } from "../../api/client";
import { useTreatments } from "../../api/queries";
import { plural } from "../../parts/words";
import { useRoom } from "../../store";
import { BareButton } from "../../parts/BareButton";
import { ink } from "../../theme";
import { TreatmentRow } from "./TreatmentRow";
import { TREATMENT, moved, placeOf, withAt } from "./treatments";
import type { ScoreActions } from "./useScoreActions";

interface Props {
  production: Production;
  film: Film;
  /** What is treated: ids of shots, of what lies over the cut, or "" for the whole film. */
  items: readonly string[];
  treatments: readonly Treatment[];
  /** A frame of the film in which it is seen. */
  frame: number;
  actions: ScoreActions;
}

/** What is done to a picture, in order, and what more could be. */
export function TreatmentPanel({ production, film, items, treatments, frame, actions }: Props) {
  const kinds = useTreatments().data ?? [];
  const [open, setOpen] = useState<number | null>(treatments.length === 1 ? 0 : null);
  const [choosing, setChoosing] = useState(false);
  const copied = useRoom((s) => s.treated);
  const set = useRoom((s) => s.set);
  const change = (to: (now: readonly Treatment[]) => readonly Treatment[]) =>
    actions.setTreatments(items, to);
  /** Changes one of them, wherever it is by now. */
  const onOne = (
    i: number,
    to: (now: readonly Treatment[], at: number) => readonly Treatment[],
  ) => {
    const shown = treatments[i];
    if (!shown) return;
    change((now) => {
      const at = placeOf(now, shown, i);
      return at < 0 ? now : to(now, at);
    });
  };
  const item = items[0] ?? "";
  const grid = choosing || treatments.length === 0;
  return (
    <Box component="section" aria-label="Treatments">
      {items.length > 1 && (
        <Box sx={{ color: ink.ink2, pb: 1 }}>On {plural(items.length, "selected shot")}</Box>
      )}
      {treatments.length > 0 && (
        <Box component="ol" aria-label="What is done, in order" sx={{ p: 0, m: 0 }}>
          {treatments.map((t, i) => (
            <TreatmentRow
              key={i}
              kind={kinds.find((k) => k.kind === t.kind)}
              treatment={t}
              film={film}
              open={open === i}
              onOpen={(to) => setOpen(to ? i : null)}
              onSet={(to) => onOne(i, (now, at) => withAt(now, at, to))}
              onMove={(by) => {
                const to = i + by;
                if (to < 0 || to >= treatments.length) return;
                onOne(i, (now, at) => moved(now, at, by));
                setOpen(open === i ? to : null);
              }}
              onRemove={() => {
                onOne(i, (now, at) => now.filter((_, other) => other !== at));
                setOpen(null);
              }}
            />
          ))}
        </Box>
      )}
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, py: 2 }}>
        {treatments.length > 0 && (
          <>
            <ToggleButton value="more" selected={grid} onChange={() => setChoosing(!choosing)}>
              Add one more
            </ToggleButton>
            <Button onClick={() => set({ treated: treatments })}>Copy</Button>
            <Button
              title="All of them at once, to compare (Shift+A)"
              onClick={() => {
                const bypassed = treatments.some((t) => !t.bypassed);
                change((now) => now.map((t) => ({ ...t, bypassed })));
              }}
            >
              {treatments.some((t) => !t.bypassed) ? "Leave all out" : "Do all again"}
            </Button>
          </>
        )}
        {copied && (
          <Button
            title="Those that were copied, in place of what is here"
            onClick={() => change(() => copied)}
          >
            Paste {copied.length}
          </Button>
        )}
      </Box>
      {grid && (
        <Box
          role="group"
          aria-label="Kinds of treatment"
          sx={{
            display: "grid",
            gridTemplateColumns: "repeat(auto-fill, minmax(72px, 1fr))",
            gap: 2,
          }}
        >
          {kinds.map(({ kind, usual }) => (
            <BareButton
              key={kind}
              aria-label={`Add ${TREATMENT[kind]}`}
              onClick={() => {
                change((now) => [...now, usual]);
                setOpen(treatments.length);
                setChoosing(false);
              }}
            >
              <Box
                component="img"
                alt=""
                loading="lazy"
                src={treatmentUrl(production.id, film.revision, frame, item, kind)}
                sx={{
                  display: "block",
                  width: "100%",
                  aspectRatio: `${production.width} / ${production.height}`,
                  bgcolor: ink.well,
                }}
              />
              <Box
                sx={{
                  typography: "body2",
                  lineHeight: "16px",
                  color: ink.ink2,
                  whiteSpace: "nowrap",
                }}
              >
                {TREATMENT[kind]}
              </Box>
            </BareButton>
          ))}
        </Box>
      )}
    </Box>
  );
}
