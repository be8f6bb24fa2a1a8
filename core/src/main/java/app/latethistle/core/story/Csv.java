package app.latethistle.core.story;

import app.latethistle.core.Refused;
import java.util.ArrayList;
import java.util.List;

/** Comma-separated values after RFC 4180; semicolons and tabs are taken as commas too. */
public final class Csv {
  private Csv() {}

  /**
   * Reads rows of fields. The separator is the one of comma, semicolon and tab that the first line
   * has most of. Empty lines are left out.
   *
   * @throws IllegalArgumentException if a quoted field does not end
   */
  public static List<List<String>> read(String text) {
    char separator = separator(text.lines().findFirst().orElse(""));
    List<List<String>> rows = new ArrayList<>();
    List<String> row = new ArrayList<>();
    StringBuilder field = new StringBuilder();
    boolean quoted = false;
    int line = 1;
    int quotedFrom = 0;
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      line += c == '\n' ? 1 : 0;
      if (quoted && c == '"' && i + 1 < text.length() && text.charAt(i + 1) == '"') {
        field.append('"');
        i++;
      } else if (c == '"' && (quoted || field.toString().isBlank())) {
        field.setLength(quoted ? field.length() : 0);
        quoted = !quoted;
        quotedFrom = line;
      } else if (!quoted && c == separator) {
        row.add(field.toString().strip());
        field.setLength(0);
      } else if (!quoted && c == '\n') {
        endRow(rows, row, field);
        row = new ArrayList<>();
      } else {
        field.append(c);
      }
    }
    if (quoted) {
      throw new Refused("The quotation mark on line " + quotedFrom + " has no second one; add it.");
    }
    endRow(rows, row, field);
    return rows;
  }

  private static void endRow(List<List<String>> rows, List<String> row, StringBuilder field) {
    row.add(field.toString().strip());
    field.setLength(0);
    if (row.stream().anyMatch(f -> !f.isEmpty())) {
      rows.add(List.copyOf(row));
    }
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
    StringBuilder line = new StringBuilder();
    for (int i = 0; i < row.size(); i++) {
      String field = row.get(i).matches("(?s)[=+@\\t].*") ? "'" + row.get(i) : row.get(i);
      boolean quote = field.matches("(?s).*[\",\\n;\\t].*");
      line.append(i == 0 ? "" : ",")
          .append(quote ? "\"" + field.replace("\"", "\"\"") + "\"" : field);
    }
    return line.append("\r\n").toString();
  }
}
