import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { TitleSight, Words } from "../../api/client";
import { RoomFoot } from "../../parts/RoomFoot";
import { plural } from "../../parts/words";
import { ink } from "../../theme";
import { captionFaults, nameOf, titleFaults } from "./titles";

interface Props {
  words: Words;
  sights: ReadonlyMap<string, TitleSight>;
  onTitle: (id: string) => void;
  onCaption: (at: number) => void;
}

/** What there is, and what is wrong, each with what shows it. */
export function WordsFoot({ words, sights, onTitle, onCaption }: Props) {
  const wrong = problemsOf(words, sights);
  const { captions, language } = words.captions;
  return (
    <RoomFoot>
      <Box>
        {plural(words.titles.length, "title")}, {plural(captions.length, "caption")} in {language}
      </Box>
      {wrong.slice(0, 3).map((one) => (
        <Button
          key={one.says}
          size="small"
          sx={{ minHeight: 22, py: 0, color: ink.rust, border: 0 }}
          onClick={() => (one.title === null ? onCaption(one.caption) : onTitle(one.title))}
        >
          {one.says}
        </Button>
      ))}
      <Box sx={{ flex: 1 }} />
      {wrong.length > 0 && <Box sx={{ color: ink.ink2 }}>P next problem</Box>}
    </RoomFoot>
  );
}

/** All that is wrong with the words, titles first. */
export function problemsOf(words: Words, sights: ReadonlyMap<string, TitleSight>) {
  const titles = words.titles.flatMap((title) =>
    titleFaults(title, sights.get(title.id)).map((fault) => ({
      says: `\u201c${nameOf(title)}\u201d: ${fault}`,
      title: title.id as string | null,
      caption: -1,
    })),
  );
  const captions = words.captions.captions.flatMap((one, i) =>
    captionFaults(one, words.captions).map((fault) => ({
      says: `caption ${i + 1} ${fault}`,
      title: null,
      caption: i,
    })),
  );
  return [...titles, ...captions];
}
