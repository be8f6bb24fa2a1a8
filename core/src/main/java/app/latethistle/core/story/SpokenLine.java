package app.latethistle.core.story;

/**
 * A line that is heard.
 *
 * @param number its place among the script's lines, from 1
 * @param speaker who says it; "Narrator" if the script names nobody
 * @param narration whether it is spoken over the picture
 * @param text its words
 * @param sourceLine the line of the script's text it begins on, from 1
 * @param scene the place of its scene in the script, from 0; -1 before the first
 */
public record SpokenLine(
    int number, String speaker, boolean narration, String text, int sourceLine, int scene) {
  /** How many words are said; marked pauses are none. */
  public int words() {
    return Delivery.words(text);
  }
}
