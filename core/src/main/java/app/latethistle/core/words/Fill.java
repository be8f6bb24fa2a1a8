package app.latethistle.core.words;

/** What letters are made of. */
public enum Fill {
  COLOUR,
  /** The film itself is seen through the letters, out of a plate over the whole picture. */
  FILM
}
