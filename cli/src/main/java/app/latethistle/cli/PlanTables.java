package app.latethistle.cli;

import app.latethistle.core.film.Narration;
import app.latethistle.core.film.Placement;
import app.latethistle.core.look.Framing;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.plan.CutPlanner;
import app.latethistle.core.plan.Traits;
import app.latethistle.core.story.Csv;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Reads the tables that a plan is made from. Messages name the file, the line and the value. */
final class PlanTables {
  private PlanTables() {}

  /** A row of a table, by the names of its columns. */
  private record Row(Path file, int line, Map<String, String> fields) {
    String text(String column) throws IOException {
      String value = fields.getOrDefault(column, "");
      if (value.isEmpty()) {
        throw new IOException(file + ": line " + line + " has no '" + column + "'.");
      }
      return value;
    }

    double number(String column) throws IOException {
      return number(column, 0, "0 or more");
    }

    private double number(String column, double least, String wanted) throws IOException {
      String value = text(column);
      try {
        double number = Double.parseDouble(value);
        if (Double.isFinite(number) && number >= least) {
          return number;
        }
      } catch (NumberFormatException e) {
        // Told below, with the value.
      }
      throw new IOException(
          file + ": line " + line + ": '" + value + "' is no " + column + "; give " + wanted + ".");
    }

    /** A number that may be negative; 0 if there is none. */
    double signed(String column) throws IOException {
      boolean empty = fields.getOrDefault(column, "").isEmpty();
      return empty ? 0 : number(column, -Double.MAX_VALUE, "a number");
    }

    double number(String column, double otherwise) throws IOException {
      return fields.getOrDefault(column, "").isEmpty() ? otherwise : number(column);
    }
  }

  private static List<Row> read(Path file, String... needed) throws IOException {
    String text;
    try {
      text = Files.readString(file);
    } catch (NoSuchFileException e) {
      throw new IOException(file + ": there is no such file.", e);
    }
    List<List<String>> rows;
    try {
      rows = Csv.read(text);
    } catch (IllegalArgumentException e) {
      throw new IOException(file + ": " + e.getMessage(), e);
    }
    List<String> columns = rows.isEmpty() ? List.of() : rows.get(0);
    for (String column : needed) {
      if (!columns.contains(column)) {
        throw new IOException(
            file
                + ": the first line names no column '"
                + column
                + "'; it needs "
                + String.join(",", needed)
                + ".");
      }
    }
    List<Row> out = new ArrayList<>();
    for (int i = 1; i < rows.size(); i++) {
      Map<String, String> fields = new LinkedHashMap<>();
      for (int c = 0; c < Math.min(columns.size(), rows.get(i).size()); c++) {
        fields.put(columns.get(c), rows.get(i).get(c));
      }
      out.add(new Row(file, i + 1, fields));
    }
    if (out.isEmpty()) {
      throw new IOException(file + ": it has no rows under the names of its columns.");
    }
    return out;
  }

  /** Beats in bars; the longest bar says how many are counted in each. */
  static BeatGrid beats(Path file) throws IOException {
    List<Row> rows = read(file, "time_s", "bar", "beat");
    long[] beats = new long[rows.size()];
    float[] sure = new float[beats.length];
    Arrays.fill(sure, 1);
    int perBar = 0;
    int first = 0;
    for (int i = rows.size() - 1; i >= 0; i--) {
      beats[i] = Samples.ofSeconds(rows.get(i).number("time_s"));
      int place = (int) rows.get(i).number("beat");
      perBar = Math.max(perBar, place);
      first = place == 1 ? i : first;
    }
    try {
      int beatsPerBar = Math.max(2, perBar);
      return new BeatGrid(beats, sure, beatsPerBar, first % beatsPerBar, 1);
    } catch (IllegalArgumentException e) {
      throw new IOException(file + ": " + e.getMessage(), e);
    }
  }

  /** Words as lines that are heard where the table says. */
  static Narration words(Path file) throws IOException {
    Map<String, List<Row>> byLine = new LinkedHashMap<>();
    for (Row row : read(file, "word", "start_s", "end_s")) {
      byLine
          .computeIfAbsent(row.fields().getOrDefault("line", "1"), l -> new ArrayList<>())
          .add(row);
    }
    List<Narration.Line> lines = new ArrayList<>();
    for (Map.Entry<String, List<Row>> entry : byLine.entrySet()) {
      long start = Samples.ofSeconds(entry.getValue().get(0).number("start_s"));
      List<Narration.Word> words = new ArrayList<>();
      long end = 0;
      for (Row row : entry.getValue()) {
        long from = Samples.ofSeconds(row.number("start_s")) - start;
        long to = Samples.ofSeconds(row.number("end_s")) - start;
        if (from < 0 || to < from) {
          throw new IOException(
              file
                  + ": line "
                  + row.line()
                  + ": '"
                  + row.text("word")
                  + "' ends before it"
                  + " starts, or starts before its line.");
        }
        words.add(new Narration.Word(row.text("word"), new SampleRange(from, to)));
        end = Math.max(end, to);
      }
      lines.add(
          new Narration.Line(
              entry.getKey(), lines.size() + 1, words, end, new Narration.Start.At(start)));
    }
    return new Narration(lines);
  }

  static List<CutPlanner.Wanted> shots(Path file, FrameRate rate) throws IOException {
    List<CutPlanner.Wanted> shots = new ArrayList<>();
    for (Row row : read(file, "shot", "seconds")) {
      double seconds = row.number("seconds");
      long in = rate.framesIn(row.number("in_s", 0));
      long out = rate.framesIn(Math.min(seconds, row.number("out_s", seconds)));
      FrameRange usable = new FrameRange(in, Math.max(in, out));
      if (usable.length() == 0) {
        throw new IOException(
            file
                + ": line "
                + row.line()
                + ": nothing of shot "
                + row.text("shot")
                + " may be seen; give it seconds.");
      }
      String line = row.fields().getOrDefault("line", "");
      shots.add(
          CutPlanner.Wanted.of(
                  Placement.of(row.text("shot"), row.text("shot"), 0, Framing.FILL), usable.end())
              .within(usable)
              .lasting(
                  rate.framesIn(row.number("shortest_s", 0)),
                  rate.framesIn(row.number("longest_s", 0)))
              .sparing(rate.framesIn(row.number("handles_s", 0)))
              .spokenOf(line.isEmpty() ? Set.of() : Set.of(line))
              .looking(
                  new Traits(
                      row.number("energy", -1),
                      row.signed("right"),
                      row.signed("down"),
                      row.signed("zoom"),
                      List.of())));
    }
    return shots;
  }
}
