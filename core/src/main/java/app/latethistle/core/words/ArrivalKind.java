package app.latethistle.core.words;

/** How a unit comes; it goes the other way round. */
public enum ArrivalKind {
  /** It is there, or it is not. */
  NONE,
  FADE,
  /** From below, a third of a line. */
  RISE,
  /** From the left, a line's height. */
  SLIDE,
  /** From half its size. */
  GROW,
  /** The letters of its line come together. */
  CLOSE,
  /** A blur clears. */
  CLEAR,
  /** It is uncovered from where reading begins. */
  WIPE,
  /** A letter after the other, at once. */
  TYPE,
  /** Its outline first, as it is drawn, then its fill. */
  DRAW,
  /** It goes on and off before it stays. */
  FLICKER,
  /** From above its size to it, past it a little, and back. */
  SETTLE
}
