package app.latethistle.core.words;

/** Which letters words are set in. */
public enum LetterCase {
  AS_WRITTEN,
  CAPITALS,
  /** Small capitals of the face where it has them, else capitals at 80 % of the size. */
  SMALL_CAPITALS
}
