package app.latethistle.media.beats;

import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Prints how well and how fast the tracker does on all pieces, beside public trackers on the same
 * files, for each fold: {@code ./bench beats}.
 */
public final class BeatsBench {
  private BeatsBench() {}

  /** The mean of a column over those pieces that have a value in it. */
  private static final class Mean {
    private double sum;
    private int count;

    void add(double value) {
      if (!Double.isNaN(value)) {
        sum += value;
        count++;
      }
    }

    double get() {
      return count == 0 ? Double.NaN : sum / count;
    }
  }

  public static void main(String[] args) throws IOException {
    List<Piece> pieces = new ArrayList<>(Rendered.ofGames());
    pieces.addAll(Accompaniments.all());
    if (Recorded.areHere()) {
      pieces.addAll(Recorded.all());
    } else {
      System.out.println("The recordings are not here; they are left out.");
    }
    System.out.printf(
        Locale.ROOT, "%-36s %6s %6s %6s %7s %7s", "piece", "F", "AMLt", "down F", "bpm", "x real");
    for (Reference reference : Reference.values()) {
      System.out.printf(" %14s F  AMLt", reference.name().toLowerCase(Locale.ROOT));
    }
    System.out.println();
    int columns = 3 + 2 * Reference.values().length;
    Map<Piece.Fold, Map<Piece.Kind, List<Mean>>> folds = new EnumMap<>(Piece.Fold.class);
    for (Piece piece : pieces) {
      List<Mean> means =
          folds
              .computeIfAbsent(piece.fold(), f -> new EnumMap<>(Piece.Kind.class))
              .computeIfAbsent(
                  piece.kind(), k -> Stream.generate(Mean::new).limit(columns).toList());
      add(piece, means);
    }
    StringBuilder json = new StringBuilder();
    folds.forEach(
        (fold, kinds) ->
            kinds.forEach(
                (kind, means) -> {
                  String name = (fold + "-" + kind).toLowerCase(Locale.ROOT).replace('_', '-');
                  System.out.printf(Locale.ROOT, "%-36s", "mean of " + name);
                  for (int i = 0; i < columns; i++) {
                    System.out.printf(Locale.ROOT, " %6.3f", means.get(i).get());
                  }
                  System.out.println();
                  json.append(
                      String.format(
                          Locale.ROOT,
                          "%s\"%s\": [%s, %.3f]",
                          json.isEmpty() ? "" : ", ",
                          name,
                          Double.isNaN(means.get(0).get())
                              ? "null"
                              : String.format(Locale.ROOT, "%.3f", means.get(0).get()),
                          means.get(1).get()));
                }));
    System.out.println("{" + json + "}");
  }

  private static void add(Piece piece, List<Mean> means) throws IOException {
    Piece.Result r = piece.track();
    System.out.printf(
        Locale.ROOT,
        "%-36s %6.3f %6.3f %6.3f %7.1f %7.0f",
        piece.name(),
        r.beats(),
        r.amlt(),
        r.downbeats(),
        r.bpm(),
        r.timesRealTime());
    boolean level = piece.kind() != Piece.Kind.RECORDING_OF_ANY_LEVEL;
    means.get(0).add(level ? r.beats() : Double.NaN);
    means.get(1).add(r.amlt());
    means.get(2).add(r.downbeats());
    int column = 3;
    List<Double> truth = piece.source().beats();
    for (Reference reference : Reference.values()) {
      List<Double> found = reference.beats(piece.source().wav());
      double f = BeatScore.f(truth, found);
      double amlt = BeatScore.amlt(truth, found);
      System.out.printf(Locale.ROOT, " %16.3f %5.3f", f, amlt);
      means.get(column++).add(level ? f : Double.NaN);
      means.get(column++).add(amlt);
    }
    System.out.println();
  }
}
