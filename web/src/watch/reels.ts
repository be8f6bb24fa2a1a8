import { ApiProblem, sentenceOf } from "../api/client";
import type { components } from "../api/generated/schema";

export type Watched = components["schemas"]["WatchView"];
export type Reel = components["schemas"]["ReelView"];
export type Note = components["schemas"]["NoteView"];

async function answered<T>(request: Promise<Response>): Promise<T> {
  const response = await request.catch(() => {
    throw new ApiProblem(0, "Whoever sent the link does not answer; their machine may be off.");
  });
  const body = (await response.json().catch(() => null)) as unknown;
  if (!response.ok) throw new ApiProblem(response.status, sentenceOf(response.status, body));
  return body as T;
}

/** What a link shows. */
export const reelsOf = (link: string) => answered<Watched>(fetch(`${link}/reels`));

/** Leaves a note; all there are then. */
export const leave = (link: string, note: components["schemas"]["NewNote"]): Promise<Note[]> =>
  answered<Note[]>(
    fetch(`${link}/notes`, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify(note),
    }),
  );

/** A moment as people say it: "1:05". */
export function clock(seconds: number): string {
  const whole = Math.max(0, Math.floor(seconds));
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, "0")}`;
}
