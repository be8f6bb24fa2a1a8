package app.latethistle.core.words;

/** What of a title comes or goes as one. */
public enum Unit {
  WHOLE,
  LINE,
  WORD,
  LETTER
}
