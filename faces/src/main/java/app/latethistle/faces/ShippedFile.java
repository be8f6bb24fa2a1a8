package app.latethistle.faces;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/**
 * A file of a family's letters in one weight, slope and script.
 *
 * @param family as it is called
 * @param character what it looks like
 * @param weight 400 or 700
 * @param italic whether its letters are slanted
 * @param script such as latin or cyrillic
 * @param file its name beside this class
 */
public record ShippedFile(
    String family, String character, int weight, boolean italic, String script, String file) {

  /** All of them; those of a family by script. */
  public static List<ShippedFile> all() {
    try (BufferedReader lines =
        new BufferedReader(
            new InputStreamReader(
                ShippedFile.class.getResourceAsStream("faces.csv"), StandardCharsets.UTF_8))) {
      return lines.lines().skip(1).map(ShippedFile::of).toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static ShippedFile of(String row) {
    String[] cells = row.split(",");
    return new ShippedFile(
        cells[0],
        cells[1],
        Integer.parseInt(cells[2]),
        cells[3].equals("italic"),
        cells[4],
        cells[5]);
  }

  /** Its bytes: TrueType. */
  public InputStream open() {
    return ShippedFile.class.getResourceAsStream(file);
  }
}
