package app.latethistle.core.repair;

import app.latethistle.core.take.Box;
import app.latethistle.core.time.FrameRange;
import java.io.IOException;
import java.util.List;
import java.util.Optional;

/** Something that is put right in the pictures of a take, from the first to the last. */
@FunctionalInterface
public interface Mending {
  /**
   * Does it.
   *
   * @param taker takes as many pictures as the clip has, or as are kept of it, in order
   */
  void mend(Clip clip, Clip.Taker taker, Clip.Progress progress) throws IOException;

  /** Which pictures are kept; empty if all are. */
  default Optional<FrameRange> kept() {
    return Optional.empty();
  }

  /** Fills a box in every picture: {@link Filling}. */
  static Mending filled(Box box) {
    return (clip, taker, progress) ->
        Filling.fill(clip, Hole.of(box, clip.width(), clip.height()), taker, progress);
  }

  /**
   * Makes light that flickers even: {@link EvenLight}.
   *
   * @param jumps the first pictures after jumps; light is not evened across them
   * @param rate pictures a second
   */
  static Mending evenLight(List<Integer> jumps, double rate) {
    return new EvenLight(jumps, rate);
  }

  /**
   * Takes noise out: {@link NoiseOut}.
   *
   * @param strength of what was measured, 1 for as much
   */
  static Mending withoutNoise(double strength) {
    return new NoiseOut(strength);
  }

  /**
   * Softens blocks and ringing of hard compression: {@link BlocksOut}.
   *
   * @param strength of what was measured, 1 for as much
   */
  static Mending withoutBlocks(double strength) {
    return new BlocksOut(strength);
  }

  /**
   * Draws pictures that repeat the one before anew, along the motion: {@link Redrawing}.
   *
   * @param rate pictures a second
   */
  static Mending withoutRepeats(double rate) {
    return Redrawing.ofRepeats(rate);
  }

  /**
   * Draws the pictures about each jump anew, along the motion from before it to after it: {@link
   * Redrawing}.
   *
   * @param jumps the first pictures after jumps
   * @param rate pictures a second
   */
  static Mending bridged(List<Integer> jumps, double rate) {
    return Redrawing.ofJumps(jumps, rate);
  }

  /**
   * Cuts jumps out: keeps the longest piece of a clip without one.
   *
   * @param jumps the first pictures after jumps, in order
   * @param frames of the clip
   */
  static Mending withoutJumps(List<Integer> jumps, long frames) {
    return new LongestPiece(jumps, frames);
  }
}
