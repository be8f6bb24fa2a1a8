package app.latethistle.core.words;

/** Where lines stand in their box. */
public enum Align {
  /** Where reading begins: left, right in scripts that run to the left. */
  START,
  MIDDLE,
  END
}
