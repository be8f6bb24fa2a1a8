import type { Film, Mix, Tie } from "../../api/client";
import { beatTie, freeAt } from "./moments";

type Turn = Mix["turns"][number];

/** A turn as it is asked for. */
export interface NewTurn {
  kind: Turn["kind"];
  from: Tie;
  until: Tie;
}

/** Which end of a turn. */
export type TurnEnd = "from" | "until";

/** An end of a turn while it is dragged, by its place among them. */
export interface Turning {
  turn: number;
  end: TurnEnd;
  frame: number;
}

/** What a turn is called. */
export const TURNS: Record<Turn["kind"], string> = { STOP: "stops", MUFFLE: "grows dull" };

/** A moment before which the music can turn, and what is offered there. */
export interface Offer {
  says: string;
  turn: NewTurn;
}

/**
 * What the music may do before the bar at the playhead or after it: a stop of one beat, a dull bar;
 * without beats half a second and two before the playhead.
 */
export function offersAt(film: Film, frame: number, fps: number): Offer[] {
  const { frames, firstDownbeat, beatsPerBar } = film.clock;
  const bar = frames.findIndex(
    (at, beat) =>
      beat >= firstDownbeat && (beat - firstDownbeat) % beatsPerBar === 0 && at >= frame,
  );
  if (bar >= beatsPerBar) {
    const name = `bar ${(bar - firstDownbeat) / beatsPerBar + 1}`;
    const until = beatTie(bar);
    return [
      {
        says: `stop for a beat before ${name}`,
        turn: { kind: "STOP", from: beatTie(bar - 1), until },
      },
      {
        says: `grow dull over the bar before ${name}`,
        turn: { kind: "MUFFLE", from: beatTie(bar - beatsPerBar), until },
      },
    ];
  }
  if (frame < fps / 2) return [];
  const until = freeAt(frame);
  return [
    {
      says: "stop for half a second before the playhead",
      turn: { kind: "STOP", from: freeAt(frame - fps / 2), until },
    },
    {
      says: "grow dull over two seconds before the playhead",
      turn: { kind: "MUFFLE", from: freeAt(frame - 2 * fps), until },
    },
  ];
}
