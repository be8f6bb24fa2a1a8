package app.latethistle.core.words;

/** How captions tell who speaks, where another does than in the line before. */
public enum Speakers {
  /** They do not. */
  UNTOLD,
  /** By name, before what is said. */
  NAMES,
  /** Each in a colour, and with a dash, so that nobody needs to see the colour. */
  COLOURS,
  /** The first at one side, the second at the other, all others in the middle, and with a dash. */
  PLACES
}
