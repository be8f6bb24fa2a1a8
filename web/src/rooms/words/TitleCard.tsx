import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import OutlinedInput from "@mui/material/OutlinedInput";
import { useState } from "react";
import {
  inShape,
  stillUrl,
  type Film,
  type Production,
  type Title,
  type TitleSight,
} from "../../api/client";
import { boxIn, useIsLogotype } from "../../api/words";
import { CardRow } from "../../parts/CardRow";
import { Choice } from "../../parts/Choice";
import { LowButton } from "../../parts/LowButton";
import { NumberField } from "../../parts/NumberField";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import { FollowRow } from "../follow/FollowRow";
import type { Follow } from "../follow/useFollow";
import { AsideFields } from "../mix/AsideFields";
import { TiesThere } from "../mix/TiesThere";
import { freeAt, onCut } from "../mix/moments";
import { AlignChoice } from "./AlignChoice";
import { ContrastBars } from "./ContrastBars";
import { KeepDesign } from "./KeepDesign";
import { LetteringFields } from "./LetteringFields";
import { MovementFields } from "./MovementFields";
import { PictureInLetters } from "./PictureInLetters";
import type { Draft } from "./useTitleDrafts";
import type { WordsActions } from "./useWordsActions";

interface Props {
  production: Production;
  film: Film;
  title: Title;
  sight: TitleSight | undefined;
  actions: WordsActions;
  follow: Follow;
  onTry: (draft: Draft) => void;
  onKeep: (draft: Draft) => void;
}

const PLACES = [
  [250, 220],
  [500, 220],
  [750, 220],
  [250, 500],
  [500, 500],
  [750, 500],
  [250, 800],
  [500, 800],
  [750, 800],
] as const;

const REMEDIES = { SHADOW: "Shadow", PLATE: "Plate", MOVE: "Move it clear" } as const;

/** All that is said of a title. */
export function TitleCard(props: Props) {
  const { production, film, title, sight, actions, follow, onTry, onKeep } = props;
  const shape = useRoom((s) => s.shape);
  const lines = Math.min(production.width, production.height);
  const { lettering, movement } = title;
  const box = boxIn(title.boxes, shape);
  const step = (way: 1 | -1) => actions.step(title, way);
  const fps = production.framesPerSecond;
  const isLogotype = useIsLogotype(lettering.face.family);
  return (
    <Box
      component="section"
      aria-label="Title"
      sx={{
        flex: 1,
        minHeight: 0,
        overflow: "auto",
        px: 3,
        py: 2,
        borderTop: `1px solid ${ink.rule2}`,
      }}
    >
      <Text
        label="Its words"
        value={title.words.text}
        rows={title.words.text.includes("\n") || movement.course !== "STANDS" ? 4 : 1}
        onTry={(text) => text.trim() !== "" && onTry({ words: { ...title.words, text } })}
        onKeep={(text) => text.trim() !== "" && onKeep({ words: { ...title.words, text } })}
      />
      {!isLogotype && (
        <Text
          label="Smaller, under them"
          value={title.words.second}
          rows={1}
          onTry={(second) => onTry({ words: { ...title.words, second } })}
          onKeep={(second) => onKeep({ words: { ...title.words, second } })}
        />
      )}
      {title.missing.length > 0 && (
        <Box sx={{ color: ink.rust, mb: 1 }}>No face has {title.missing.join(" ")}</Box>
      )}
      <LetteringFields
        lettering={lettering}
        lines={lines}
        onTry={(to) => onTry({ lettering: to })}
        onKeep={(to) => onKeep({ lettering: to })}
      />
      {!isLogotype && (
        <PictureInLetters
          production={production.id}
          picture={title.picture}
          onChoose={(picture) => onKeep({ picture: picture ?? "" })}
        />
      )}
      <Box sx={{ display: "flex", gap: 2, py: 1 }}>
        <Box>
          <Box sx={{ color: ink.ink2, mb: 1 }}>Place</Box>
          <Box
            role="group"
            aria-label="Place on the picture"
            sx={{ display: "grid", gridTemplateColumns: "repeat(3, 24px)", gap: "1px" }}
          >
            {PLACES.map(([x, y]) => {
              const near = Math.abs(box.x - x) < 100 && Math.abs(box.y - y) < 130;
              return (
                <Button
                  key={`${x} ${y}`}
                  aria-label={`${x / 10} % across, ${y / 10} % down`}
                  aria-pressed={near}
                  onClick={() => onKeep({ box: { ...box, x, y }, shape })}
                  sx={{
                    minWidth: 0,
                    minHeight: 18,
                    height: 18,
                    p: 0,
                    borderRadius: 0,
                    border: `1px solid ${ink.edge}`,
                    bgcolor: near ? ink.thistle : ink.sheet,
                  }}
                >
                  <Box sx={{ width: 9, height: 2, bgcolor: near ? "#fff" : ink.ink2 }} />
                </Button>
              );
            })}
          </Box>
          <Box sx={{ mt: 2 }}>
            <AlignChoice
              value={lettering.spacing.align}
              onChange={(align) =>
                onKeep({ lettering: { ...lettering, spacing: { ...lettering.spacing, align } } })
              }
            />
          </Box>
        </Box>
        <MovementFields movement={movement} onKeep={(to) => onKeep({ movement: to })} />
      </Box>
      <CardRow>
        <Box sx={{ flex: 1, minWidth: 0 }}>lands {landing(title.says)}</Box>
        <LowButton title="The moment before (,)" onPress={() => step(-1)}>
          ‹
        </LowButton>
        <LowButton title="The next moment (.)" onPress={() => step(1)}>
          ›
        </LowButton>
        {title.place && title.at.tie !== "free" && (
          <LowButton
            title="Let it stay where it is, whatever moves"
            onPress={() => actions.land(title, freeAt(title.place?.landing ?? 0))}
          >
            free
          </LowButton>
        )}
      </CardRow>
      {title.place && (
        <TiesThere
          film={film}
          of={title.id}
          frame={title.place.landing}
          now={title.at}
          onTie={(tie) => actions.land(title, tie)}
        />
      )}
      <CardRow>
        <NumberField
          label="stays"
          unit="s"
          digits={2}
          value={title.frames / fps}
          onChange={(s) => actions.stay(title, s * fps, null)}
        />
        <Box sx={{ flex: 1 }} />
        {title.until ? (
          <LowButton onPress={() => actions.stay(title, title.frames, null)}>so long</LowButton>
        ) : (
          <LowButton
            title="It ends on the next cut, wherever that goes"
            onPress={() => actions.stay(title, title.frames, onCut(cutAfter(film, title)))}
          >
            to the cut
          </LowButton>
        )}
      </CardRow>
      <Box sx={{ color: title.stays < title.needs ? ink.rust : ink.ink2, pb: 1 }}>
        whole for {title.stays.toFixed(1)} s; reading it takes {title.needs.toFixed(1)} s
        {title.stays < title.needs && (
          <LowButton
            onPress={() =>
              actions.stay(title, title.frames + Math.ceil((title.needs - title.stays) * fps), null)
            }
          >
            stay so long
          </LowButton>
        )}
      </Box>
      <FollowRow
        film={film}
        fps={fps}
        follows={title.follows}
        does="goes with"
        stays="stays in its place"
        busy={follow.busy}
        onPick={() => follow.begin(title.id)}
        onStay={() => follow.stay(title.id)}
      />
      <AsideFields asked={title.asked} onAsk={(asked) => actions.aside(title.id, asked)} />
      {sight && (
        <Box sx={{ borderTop: `1px solid ${ink.rule}`, pt: 2 }}>
          {isLogotype ? (
            <Box sx={{ color: ink.ink2 }}>No contrast is asked of a logotype.</Box>
          ) : (
            <>
              <Box sx={{ display: "flex" }}>
                <Box sx={{ flex: 1 }}>
                  Contrast <b>{sight.median.toFixed(1)}:1</b>
                </Box>
                <Box
                  sx={{ color: sight.least < sight.needed ? ink.rust : ink.moss, fontWeight: 600 }}
                >
                  {sight.least.toFixed(1)}:1 at worst, {sight.needed} needed
                </Box>
              </Box>
              <ContrastBars sight={sight} />
            </>
          )}
          {sight.outside >= 1 && (
            <Box sx={{ color: ink.rust }}>
              {sight.outside.toFixed(0)} px outside the area that is seen everywhere
            </Box>
          )}
          {sight.covers && <Box sx={{ color: ink.rust }}>over somebody’s face</Box>}
          {sight.crowds && (
            <Box sx={{ color: ink.rust }}>where its publisher lays things over the picture</Box>
          )}
          {sight.over.length > 0 && (
            <Box sx={{ color: ink.rust }}>
              over the focus of{" "}
              {film.shots
                .filter((s) => sight.over.includes(s.id))
                .map((s) => s.label)
                .join(", ")}
            </Box>
          )}
          <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", py: 1 }}>
            {sight.remedies.map((remedy) => (
              <Button
                key={remedy.kind}
                size="small"
                onClick={() =>
                  onKeep({
                    ...(remedy.lettering ? { lettering: remedy.lettering } : {}),
                    ...(remedy.box ? { box: remedy.box, shape } : {}),
                  })
                }
              >
                {REMEDIES[remedy.kind]}: {remedy.ratio.toFixed(1)}:1
              </Button>
            ))}
          </Box>
        </Box>
      )}
      <Others production={production} film={film} title={title} />
      <CardRow>
        <Choice
          label="Over what it lies"
          value={`${title.layer}`}
          of={[
            ["4", "over everything"],
            ["3", "over layer 3"],
            ["2", "over layer 2"],
            ["1", "over layer 1"],
            ["0", "behind all layers"],
          ]}
          onChange={(layer) => onKeep({ layer: Number(layer) })}
        />
        <Button size="small" title="Delete" onClick={() => actions.out([title.id])}>
          Take out
        </Button>
      </CardRow>
      <CardRow>
        <KeepDesign key={title.id} production={production.id} title={title.id} />
      </CardRow>
    </Box>
  );
}

/** What a title lands on, after the word “lands”. */
function landing(says: string): string {
  if (says === "free") return "where it is";
  return says.startsWith("with ") ? says : `on ${says}`;
}

/** The shot that begins after a title has landed; "" for the film's end. */
function cutAfter(film: Film, title: Title): string {
  const landing = title.place?.landing ?? 0;
  return film.shots.find((s) => s.start > landing)?.id ?? "";
}

/** The title as it stands in other shapes. */
function Others({ production, film, title }: { production: Production; film: Film; title: Title }) {
  const shape = useRoom((s) => s.shape);
  const set = useRoom((s) => s.set);
  const own = film.shapes[0]?.name;
  const others = film.shapes.filter(
    (s) => ["16:9", "9:16", "1:1"].includes(s.name) && s.name !== (shape ?? own),
  );
  const at = title.place?.landing;
  if (at === undefined) return null;
  return (
    <Box sx={{ display: "flex", gap: 2, py: 2, borderTop: `1px solid ${ink.rule}` }}>
      {others.map((s) => (
        <Button
          key={s.name}
          onClick={() => set({ shape: s.name === own ? null : s.name })}
          sx={{ p: 0, minWidth: 0, display: "block", border: 0, textAlign: "left" }}
          title={`Watch it in ${s.name}`}
        >
          <img
            src={stillUrl(
              production.id,
              inShape(film.revision, s.name === own ? null : s.name),
              Math.min(film.length - 1, at),
            )}
            alt={`In ${s.name}`}
            style={{ height: 62, display: "block" }}
          />
          <Box sx={{ fontSize: 12, color: ink.ink2 }}>{s.name}</Box>
        </Button>
      ))}
    </Box>
  );
}

/** A text that is seen as it is typed; Enter or leaving it keeps it, Escape gives it up. */
function Text(props: {
  label: string;
  value: string;
  rows: number;
  onTry: (to: string) => void;
  onKeep: (to: string) => void;
}) {
  const { label, value, rows, onTry, onKeep } = props;
  const [text, setText] = useState<string | null>(null);
  return (
    <OutlinedInput
      fullWidth
      multiline={rows > 1}
      minRows={rows}
      value={text ?? value}
      placeholder={label}
      inputProps={{ "aria-label": label, maxLength: 4000 }}
      onChange={(e) => {
        setText(e.target.value);
        onTry(e.target.value);
      }}
      onBlur={() => {
        if (text !== null && text !== value) onKeep(text);
        setText(null);
      }}
      onKeyDown={(e) => {
        if (e.key === "Enter" && (rows === 1 || e.ctrlKey)) (e.target as HTMLElement).blur();
        if (e.key === "Escape") {
          setText(null);
          onTry(value);
        }
      }}
      sx={{ mb: 1, bgcolor: ink.sheet, "& .MuiOutlinedInput-input": { py: 1, px: 1.5 } }}
    />
  );
}
