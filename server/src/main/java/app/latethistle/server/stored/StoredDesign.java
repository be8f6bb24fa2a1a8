package app.latethistle.server.stored;

import app.latethistle.core.words.Design;
import app.latethistle.document.WordForms;

/** A title of the person's own to begin others with, as it is stored. */
public final class StoredDesign {
  private static final int FORMAT = 1;

  private StoredDesign() {}

  /** As text. */
  public static String write(Design design) {
    return Json.write(FORMAT, WordForms.Designed.of(design));
  }

  /**
   * From text.
   *
   * @throws IllegalStateException if a newer release wrote it
   */
  public static Design read(String text) {
    Json.format(Json.tree(text), FORMAT);
    return Json.as(Json.tree(text), WordForms.Designed.class).get();
  }
}
