package app.latethistle.core.repair;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.repair.CosineShrink.Plane;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;

/**
 * Blocks and ringing of hard compression softened: each picture is made of blocks at all places two
 * samples apart, faint cosines taken out, and these are averaged (A. Nosratinia, "Enhancement of
 * JPEG-compressed images by re-application of JPEG", J. VLSI Signal Processing 27, 2001). How faint
 * is measured: the least that takes two thirds off what steps at the edges of blocks have more than
 * those inside them.
 */
final class BlocksOut implements Mending {
  private static final int STEP = 2;

  /** Amplitudes that are tried, in codes, each about a third above the one before. */
  private static final double[] TRIED = {3, 4, 5.3, 7, 9.5, 12.7, 17, 22.5, 30, 40};

  /** What is left of blocks; taking more off costs more of the picture than it mends. */
  private static final double LEFT = 1 / 3.0;

  /** What is tried on: the middle of pictures, so large, from one to the next so many. */
  private static final int PART = 512;

  private static final int TRIED_EVERY = 24;
  private static final int MOST_TRIED = 6;

  private final double strength;

  /**
   * @param strength of what was measured, 1 for as much
   */
  BlocksOut(double strength) {
    this.strength = strength;
  }

  @Override
  public void mend(Clip clip, Clip.Taker taker, Clip.Progress progress) throws IOException {
    int wide = Math.min(PART, clip.width() / 8 * 8);
    int high = Math.min(PART, clip.height() / 8 * 8);
    List<byte[]> parts = new ArrayList<>();
    int[] count = {0};
    clip.each(
        (number, frame) -> {
          if (number % TRIED_EVERY == 0 && parts.size() < MOST_TRIED) {
            parts.add(part(frame, wide, high));
          }
          count[0]++;
          progress.at(0);
        });
    float least = (float) (strength * least(parts, wide, high));
    List<CosineShrink> shrinks = CosineShrink.of(clip, STEP);
    Frame made = new Frame(clip.width(), clip.height());
    clip.each(
        (number, frame) -> {
          List<Plane> planes = Plane.of(frame);
          for (int plane = 0; plane < planes.size(); plane++) {
            if (least > 0) {
              shrinks.get(plane).add(least, planes.get(plane));
            }
            planes.get(plane).write(made.data());
          }
          taker.take(number, made);
          progress.at((number + 1.0) / count[0]);
        });
  }

  /** The middle of a picture's luma; its sides are multiples of eight pixels from the corner. */
  private static byte[] part(Frame frame, int wide, int high) {
    int left = (frame.width() - wide) / 16 * 8;
    int top = (frame.height() - high) / 16 * 8;
    byte[] part = new byte[wide * high];
    for (int y = 0; y < high; y++) {
      System.arraycopy(frame.data(), (top + y) * frame.width() + left, part, y * wide, wide);
    }
    return part;
  }

  /** How faint cosines have to be to go; 0 if there are no blocks. */
  static double least(List<byte[]> parts, int wide, int high) {
    CosineShrink shrink = new CosineShrink(wide, high, STEP);
    double blocks = blocks(parts, wide, high);
    if (blocks <= 0) {
      return 0;
    }
    for (double least : TRIED) {
      List<byte[]> made = new ArrayList<>();
      for (byte[] part : parts) {
        Plane plane = new Plane(part, 0, part.length);
        shrink.add((float) least, plane);
        byte[] one = new byte[part.length];
        plane.write(one);
        made.add(one);
      }
      if (blocks(made, wide, high) <= LEFT * blocks) {
        return least;
      }
    }
    return TRIED[TRIED.length - 1];
  }

  /** By how much steps at the edges of blocks are larger than inside them, as a share. */
  private static double blocks(List<byte[]> parts, int wide, int high) {
    double edges = 0;
    double inside = 0;
    for (byte[] part : parts) {
      edges += steps(part, wide, high, 0);
      inside += steps(part, wide, high, CosineShrink.SIDE / 2);
    }
    return inside == 0 ? 0 : edges / inside - 1;
  }

  /** The steps between neighbours so far from the edges of blocks, summed both ways. */
  private static double steps(byte[] part, int wide, int high, int away) {
    double sum = 0;
    for (int y = CosineShrink.SIDE; y < high; y++) {
      for (int x = CosineShrink.SIDE; x < wide; x++) {
        int at = y * wide + x;
        if (x % CosineShrink.SIDE == away) {
          sum += Math.abs((part[at] & 0xff) - (part[at - 1] & 0xff));
        }
        if (y % CosineShrink.SIDE == away) {
          sum += Math.abs((part[at] & 0xff) - (part[at - wide] & 0xff));
        }
      }
    }
    return sum;
  }
}
