package app.latethistle.core.interchange;

import app.latethistle.core.Refused;
import app.latethistle.core.grade.ColourChange;
import app.latethistle.core.grade.GivenTable;
import app.latethistle.core.grade.Signal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Tables of colours as the text of a .cube file: a title, a size, a domain (0 to 1 if it is not
 * said), then a line of red, green and blue for each entry, red innermost; what follows a {@code #}
 * is for people.
 */
public final class CubeText {
  private CubeText() {}

  /**
   * The text.
   *
   * @param title put into it without its quotation marks
   * @param size entries along each side, 2 to 256
   */
  public static String of(String title, ColourChange grading, int size) {
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

  private static final int MOST_CUBE = 129;
  private static final int MOST_LINE = 65_536;

  /**
   * Reads a table.
   *
   * @throws IllegalArgumentException if it is none, naming the line and what is wrong there
   */
  public static GivenTable parse(String text) {
    return new Reading().of(text);
  }

  /** A file while it is read. */
  private static final class Reading {
    private final List<Float> values = new ArrayList<>();
    private Signal least = new Signal(0, 0, 0);
    private Signal most = new Signal(1, 1, 1);
    private int size;
    private boolean cube;
    private int line;

    GivenTable of(String text) {
      for (String each : text.lines().toList()) {
        line++;
        String said = each.replaceFirst("#.*", "").strip();
        if (!said.isEmpty()) {
          read(said);
        }
      }
      if (size == 0) {
        throw new Refused("This is no table of colours: it has no LUT_1D_SIZE or LUT_3D_SIZE.");
      }
      if (least.red() >= most.red()
          || least.green() >= most.green()
          || least.blue() >= most.blue()) {
        throw new Refused("The table's DOMAIN_MIN has to lie below its DOMAIN_MAX.");
      }
      return new GivenTable(size, cube, least, most, values);
    }

    private void read(String said) {
      String[] words = said.split("\\s+");
      switch (words[0]) {
        case "TITLE" -> {}
        case "LUT_1D_SIZE" -> size(words, /* isCube= */ false, MOST_LINE);
        case "LUT_3D_SIZE" -> size(words, /* isCube= */ true, MOST_CUBE);
        case "DOMAIN_MIN" -> least = colour(words, 1);
        case "DOMAIN_MAX" -> most = colour(words, 1);
        case "LUT_1D_INPUT_RANGE", "LUT_3D_INPUT_RANGE" -> {
          double from = number(words, 1);
          double to = number(words, 2);
          least = new Signal(from, from, from);
          most = new Signal(to, to, to);
        }
        default -> {
          Signal entry = colour(words, 0);
          values.add((float) entry.red());
          values.add((float) entry.green());
          values.add((float) entry.blue());
        }
      }
    }

    private void size(String[] words, boolean isCube, int largest) {
      if (size != 0) {
        throw wrong("a second size; a file with two tables is not read");
      }
      double said = number(words, 1);
      if (said != Math.rint(said) || said < 2 || said > largest) {
        throw wrong("a size is a whole number from 2 to " + largest);
      }
      size = (int) said;
      cube = isCube;
    }

    private Signal colour(String[] words, int from) {
      if (words.length != from + 3) {
        throw wrong("three numbers are wanted here");
      }
      return new Signal(number(words, from), number(words, from + 1), number(words, from + 2));
    }

    private double number(String[] words, int at) {
      if (at >= words.length) {
        throw wrong("a number is missing");
      }
      try {
        double value = Double.parseDouble(words[at]);
        if (Double.isFinite(value)) {
          return value;
        }
      } catch (NumberFormatException e) {
        // Said below.
      }
      throw wrong(
          "\"" + words[at].substring(0, Math.min(30, words[at].length())) + "\" is no number");
    }

    private Refused wrong(String what) {
      return new Refused("Line " + line + " of the table: " + what + ".");
    }
  }
}
