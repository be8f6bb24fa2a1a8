package app.latethistle.core.words;

/** How much of what is spoken stands at once. */
public enum CaptionKind {
  /** Up to two lines. */
  TWO_LINES,
  ONE_LINE,
  /** Three to five words, the spoken one marked. */
  FEW_WORDS,
  /** One word at a time, as it is spoken. */
  ONE_WORD
}
