package app.latethistle.core.interchange;

import app.latethistle.core.grade.Grading;
import app.latethistle.core.grade.Signal;
import java.util.Locale;

/** A grading as the text of a .cube file: a table with red innermost, from 0 to 1. */
public final class CubeText {
  private CubeText() {}

  /**
   * The text.
   *
   * @param title put into it without its quotation marks
   * @param size entries along each side, 2 to 256
   */
  public static String of(String title, Grading grading, int size) {
    StringBuilder text = new StringBuilder(size * size * size * 27);
    text.append("TITLE \"").append(title.replace('"', '\'')).append("\"\n");
    text.append("LUT_3D_SIZE ").append(size).append('\n');
    double most = size - 1.0;
    for (int blue = 0; blue < size; blue++) {
      for (int green = 0; green < size; green++) {
        for (int red = 0; red < size; red++) {
          Signal out = grading.apply(new Signal(red / most, green / most, blue / most)).held();
          text.append(
              String.format(Locale.ROOT, "%.6f %.6f %.6f%n", out.red(), out.green(), out.blue()));
        }
      }
    }
    return text.toString();
  }
}
