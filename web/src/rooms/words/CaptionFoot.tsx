import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import OutlinedInput from "@mui/material/OutlinedInput";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import type { ReactNode } from "react";
import { captionsUrl, type Film, type Production, type Words } from "../../api/client";
import { useBringCaptions } from "../../api/words";
import { Choice } from "../../parts/Choice";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import { FaceChoice } from "./FaceChoice";
import type { WordsActions } from "./useWordsActions";

/** How captions look, where they are part of the picture, and what they leave as. */
export function CaptionFoot(props: {
  production: Production;
  film: Film;
  words: Words;
  language: string;
  onLanguage: (to: string) => void;
  actions: WordsActions;
}) {
  const { production, film, words, language, onLanguage, actions } = props;
  const shape = useRoom((s) => s.shape);
  const bring = useBringCaptions(production.id);
  const { look } = words.captions;
  const own = film.shapes[0]?.name ?? "";
  const box = look.boxes.find((b) => b.shape === shape) ?? look.boxes[0];
  const lines = Math.min(production.width, production.height);
  const burnable = film.shapes.filter((s) => [own, "9:16", "1:1"].includes(s.name));
  return (
    <Box sx={{ px: 3, py: 2, borderTop: `1px solid ${ink.rule2}`, bgcolor: ink.paper }}>
      <Line name="Burned into">
        <ToggleButtonGroup
          size="small"
          value={look.burned}
          aria-label="Burned into"
          onChange={(_, burned: string[]) => actions.look({ language, burned })}
        >
          {burnable.map((s) => (
            <ToggleButton key={s.name} value={s.name}>
              {s.name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </Line>
      <Line name="As">
        <Choice
          label="How much at once"
          value={look.kind}
          of={[
            ["TWO_LINES", "two lines"],
            ["ONE_LINE", "one line"],
            ["FEW_WORDS", "a few words, spoken one marked"],
            ["ONE_WORD", "a word at a time"],
          ]}
          onChange={(kind) => actions.look({ language, kind })}
        />
      </Line>
      <Line name="Speakers">
        <Choice
          label="How speakers are told"
          value={look.speakers}
          of={[
            ["UNTOLD", "not told"],
            ["NAMES", "by name"],
            ["COLOURS", "by colour and a dash"],
            ["PLACES", "by side and a dash"],
          ]}
          onChange={(speakers) => actions.look({ language, speakers })}
        />
      </Line>
      <Line name="Face">
        <FaceChoice
          logotypes={false}
          label="Face of captions"
          value={look.lettering.face.family}
          onChange={(family) =>
            actions.look({
              language,
              lettering: { ...look.lettering, face: { ...look.lettering.face, family } },
            })
          }
        />
      </Line>
      <Line name="Letters">
        <OutlinedInput
          key={look.lettering.size}
          defaultValue={Math.round((look.lettering.size * lines) / 1000)}
          inputProps={{ "aria-label": "Letters of captions, px", inputMode: "numeric" }}
          onBlur={(e) => {
            const px = Number(e.target.value);
            const size = Math.round((px * 1000) / lines);
            if (px > 0 && size !== look.lettering.size)
              actions.look({ language, lettering: { ...look.lettering, size } });
          }}
          onKeyDown={(e) => {
            if (e.key === "Enter") (e.target as HTMLElement).blur();
          }}
          sx={{ width: 50, height: 26 }}
        />
        <Box sx={{ color: ink.ink2 }}>px, plate</Box>
        <Choice
          label="Plate of captions"
          value={look.lettering.plate.kind}
          of={[
            ["NONE", "none"],
            ["LINES", "by lines"],
            ["BLOCK", "behind all"],
            ["BAND", "dark band"],
          ]}
          onChange={(kind) =>
            actions.look({
              language,
              lettering: {
                ...look.lettering,
                plate: {
                  ...look.lettering.plate,
                  kind,
                  opacity: look.lettering.plate.opacity || 60,
                },
              },
            })
          }
        />
      </Line>
      <Line name="Bottom at">
        <OutlinedInput
          key={`${box?.y} ${shape}`}
          defaultValue={(box?.y ?? 930) / 10}
          inputProps={{ "aria-label": "Bottom of captions, %", inputMode: "decimal" }}
          onBlur={(e) => {
            const y = Math.round(Number(e.target.value) * 10);
            if (box && Number.isFinite(y) && y !== box.y)
              actions.look({ language, box: { x: box.x, y, width: box.width }, shape });
          }}
          onKeyDown={(e) => {
            if (e.key === "Enter") (e.target as HTMLElement).blur();
          }}
          sx={{ width: 50, height: 26 }}
        />
        <Box sx={{ color: ink.ink2 }}>% of the height in {shape ?? own}</Box>
      </Line>
      <Box sx={{ display: "flex", gap: 1, pt: 1, flexWrap: "wrap", alignItems: "center" }}>
        {(["srt", "vtt", "ttml", "csv"] as const).map((form) => (
          <Button
            key={form}
            size="small"
            component="a"
            href={captionsUrl(production.id, form, language, shape)}
            download
            title={
              form === "csv"
                ? "A table to translate in and bring back"
                : `As a ${form.toUpperCase()} file`
            }
            sx={{ minWidth: 0, px: 1.5 }}
          >
            {form.toUpperCase()}
          </Button>
        ))}
        <Button size="small" component="label" sx={{ px: 1.5, whiteSpace: "nowrap" }}>
          Bring in
          <input
            type="file"
            hidden
            aria-label="Bring in captions"
            accept=".srt,.vtt,.ttml,.xml,.csv"
            onChange={(e) => {
              const file = e.target.files?.[0];
              if (file) void bring(film.revision, language, file);
              e.target.value = "";
            }}
          />
        </Button>
        {language !== "en" && (
          <Button
            size="small"
            sx={{ px: 1.5 }}
            onClick={() =>
              void actions.languageOut(language).then((gone) => gone && onLanguage("en"))
            }
          >
            Take out
          </Button>
        )}
      </Box>
    </Box>
  );
}

function Line({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1, minHeight: 30 }}>
      <Box sx={{ width: 70, color: ink.ink2 }}>{name}</Box>
      {children}
    </Box>
  );
}
