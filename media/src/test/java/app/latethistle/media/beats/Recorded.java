package app.latethistle.media.beats;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * A real recording of a Debian package of a game; its truth is the agreement of at least three
 * public trackers of two lineages. The files lie beside the repository, not in it.
 */
record Recorded(Path sound, Path truth) implements Piece.Source {
  /** From the module's folder, where tests and benchmarks run. */
  private static final Path FOLDER = Path.of("..", "..", "shared", "data", "beats");

  private static final Map<String, Piece.Fold> FOLDS =
      Map.of(
          "ardentryst", Piece.Fold.FIT,
          "caveexpress", Piece.Fold.FIT,
          "frozenbubble", Piece.Fold.FIT,
          "megaglest", Piece.Fold.FIT,
          "nexuiz", Piece.Fold.FIT,
          "powermanga", Piece.Fold.CHOOSE,
          "singularity", Piece.Fold.CHOOSE,
          "tuxmath", Piece.Fold.CHOOSE);

  /** Whether the recordings are here. */
  static boolean areHere() {
    return Files.exists(FOLDER.resolve("index.csv"));
  }

  /** All nineteen, those of packages without a fold to report on. */
  static List<Piece> all() throws IOException {
    List<String> lines = Files.readAllLines(FOLDER.resolve("index.csv"));
    int tier = List.of(lines.get(0).split(",")).indexOf("tier");
    List<Piece> pieces = new ArrayList<>();
    for (String line : lines.subList(1, lines.size())) {
      String[] fields = line.split(",");
      String name = fields[0];
      pieces.add(
          new Piece(
              name,
              fields[tier].equals("L") ? Piece.Kind.RECORDING_OF_ANY_LEVEL : Piece.Kind.RECORDING,
              FOLDS.getOrDefault(name.substring(0, name.indexOf('_')), Piece.Fold.REPORT),
              new Recorded(FOLDER.resolve(name + ".ogg"), FOLDER.resolve(name + ".beats.csv"))));
    }
    return pieces;
  }

  @Override
  public Path wav() throws IOException {
    return Made.once(
        sound.getFileName().toString().replace(".ogg", ".wav"),
        part ->
            List.of(
                "ffmpeg",
                "-v",
                "fatal",
                "-y",
                "-i",
                sound.toString(),
                "-ar",
                "44100",
                part.toString()));
  }

  @Override
  public List<Double> beats() throws IOException {
    return Files.readAllLines(truth).stream()
        .skip(1)
        .map(line -> Double.valueOf(line.substring(0, line.indexOf(','))))
        .toList();
  }

  /** The truth does not tell where its bars begin. */
  @Override
  public List<Double> downbeats() {
    return List.of();
  }
}
