package app.latethistle.core.subject;

import app.latethistle.core.picture.Blurring;
import app.latethistle.core.picture.Frame;
import java.util.Arrays;

/**
 * Finds the soft edge of a subject in a full picture, of which a small one was parted: the small
 * outline is made large and fitted to the picture's luma by a guided filter (He, Sun and Tang 2013,
 * "Guided Image Filtering"), which follows edges and hairs that the small one has not. Keeps its
 * working memory; not for use by two threads at once.
 */
public final class SoftEdge {
  /** The filter reaches so many pixels of the small picture: as far as its edge may be off. */
  private static final double REACH = 2;

  /** Luma that varies by less than this, of 1, is no edge. */
  private static final double FLAT = 0.01;

  /**
   * The filter leaves a trace of up to this much where there is nothing, and takes as much of all:
   * it makes an edge about twice as soft as it is. Chosen on painted figures, of .15 to .35.
   */
  private static final double TRACE = 0.25;

  private final int width;
  private final int height;
  private final Blurring blurring;
  private final float[] guide;
  private final float[] given;
  private final float[] slope;
  private final float[] offset;
  private final float[] guideMean;
  private final float[] givenMean;
  private final Frame opacity;

  /** For pictures of one size. */
  public SoftEdge(int width, int height) {
    this.width = width;
    this.height = height;
    blurring = new Blurring(width, height);
    guide = new float[width * height];
    given = new float[width * height];
    slope = new float[width * height];
    offset = new float[width * height];
    guideMean = new float[width * height];
    givenMean = new float[width * height];
    opacity = new Frame(width, height);
    Arrays.fill(opacity.data(), opacity.offset(1), opacity.data().length, (byte) 128);
  }

  /** How opaque each pixel is, by a subject that was found in a small copy of the frame. */
  public Frame of(Frame frame, Silhouette found) {
    return of(frame, found.depth(), found.width(), found.height());
  }

  /**
   * How opaque each pixel is, as a picture whose luma goes from 16 to 235; valid until the next
   * call and not to be changed.
   *
   * @param depth how deep each pixel of the small picture lies in the subject
   */
  Frame of(Frame frame, float[] depth, int smallWidth, int smallHeight) {
    double across = (double) smallWidth / width;
    double down = (double) smallHeight / height;
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int i = y * width + x;
        double deep =
            Bilinear.at(
                depth, smallWidth, smallHeight, (x + 0.5) * across - 0.5, (y + 0.5) * down - 0.5);
        given[i] = (float) Math.max(0, Math.min(1, deep + 0.5));
        guide[i] = (frame.data()[i] & 0xff) / 255f;
      }
    }
    int r = (int) Math.max(1, Math.round(REACH / across));
    fit(r);
    for (int i = 0; i < guide.length; i++) {
      double fitted = slope[i] * guide[i] + givenMean[i];
      double held = (fitted - TRACE) / (1 - 2 * TRACE);
      opacity.data()[i] = (byte) Math.round(16 + 219 * Math.max(0, Math.min(1, held)));
    }
    return opacity;
  }

  /** Leaves the mean slope and the mean offset of each place in slope and givenMean. */
  private void fit(int r) {
    means(guide, r, guideMean);
    means(given, r, givenMean);
    float[] values = blurring.values();
    for (int i = 0; i < values.length; i++) {
      values[i] = guide[i] * given[i];
    }
    System.arraycopy(blurring.means(r), 0, slope, 0, slope.length);
    values = blurring.values();
    for (int i = 0; i < values.length; i++) {
      values[i] = guide[i] * guide[i];
    }
    float[] squares = blurring.means(r);
    for (int i = 0; i < slope.length; i++) {
      float variance = squares[i] - guideMean[i] * guideMean[i];
      float together = slope[i] - guideMean[i] * givenMean[i];
      slope[i] = (float) (together / (variance + FLAT * FLAT));
      offset[i] = givenMean[i] - slope[i] * guideMean[i];
    }
    means(slope, r, slope);
    means(offset, r, givenMean);
  }

  private void means(float[] plane, int r, float[] into) {
    System.arraycopy(plane, 0, blurring.values(), 0, plane.length);
    System.arraycopy(blurring.means(r), 0, into, 0, into.length);
  }
}
