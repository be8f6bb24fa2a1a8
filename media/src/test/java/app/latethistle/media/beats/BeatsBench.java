package app.latethistle.media.beats;

import java.io.IOException;

/** Prints how well and how fast the tracker does on all pieces: {@code ./bench beats}. */
public final class BeatsBench {
  private BeatsBench() {}

  public static void main(String[] args) throws IOException {
    System.out.printf("%-36s %6s %9s %7s %8s%n", "piece", "F", "downbeats", "bpm", "x real");
    double beats = 0;
    double downbeats = 0;
    for (Piece piece : Piece.all()) {
      Piece.Result r = piece.track();
      System.out.printf(
          "%-36s %6.3f %9.3f %7.1f %8.0f%n",
          r.name(), r.beats(), r.downbeats(), r.bpm(), r.timesRealTime());
      beats += r.beats() / Piece.all().size();
      downbeats += r.downbeats() / Piece.all().size();
    }
    System.out.printf("%-36s %6.3f %9.3f%n", "mean", beats, downbeats);
  }
}
