import { keyStillUrl, stillUrl, type Look, type LookShot } from "../../api/client";

/** What a shot is to look like. */
export interface Key {
  /** The shot; null if it is a still that was brought in. */
  shot: LookShot | null;
  /** "key shot 020", "key still dusk.png". */
  name: string;
  /** What it shows, in words. */
  title: string;
  url: string;
}

const LONGEST = 24;

/** A file's name as far as there is room for it. */
export const shortened = (name: string) =>
  name.length > LONGEST ? `${name.slice(0, LONGEST - 1)}\u2026` : name;

/** Whether anything is chosen that all shots are to look like. */
export const hasKey = (look: Look) => look.key !== null || look.still !== null;

/**
 * What a shot is to look like: its group's key, or the film's, towards which keys of groups are led;
 * null for the film's key itself.
 */
export function keyOf(production: number, look: Look, shot: LookShot): Key | null {
  const ofGroup = look.shots.find(
    (s) => s.group === shot.group && s.group !== null && s.keyOf !== "NONE",
  );
  const key = ofGroup && ofGroup !== shot ? ofGroup : look.shots.find((s) => s.item === look.key);
  if (key) {
    return key === shot
      ? null
      : {
          shot: key,
          name: `key shot ${key.label}`,
          title: key.title,
          url: stillUrl(production, look.revision, key.frame),
        };
  }
  if (!look.still) return null;
  const { name, picture } = look.still;
  return {
    shot: null,
    name: `key still ${shortened(name)}`,
    title: "",
    url: keyStillUrl(production, picture),
  };
}
