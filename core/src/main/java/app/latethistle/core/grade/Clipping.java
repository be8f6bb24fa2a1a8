package app.latethistle.core.grade;

import app.latethistle.core.look.Correction;
import java.util.List;

/** What a change of colours makes black or white that was neither. */
public final class Clipping {
  /** Half a code of 8 bits. */
  private static final double HAIR = 0.5 / 219;

  private Clipping() {}

  /** By a correction: the share of pixels, 0 to 1, of which a channel reaches black or white. */
  public static double of(List<ColourPicture> pictures, Correction correction) {
    return of(Summary.samples(pictures), Grading.of(correction));
  }

  /** By what follows a correction. */
  public static double of(List<ColourPicture> pictures, Correction correction, ColourChange after) {
    Grading grading = Grading.of(correction);
    return of(Summary.samples(pictures).stream().map(v -> grading.apply(v).held()).toList(), after);
  }

  private static double of(List<Signal> samples, ColourChange change) {
    long clipped = samples.stream().filter(v -> ends(change.apply(v)) && !ends(v)).count();
    return clipped / (double) samples.size();
  }

  private static boolean ends(Signal v) {
    return v.least() <= HAIR || v.most() >= 1 - HAIR;
  }
}
