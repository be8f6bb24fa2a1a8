package app.latethistle.core.words;

/**
 * A title to begin with.
 *
 * @param name what it is called
 * @param words what it says until a person writes, and what it is for
 * @param lettering how it is set
 * @param box where it stands
 * @param movement how it comes and goes
 */
public record Design(
    String name, TitleWords words, Lettering lettering, Box box, Movement movement) {
  /** A person's words for what it is for, over its own smaller ones; its own if they are blank. */
  public TitleWords saying(String text) {
    return text.isBlank() ? words : saying(text, words.second());
  }

  /** A person's words for what it is for. */
  public TitleWords saying(String text, String second) {
    return new TitleWords(words.kind(), text, second);
  }
}
