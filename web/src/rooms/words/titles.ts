import type { Lettering, Title, TitleSight, Words } from "../../api/client";

/** What is wrong with a title, in a word or two each. */
export function titleFaults(title: Title, sight: TitleSight | undefined): string[] {
  const faults: string[] = [];
  if (title.place == null) return ["tied to what is gone"];
  if (sight && sight.least < sight.needed) faults.push("contrast");
  if (sight && sight.outside >= 1) faults.push("outside");
  if (sight?.covers) faults.push("over a face");
  if (sight?.crowds) faults.push("where publishers lay things");
  if (sight && sight.over.length > 0) faults.push("over the focus");
  if (title.stays < title.needs) faults.push("too short");
  if (title.missing.length > 0) faults.push("missing letters");
  return faults;
}

/** A title's first line, for lists. */
export const nameOf = (title: Title) => title.words.text.split("\n")[0] ?? "";

/** "#rrggbb" of 24 bits, and back. */
export const hex = (rgb: number) => `#${rgb.toString(16).padStart(6, "0")}`;
export const rgbOf = (text: string) => Number.parseInt(text.slice(1), 16);

/** Letters with another size, for a picture so many lines high. */
export const sized = (lettering: Lettering, pixels: number, lines: number): Lettering => ({
  ...lettering,
  size: Math.max(10, Math.min(800, Math.round((pixels * 1000) / lines))),
});

type Letters = Lettering["spacing"]["letters"];

/** Which letters were chosen: the one that is new, or none. */
export function lettersOf(on: readonly string[], now: Letters): Letters {
  const chosen = (["CAPITALS", "SMALL_CAPITALS"] as const).filter((name) => on.includes(name));
  return chosen.find((name) => name !== now) ?? chosen[0] ?? "AS_WRITTEN";
}

/** A shadow that is so dense; one that was none is soft. */
export const shaded = (shadow: Lettering["shadow"], opacity: number): Lettering["shadow"] => ({
  ...shadow,
  opacity,
  softness: shadow.opacity === 0 && shadow.softness === 0 ? 120 : shadow.softness,
});

/** What a caption does not keep to, in words. */
export function captionFaults(
  caption: Words["captions"]["captions"][number],
  rules: Words["captions"],
): string[] {
  return caption.faults.map((fault) => {
    switch (fault) {
      case "TOO_QUICK":
        return `too quick: ${caption.perSecond.toFixed(1)} of ${rules.mostPerSecond}`;
      case "TOO_SHORT":
        return "stands too short";
      case "TOO_LONG":
        return "stands too long";
      case "LINE_TOO_LONG":
        return `over ${rules.letters} letters a line`;
      case "NOT_APART":
        return "runs into the one before";
      case "BESIDE_CUT":
        return "ends just beside a cut";
      default:
        return "";
    }
  });
}
