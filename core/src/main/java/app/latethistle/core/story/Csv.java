package app.latethistle.core.story;

import app.latethistle.core.Refused;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** Comma-separated values after RFC 4180; semicolons and tabs are taken as commas too. */
public final class Csv {
  private static final CSVFormat READ =
      CSVFormat.DEFAULT
          .builder()
          .setIgnoreSurroundingSpaces(true)
          .setTrim(true)
          .setTrailingData(true)
          .get();

  /** Where, in the library's words, a quoted field begins that does not end. */
  private static final Pattern BEGUN = Pattern.compile("startline (\\d+)");

  private Csv() {}

  /**
   * Reads rows of fields. The separator is the one of comma, semicolon and tab that the first line
   * has most of. Empty lines are left out.
   *
   * @throws IllegalArgumentException if a quoted field does not end
   */
  public static List<List<String>> read(String text) {
    char separator = separator(text.lines().findFirst().orElse(""));
    CSVFormat format = READ.builder().setDelimiter(separator).get();
    List<List<String>> rows = new ArrayList<>();
    try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
      for (CSVRecord row : parser) {
        List<String> fields = row.toList();
        if (fields.stream().anyMatch(f -> !f.isEmpty())) {
          rows.add(List.copyOf(fields));
        }
      }
    } catch (IOException | UncheckedIOException | IllegalStateException e) {
      throw unreadable(e);
    }
    return rows;
  }

  private static Refused unreadable(Exception failure) {
    Matcher begun = BEGUN.matcher(String.valueOf(failure.getMessage()));
    return begun.find()
        ? new Refused(
            "The quotation mark on line " + begun.group(1) + " has no second one; add it.")
        : new Refused("This is no table of values with commas between them; write it anew as CSV.");
  }

  private static char separator(String line) {
    char best = ',';
    for (char c : new char[] {';', '\t'}) {
      if (count(line, c) > count(line, best)) {
        best = c;
      }
    }
    return best;
  }

  private static long count(String line, char c) {
    return line.chars().filter(x -> x == c).count();
  }

  /**
   * Writes a row, with the line's end; fields are quoted where needed. A field that a table program
   * would run as a formula gets an apostrophe before it.
   */
  public static String write(List<String> row) {
    Object[] fields = row.stream().map(f -> f.matches("(?s)[=+@\\t].*") ? "'" + f : f).toArray();
    return CSVFormat.RFC4180.format(fields) + "\r\n";
  }
}
