package app.latethistle.server.material;

import app.latethistle.core.Refused;
import app.latethistle.core.measure.TakeFacts;
import app.latethistle.core.repair.Mending;
import app.latethistle.core.take.Box;
import app.latethistle.core.time.FrameRate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What is put right in another take that is made of one. */
public enum RepairKind {
  /** Boxes are filled. */
  FILL("filled", "with a place filled"),
  /** Light that flickers is made even. */
  LIGHT("light made even", "with its light made even"),
  /** Noise is taken out. */
  NOISE("noise taken out", "with noise taken out"),
  /** Blocks and ringing of compression are softened. */
  BLOCKS("blocks softened", "with blocks softened"),
  /** Pictures that repeat the one before are drawn along the motion. */
  REPEATS("repeats drawn anew", "with repeated pictures drawn anew"),
  /** The pictures about jumps are drawn along the motion. */
  JUMPS("jumps bridged", "with jumps bridged"),
  /** All but the longest piece without a jump is cut off. */
  CUT("jumps cut out", "with jumps cut out");

  private static final String BEFORE = ", ";
  private static final String END = ".mkv";

  private final String ending;
  private final String said;

  RepairKind(String ending, String said) {
    this.ending = ending;
    this.said = said;
  }

  /** What was done, in words that follow a count of shots. */
  public String said() {
    return said;
  }

  /** The name of the file of the take that is made of one. */
  String nameOf(String fileName) {
    return fileName.replaceFirst("\\.[^.]*$", "") + BEFORE + ending + END;
  }

  /** Whether this was done to a take, as its file's name has it. */
  public boolean wasDoneTo(String fileName) {
    return fileName.endsWith(END)
        && Arrays.asList(fileName.substring(0, fileName.length() - END.length()).split(BEFORE))
            .contains(ending);
  }

  /**
   * What is done to the pictures, one after the other.
   *
   * @param facts of the take, whose frames are the file's own, if it has been measured
   * @param strength of noise and blocks, 1 for as much as is measured
   * @param rate at which the pictures come
   */
  List<Mending> mendings(
      List<Box> boxes, Optional<TakeFacts> facts, double strength, FrameRate rate) {
    double perSecond = rate.perSecond();
    List<Integer> jumps = facts.map(f -> jumps(f, perSecond)).orElse(List.of());
    return switch (this) {
      case FILL -> boxes.stream().map(Mending::filled).toList();
      case LIGHT -> List.of(Mending.evenLight(jumps, perSecond));
      case NOISE -> List.of(Mending.withoutNoise(strength));
      case BLOCKS -> List.of(Mending.withoutBlocks(strength));
      case REPEATS -> List.of(Mending.withoutRepeats(perSecond));
      case JUMPS -> List.of(Mending.bridged(jumps, perSecond));
      case CUT ->
          List.of(
              Mending.withoutJumps(
                  jumps, facts.map(f -> Math.round(f.frames() * perSecond / f.rate())).orElse(0L)));
    };
  }

  private static List<Integer> jumps(TakeFacts facts, double perSecond) {
    double scale = perSecond / facts.rate();
    return facts.jumps().stream().map(j -> (int) Math.round(j * scale)).toList();
  }

  /**
   * Refuses what there is nothing to be done of.
   *
   * @throws IllegalArgumentException if so
   */
  void check(int take, List<Box> boxes, Optional<TakeFacts> facts) {
    switch (this) {
      case FILL ->
          check(!boxes.isEmpty(), "There is no mark in take " + take + " that could be filled.");
      case REPEATS ->
          check(
              facts.map(f -> f.repeated() > 0).orElse(false),
              "No picture of take " + take + " was found that repeats the one before.");
      case JUMPS, CUT ->
          check(
              facts.map(f -> !f.jumps().isEmpty()).orElse(false),
              "No jump was found in take " + take + ".");
      case LIGHT, NOISE, BLOCKS -> {}
    }
  }

  private static void check(boolean well, String why) {
    if (!well) {
      throw new Refused(why);
    }
  }
}
