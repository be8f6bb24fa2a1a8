import type { Film, WordEdge } from "../../api/client";

/** All ends of words with the frames of cuts tied to them, in order. */
export function wordEdges(film: Film): (WordEdge & { frame: number })[] {
  return film.voice
    .flatMap((line) =>
      line.words.flatMap((w) => [
        { line: line.line, word: w.word, edge: "START" as const, frame: w.startFrame },
        { line: line.line, word: w.word, edge: "END" as const, frame: w.endFrame },
      ]),
    )
    .sort((a, b) => a.frame - b.frame);
}

/** The end of a word that is nearest to a frame, among those that will do. */
export function nearestWord(
  film: Film,
  frame: number,
  only: (at: number) => boolean = () => true,
): (WordEdge & { frame: number }) | null {
  let best: (WordEdge & { frame: number }) | null = null;
  for (const edge of wordEdges(film)) {
    if (!only(edge.frame)) continue;
    if (!best || Math.abs(edge.frame - frame) < Math.abs(best.frame - frame)) best = edge;
  }
  return best;
}

/** "start of \u2018lantern\u2019". */
export function wordName(film: Film, at: WordEdge): string {
  const word = film.voice.find((l) => l.line === at.line)?.words.find((w) => w.word === at.word);
  const text = word?.text.replace(/^[^\p{L}]+|[^\p{L}]+$/gu, "") ?? "?";
  return `${at.edge === "START" ? "start" : "end"} of \u2018${text}\u2019`;
}
