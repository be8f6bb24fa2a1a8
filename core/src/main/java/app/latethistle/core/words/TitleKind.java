package app.latethistle.core.words;

/** What a title is for. */
public enum TitleKind {
  /** The film's name. */
  MAIN,
  /** A few words by themselves. */
  CARD,
  /** Who or where this is, at the lower edge. */
  NAME,
  /** A part's number and name. */
  CHAPTER,
  /** Another's words, and whose they are. */
  QUOTATION,
  /** A number or a date that runs: "{0..41}" in its words counts from 0 to 41 until it lands. */
  COUNTER,
  /** Lines one under another. */
  LIST,
  /** Who did what: "part: name" in each line. */
  CREDITS,
  /** The film's last picture, with room for what a publisher lays over it. */
  END,
  /** A channel's sign that lies over a mark; nobody needs to read it. */
  BADGE
}
