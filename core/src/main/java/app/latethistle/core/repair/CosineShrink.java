package app.latethistle.core.repair;

import app.latethistle.core.picture.Frame;
import java.util.Arrays;
import java.util.List;

/**
 * Takes what is faint out of pictures: blocks of eight by eight samples, through one picture or
 * four that follow each other, become cosines, faint ones are taken out, and what the blocks that
 * lie over each sample say is averaged, those made of few cosines weighing more. (D. Rusanovskyy
 * and K. Egiazarian, "Video denoising algorithm in sliding 3D DCT domain", 2005; the weights are
 * those of K. Dabov et al., "Image denoising by sparse 3-D transform-domain collaborative
 * filtering", IEEE Trans. Image Processing 16(8), 2007.) Not for use by several threads.
 */
final class CosineShrink {
  static final int SIDE = 8;
  private static final int AREA = SIDE * SIDE;

  /** Pictures that are one block through time; two cosines of three make what changes fastest. */
  static final int DEPTH = 4;

  private static final float[] EVEN = new float[16];
  private static final float[] ODD = new float[16];
  private static final float[] TIME = new float[DEPTH * DEPTH];

  static {
    for (int k = 0; k < 4; k++) {
      for (int i = 0; i < 4; i++) {
        EVEN[k * 4 + i] = cosine(2 * k, i, SIDE);
        ODD[k * 4 + i] = cosine(2 * k + 1, i, SIDE);
        TIME[k * DEPTH + i] = cosine(k, i, DEPTH);
      }
    }
  }

  /** The orthonormal cosine transform of the second kind. */
  private static float cosine(int k, int i, int n) {
    double scale = Math.sqrt((k == 0 ? 1.0 : 2.0) / n);
    return (float) (scale * Math.cos(Math.PI * k * (2 * i + 1) / (2 * n)));
  }

  private final int width;
  private final int height;
  private final int step;
  private final float[] block = new float[DEPTH * AREA];

  /**
   * @param step samples from one block to the next, 1 to 8
   */
  CosineShrink(int width, int height, int step) {
    this.width = width;
    this.height = height;
    this.step = step;
  }

  /** One for each plane of a clip's frames. */
  static List<CosineShrink> of(Clip clip, int step) {
    CosineShrink chroma = new CosineShrink(clip.width() / 2, clip.height() / 2, step);
    return List.of(new CosineShrink(clip.width(), clip.height(), step), chroma, chroma);
  }

  /** A plane of one picture with what its blocks say of it. */
  static final class Plane {
    private final byte[] data;
    private final int offset;
    private final float[] sums;
    private final float[] weights;

    /**
     * @param data a frame's buffer, which is kept
     * @param offset where the plane begins in it
     */
    Plane(byte[] data, int offset, int size) {
      this.data = data;
      this.offset = offset;
      sums = new float[size];
      weights = new float[size];
    }

    /** The three of a frame, over its own buffer. */
    static List<Plane> of(Frame frame) {
      int luma = frame.width() * frame.height();
      return List.of(
          new Plane(frame.data(), frame.offset(0), luma),
          new Plane(frame.data(), frame.offset(1), luma / 4),
          new Plane(frame.data(), frame.offset(2), luma / 4));
    }

    /** Writes what was said of it; samples that nothing was said of stay. */
    void write(byte[] into) {
      for (int i = 0; i < sums.length; i++) {
        into[offset + i] =
            weights[i] == 0
                ? data[offset + i]
                : (byte) Math.max(0, Math.min(255, Math.round(sums[i] / weights[i])));
      }
    }
  }

  /**
   * Adds what is said of pictures by their blocks.
   *
   * @param planes one, or {@link #DEPTH} that follow each other
   * @param least cosines fainter than this are taken out, in codes
   */
  void add(float least, Plane... planes) {
    if (width < SIDE || height < SIDE) {
      return;
    }
    for (int y = 0; y >= 0; y = next(y, height)) {
      for (int x = 0; x >= 0; x = next(x, width)) {
        add(least, x, y, planes);
      }
    }
  }

  /** The place of the block after one; the last lies at the edge. Negative after that. */
  private int next(int at, int size) {
    return at == size - SIDE ? -1 : Math.min(at + step, size - SIDE);
  }

  private void add(float least, int x, int y, Plane... planes) {
    for (int t = 0; t < planes.length; t++) {
      read(planes[t], x, y, t * AREA);
      forward(t * AREA);
    }
    if (planes.length == DEPTH) {
      throughTime(1, DEPTH);
    }
    int kept = 1;
    for (int i = 1; i < planes.length * AREA; i++) {
      if (Math.abs(block[i]) < least) {
        block[i] = 0;
      } else {
        kept++;
      }
    }
    if (planes.length == DEPTH) {
      throughTime(DEPTH, 1);
    }
    float weight = 1f / kept;
    for (int t = 0; t < planes.length; t++) {
      inverse(t * AREA);
      write(planes[t], x, y, t * AREA, weight);
    }
  }

  /**
   * How strong noise is: the lower quartile, over blocks, of the median amplitude of the cosines
   * that change fastest in time, as a standard deviation (median of absolute values over 0.6745: D.
   * Donoho and I. Johnstone 1994). Blocks that move have more, so the quartile is of those that do
   * not; blocks that do not change at all tell nothing.
   *
   * @param planes {@link #DEPTH} that follow each other
   * @return in codes; 0 if nothing can be told
   */
  double noise(Plane... planes) {
    double[] found = new double[(width / (2 * SIDE) + 1) * (height / (2 * SIDE) + 1)];
    int count = 0;
    float[] amplitudes = new float[AREA - 1];
    for (int y = 0; y + SIDE <= height; y += 2 * SIDE) {
      for (int x = 0; x + SIDE <= width; x += 2 * SIDE) {
        for (int t = 0; t < DEPTH; t++) {
          read(planes[t], x, y, t * AREA);
        }
        throughTime(1, DEPTH);
        int fastest = (DEPTH - 1) * AREA;
        forward(fastest);
        for (int i = 1; i < AREA; i++) {
          amplitudes[i - 1] = Math.abs(block[fastest + i]);
        }
        Arrays.sort(amplitudes);
        double deviation = amplitudes[amplitudes.length / 2] / 0.6745;
        if (deviation > 0.05) {
          found[count++] = deviation;
        }
      }
    }
    Arrays.sort(found, 0, count);
    return count == 0 ? 0 : found[count / 4];
  }

  private void read(Plane plane, int x, int y, int at) {
    int to = at;
    for (int row = 0; row < SIDE; row++) {
      int from = plane.offset + (y + row) * width + x;
      for (int i = 0; i < SIDE; i++) {
        block[to++] = plane.data[from + i] & 0xff;
      }
    }
  }

  private void write(Plane plane, int x, int y, int at, float weight) {
    int from = at;
    for (int row = 0; row < SIDE; row++) {
      int to = (y + row) * width + x;
      for (int i = 0; i < SIDE; i++) {
        plane.sums[to + i] += weight * block[from++];
        plane.weights[to + i] += weight;
      }
    }
  }

  private void forward(int at) {
    for (int i = 0; i < SIDE; i++) {
      forward(at + i * SIDE, 1);
    }
    for (int i = 0; i < SIDE; i++) {
      forward(at + i, SIDE);
    }
  }

  private void inverse(int at) {
    for (int i = 0; i < SIDE; i++) {
      inverse(at + i, SIDE);
    }
    for (int i = 0; i < SIDE; i++) {
      inverse(at + i * SIDE, 1);
    }
  }

  /** Eight samples as cosines: even ones of the sums of both ends, odd ones of the differences. */
  private void forward(int at, int stride) {
    float[] b = block;
    float a0 = b[at];
    float a1 = b[at + stride];
    float a2 = b[at + 2 * stride];
    float a3 = b[at + 3 * stride];
    float a4 = b[at + 4 * stride];
    float a5 = b[at + 5 * stride];
    float a6 = b[at + 6 * stride];
    float a7 = b[at + 7 * stride];
    float s0 = a0 + a7;
    float s1 = a1 + a6;
    float s2 = a2 + a5;
    float s3 = a3 + a4;
    float d0 = a0 - a7;
    float d1 = a1 - a6;
    float d2 = a2 - a5;
    float d3 = a3 - a4;
    for (int k = 0; k < 4; k++) {
      int c = 4 * k;
      b[at + 2 * k * stride] =
          EVEN[c] * s0 + EVEN[c + 1] * s1 + EVEN[c + 2] * s2 + EVEN[c + 3] * s3;
      b[at + (2 * k + 1) * stride] =
          ODD[c] * d0 + ODD[c + 1] * d1 + ODD[c + 2] * d2 + ODD[c + 3] * d3;
    }
  }

  private void inverse(int at, int stride) {
    float[] b = block;
    float e0 = b[at];
    float o0 = b[at + stride];
    float e1 = b[at + 2 * stride];
    float o1 = b[at + 3 * stride];
    float e2 = b[at + 4 * stride];
    float o2 = b[at + 5 * stride];
    float e3 = b[at + 6 * stride];
    float o3 = b[at + 7 * stride];
    for (int i = 0; i < 4; i++) {
      float even = EVEN[i] * e0 + EVEN[4 + i] * e1 + EVEN[8 + i] * e2 + EVEN[12 + i] * e3;
      float odd = ODD[i] * o0 + ODD[4 + i] * o1 + ODD[8 + i] * o2 + ODD[12 + i] * o3;
      b[at + i * stride] = even + odd;
      b[at + (7 - i) * stride] = even - odd;
    }
  }

  /**
   * Each sample of the four pictures as cosines through time, or back.
   *
   * @param sample 1 to go there, {@link #DEPTH} to come back
   * @param wave the other
   */
  private void throughTime(int sample, int wave) {
    float[] b = block;
    for (int i = 0; i < AREA; i++) {
      float a0 = b[i];
      float a1 = b[i + AREA];
      float a2 = b[i + 2 * AREA];
      float a3 = b[i + 3 * AREA];
      for (int k = 0; k < DEPTH; k++) {
        int c = k * wave;
        b[i + k * AREA] =
            TIME[c] * a0
                + TIME[c + sample] * a1
                + TIME[c + 2 * sample] * a2
                + TIME[c + 3 * sample] * a3;
      }
    }
  }
}
