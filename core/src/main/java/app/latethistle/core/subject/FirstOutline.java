package app.latethistle.core.subject;

import app.latethistle.core.Refused;
import app.latethistle.core.grade.ColourPicture;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;

/**
 * Finds the subject in a picture of which nothing is known but the strokes on it, by GrabCut
 * (Rother, Kolmogorov and Blake 2004): colours of the subject and of the rest are learned from what
 * is said and what is supposed, the picture is parted by them, and again from that.
 */
public final class FirstOutline {
  /** Gaussians for either side, and what parting costs: as they say. */
  private static final int PARTS = 5;

  private static final double WEIGHT = 50;

  /** More rounds change nothing any more. */
  private static final int ROUNDS = 8;

  /** Strokes that correct reach so far, in shares of the picture's height. */
  private static final double REACH = 0.15;

  /** Colours rarer than this are as rare on either side. */
  private static final double LEAST = 1e-12;

  private FirstOutline() {}

  /**
   * Finds it.
   *
   * @throws IllegalArgumentException if the strokes say nowhere where it is, or leave nothing
   */
  public static Silhouette of(ColourPicture picture, Guide guide) {
    int width = picture.width();
    int height = picture.height();
    Said said = Said.by(guide, width, height);
    if (!guide.saysWhere()) {
      throw new Refused(
          "Draw a box about the subject, or a stroke over it, on picture "
              + (guide.frame() + 1)
              + ".");
    }
    Silhouette parted = settled(picture, supposed(picture, said), said, i -> true);
    // Where it is brushed, things of its colours elsewhere are not it.
    Silhouette now = said.has(Said.IN) ? parted.pieces(i -> said.of(i) == Said.IN) : parted;
    if (now.count() == 0) {
      throw new Refused(
          "Nothing in it stands out on picture "
              + (guide.frame() + 1)
              + "; draw a stroke over it.");
    }
    return now;
  }

  /**
   * The subject as it came to a picture on which more is drawn: within reach of the strokes it is
   * parted anew by what is there. A box about it begins anew.
   */
  static Silhouette corrected(ColourPicture picture, Silhouette arrived, Guide guide) {
    int width = picture.width();
    int height = picture.height();
    Said said = Said.by(guide, width, height);
    if (said.isBoxed()) {
      return of(picture, guide);
    }
    boolean[] near = said.near(REACH * height);
    Said held = said.and(i -> near[i] ? Said.NOTHING : arrived.has(i) ? Said.IN : Said.OUT);
    Silhouette now =
        Silhouette.of(
            width,
            height,
            i -> said.of(i) == Said.NOTHING ? arrived.has(i) : said.of(i) == Said.IN);
    return settled(picture, now, held, i -> near[i]);
  }

  /**
   * What is supposed at first: all of a box. Without one, what looks more like what is under the
   * brush than like what is at the picture's rim and under the other brush.
   */
  private static Silhouette supposed(ColourPicture picture, Said said) {
    int width = picture.width();
    int height = picture.height();
    if (said.isBoxed()) {
      return Silhouette.of(width, height, i -> said.of(i) != Said.OUT);
    }
    Silhouette brushed = Silhouette.of(width, height, i -> said.of(i) == Said.IN);
    Silhouette beside =
        Silhouette.of(
            width,
            height,
            i -> said.of(i) == Said.OUT || (said.of(i) != Said.IN && isRim(i, width, height)));
    Mixture in = Mixture.of(picture, brushed.pixels(true), PARTS);
    Mixture out = Mixture.of(picture, beside.pixels(true), PARTS);
    return Silhouette.of(
        width,
        height,
        i ->
            said.of(i) == Said.IN
                || (said.of(i) != Said.OUT && in.of(picture.at(i)) > out.of(picture.at(i))));
  }

  private static boolean isRim(int pixel, int width, int height) {
    int x = pixel % width;
    int y = pixel / width;
    return x == 0 || y == 0 || x == width - 1 || y == height - 1;
  }

  /** Parts by the colours of what is inside and outside, until that changes nothing any more. */
  private static Silhouette settled(
      ColourPicture picture, Silhouette first, Said said, IntPredicate looked) {
    Parting parting = new Parting(picture, WEIGHT);
    Silhouette now = first;
    for (int round = 0; round < ROUNDS; round++) {
      int[] inside = IntStream.of(now.pixels(true)).filter(looked).toArray();
      int[] outside = IntStream.of(now.pixels(false)).filter(looked).toArray();
      if (inside.length == 0 || outside.length == 0) {
        return now;
      }
      Mixture in = Mixture.of(picture, inside, PARTS);
      Mixture out = Mixture.of(picture, outside, PARTS);
      Silhouette next =
          parting.part(
              i -> Math.log((in.of(picture.at(i)) + LEAST) / (out.of(picture.at(i)) + LEAST)),
              said);
      if (next.equals(now)) {
        break;
      }
      now = next;
    }
    return now;
  }
}
