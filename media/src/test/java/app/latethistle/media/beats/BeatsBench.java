package app.latethistle.media.beats;

import java.io.IOException;
import java.util.List;

/**
 * Prints how well and how fast the tracker does on all pieces, beside public trackers on the same
 * files: {@code ./bench beats}.
 */
public final class BeatsBench {
  private BeatsBench() {}

  public static void main(String[] args) throws IOException {
    System.out.printf("%-36s %6s %6s %6s %7s %7s", "piece", "F", "AMLt", "down F", "bpm", "x real");
    for (Reference reference : Reference.values()) {
      System.out.printf(" %12s F %5s", reference.name().toLowerCase(java.util.Locale.ROOT), "AMLt");
    }
    System.out.println();
    double[] sums = new double[3 + 2 * Reference.values().length];
    List<Piece> pieces = Piece.all();
    for (Piece piece : pieces) {
      Piece.Result r = piece.track();
      System.out.printf(
          "%-36s %6.3f %6.3f %6.3f %7.1f %7.0f",
          r.name(), r.beats(), r.amlt(), r.downbeats(), r.bpm(), r.timesRealTime());
      sums[0] += r.beats();
      sums[1] += r.amlt();
      sums[2] += r.downbeats();
      int column = 3;
      List<Double> truth = piece.truth().beats();
      for (Reference reference : Reference.values()) {
        List<Double> found = reference.beats(piece.render());
        double f = BeatScore.f(truth, found);
        double amlt = BeatScore.amlt(truth, found);
        System.out.printf(" %14.3f %5.3f", f, amlt);
        sums[column++] += f;
        sums[column++] += amlt;
      }
      System.out.println();
    }
    System.out.printf("%-36s", "mean");
    for (int i = 0; i < sums.length; i++) {
      String format = i < 3 ? " %6.3f" : i % 2 == 1 ? (i == 3 ? " %30.3f" : " %14.3f") : " %5.3f";
      System.out.printf(format, sums[i] / pieces.size());
    }
    System.out.println();
  }
}
