package app.latethistle.core.words;

import app.latethistle.core.Refused;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * How words are set.
 *
 * @param face the family they are set in
 * @param size of the letters, in thousandths of the picture's height, 10 to 800; of its width where
 *     that is less
 * @param spacing between letters and lines, and which letters
 * @param fill what the letters are made of
 * @param colour of the letters: red, green, blue in 24 bits
 * @param outline round the letters
 * @param shadow of the letters
 * @param plate behind them
 */
public record Lettering(
    Face face,
    int size,
    Spacing spacing,
    Fill fill,
    int colour,
    Outline outline,
    Shadow shadow,
    Plate plate) {

  /**
   * A face.
   *
   * @param family as it is called
   * @param bold the heavier of its weights
   * @param italic its slanted letters
   */
  public record Face(String family, boolean bold, boolean italic) {
    /**
     * @throws IllegalArgumentException if the family has no name
     */
    public Face {
      if (family.isBlank() || family.length() > 100) {
        throw new Refused("A face has a name of up to 100 letters, not “" + family + "”.");
      }
    }

    public static Face of(String family) {
      return new Face(family, false, false);
    }

    public static Face bold(String family) {
      return new Face(family, true, false);
    }
  }

  /**
   * How letters and lines stand to each other.
   *
   * @param tracking more between letters, in thousandths of their size, -100 to 1000
   * @param leading from line to line, in percent of the letters' size, 70 to 300
   * @param letters which letters
   * @param align where the lines stand
   */
  public record Spacing(int tracking, int leading, LetterCase letters, Align align) {
    public static final Spacing MIDDLE = new Spacing(0, 115, LetterCase.AS_WRITTEN, Align.MIDDLE);

    /**
     * @throws IllegalArgumentException if a value is out of its range
     */
    public Spacing {
      Range.check("Tracking", tracking, -100, 1000, "thousandths of the letters' size");
      Range.check("A line's height", leading, 70, 300, "% of the letters' size");
    }

    /** The same standing elsewhere in its box. */
    public Spacing withAlign(Align other) {
      return new Spacing(tracking, leading, letters, other);
    }
  }

  /**
   * @throws IllegalArgumentException if a value is out of its range
   */
  public Lettering {
    Range.check("The letters' size", size, 10, 800, "thousandths of the picture's height");
    Range.check("A colour", colour, 0, 0xffffff, "");
  }

  /** Letters of a colour and nothing else. */
  public static Lettering plain(Face face, int size, int colour) {
    return new Lettering(
        face, size, Spacing.MIDDLE, Fill.COLOUR, colour, Outline.NONE, Shadow.NONE, Plate.NONE);
  }

  /** The families of some letterings, by their names. */
  public static Set<String> families(Stream<Lettering> letterings) {
    return letterings
        .map(lettering -> lettering.face.family())
        .collect(Collectors.toCollection(TreeSet::new));
  }

  public Lettering withFace(Face other) {
    return new Lettering(other, size, spacing, fill, colour, outline, shadow, plate);
  }

  public Lettering withSize(int other) {
    return new Lettering(face, other, spacing, fill, colour, outline, shadow, plate);
  }

  public Lettering withSpacing(Spacing other) {
    return new Lettering(face, size, other, fill, colour, outline, shadow, plate);
  }

  public Lettering withFill(Fill other) {
    return new Lettering(face, size, spacing, other, colour, outline, shadow, plate);
  }

  public Lettering withColour(int other) {
    return new Lettering(face, size, spacing, fill, other, outline, shadow, plate);
  }

  public Lettering withOutline(Outline other) {
    return new Lettering(face, size, spacing, fill, colour, other, shadow, plate);
  }

  public Lettering withShadow(Shadow other) {
    return new Lettering(face, size, spacing, fill, colour, outline, other, plate);
  }

  public Lettering withPlate(Plate other) {
    return new Lettering(face, size, spacing, fill, colour, outline, shadow, other);
  }
}
