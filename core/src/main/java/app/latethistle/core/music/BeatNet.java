package app.latethistle.core.music;

import app.latethistle.core.signal.LogMel;
import app.latethistle.core.work.AllCores;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.FloatBuffer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntFunction;
import java.util.stream.IntStream;

/**
 * A small trained network that hears where beats are likely: a temporal convolutional network after
 * Davies and Boeck 2019, "Temporal convolutional networks for musical audio beat tracking". Three
 * convolutions, the first two over three bands and three moments, make {@value #CHANNELS} numbers
 * of the bands of a moment; ten more over five moments each, every one of them twice as far apart
 * as those before, hear what is 40 s away; what they find is added up. Moments are pairs of frames
 * of {@link LogMel.Grain#MUSIC}.
 *
 * <p>It was trained on rendered pieces alone, of which the beats are known; how, and to what end,
 * tells {@code training/beats/README.md}.
 */
final class BeatNet {
  private static final int CHANNELS = 20;
  private static final int LAYERS = 10;

  /** Bands, and moments, that the first two convolutions go over. */
  private static final int AROUND = 3;

  /** Bands of which the strongest is kept. */
  private static final int POOLED = 3;

  /** Moments that each of the later ones goes over. */
  private static final int TAPS = 5;

  /** Frames of a spectrogram to a moment. */
  static final int FRAMES = 2;

  /** Moments whose bands are looked at at a time: what is made of them stays near a core. */
  private static final int SPAN = 256;

  private static final BeatNet TRAINED = trained();

  private final Layer first;
  private final Layer second;
  private final Layer third;
  private final List<Layer> wide;
  private final List<Layer> mixed;
  private final Layer last;

  /** Numbers of a layer: each channel out is a weighed sum of rows, and something added. */
  private static final class Layer {
    /** By channel out, and by row. */
    private final float[] weights;

    /** What is added, by channel out. */
    private final float[] bias;

    private final int rows;

    Layer(FloatBuffer numbers, int outs, int rows) {
      this.rows = rows;
      weights = new float[outs * rows];
      bias = new float[outs];
      numbers.get(weights).get(bias);
    }

    /**
     * A channel out. Rows are taken four at a time: a sum is read and written less often, and cores
     * add up several moments at once where all that is added lies at the same place.
     */
    float[] of(float[][] in, int out) {
      float[] sum = new float[in[0].length];
      Arrays.fill(sum, bias[out]);
      int at = out * rows;
      int row = 0;
      for (; row + 4 <= rows; row += 4) {
        float w0 = weights[at + row];
        float w1 = weights[at + row + 1];
        float w2 = weights[at + row + 2];
        float w3 = weights[at + row + 3];
        float[] a = in[row];
        float[] b = in[row + 1];
        float[] c = in[row + 2];
        float[] d = in[row + 3];
        for (int t = 0; t < sum.length; t++) {
          sum[t] += w0 * a[t] + w1 * b[t] + w2 * c[t] + w3 * d[t];
        }
      }
      for (; row < rows; row++) {
        float weight = weights[at + row];
        float[] a = in[row];
        for (int t = 0; t < sum.length; t++) {
          sum[t] += weight * a[t];
        }
      }
      return sum;
    }
  }

  private BeatNet(FloatBuffer numbers) {
    first = new Layer(numbers, CHANNELS, AROUND * AROUND);
    second = new Layer(numbers, CHANNELS, CHANNELS * AROUND * AROUND);
    third = new Layer(numbers, CHANNELS, CHANNELS * AROUND);
    wide = new ArrayList<>();
    mixed = new ArrayList<>();
    for (int i = 0; i < LAYERS; i++) {
      wide.add(new Layer(numbers, CHANNELS, CHANNELS * TAPS));
      mixed.add(new Layer(numbers, CHANNELS, CHANNELS));
    }
    last = new Layer(numbers, 1, CHANNELS);
  }

  /** The network as it ships. */
  static BeatNet shipped() {
    return TRAINED;
  }

  private static BeatNet trained() {
    try (InputStream numbers = BeatNet.class.getResourceAsStream("beat-net.bin")) {
      return new BeatNet(
          ByteBuffer.wrap(numbers.readAllBytes()).order(ByteOrder.LITTLE_ENDIAN).asFloatBuffer());
    } catch (IOException e) {
      throw new UncheckedIOException("The network that hears beats could not be read.", e);
    }
  }

  /**
   * The log odds of a beat, moment by moment.
   *
   * @param frames of a spectrogram, how many
   * @param frame the bands of each, as {@link LogMel.Grain#MUSIC} gives them
   */
  float[] in(int frames, IntFunction<float[]> frame) {
    int moments = frames / FRAMES;
    float[][] now = bySpans(moments, (from, length) -> look(frame, moments, from, length));
    for (int i = 0; i < LAYERS; i++) {
      now = wider(now, i, moments);
    }
    float[][] known = now;
    return bySpans(
        moments,
        (from, length) -> {
          float[][] rows = new float[CHANNELS][];
          for (int in = 0; in < CHANNELS; in++) {
            rows[in] = bent(piece(known[in], from, length));
          }
          return new float[][] {last.of(rows, 0)};
        })[0];
  }

  /** Makes rows of some moments. */
  private interface Span {
    float[][] of(int from, int length);
  }

  /** Rows of all moments, made span by span on all cores. */
  private static float[][] bySpans(int moments, Span span) {
    List<float[][]> pieces =
        AllCores.computed(
            IntStream.rangeClosed(0, Math.max(0, moments - 1) / SPAN).boxed().toList(),
            i -> span.of(i * SPAN, Math.min(SPAN, moments - i * SPAN)));
    float[][] rows = new float[pieces.get(0).length][moments];
    for (int i = 0; i < pieces.size(); i++) {
      for (int row = 0; row < rows.length; row++) {
        float[] piece = pieces.get(i)[row];
        System.arraycopy(piece, 0, rows[row], i * SPAN, piece.length);
      }
    }
    return rows;
  }

  /** So many moments of a row from one on; before its first and after its last it is 0. */
  private static float[] piece(float[] row, int from, int length) {
    float[] piece = new float[length];
    int first = Math.max(0, -from);
    int end = Math.min(length, row.length - from);
    if (end > first) {
      System.arraycopy(row, from + first, piece, first, end - first);
    }
    return piece;
  }

  /** The first three convolutions. */
  private float[][] look(IntFunction<float[]> frame, int moments, int from, int length) {
    // Each of the first two sees a moment more on both sides than the next one needs.
    int early = Math.max(0, from - AROUND / 2 * 2);
    int late = Math.min(moments, from + length + AROUND / 2 * 2);
    float[][][] bands = new float[1][LogMel.BANDS][late - early];
    for (int t = early; t < late; t++) {
      float[] a = frame.apply(FRAMES * t);
      float[] b = frame.apply(FRAMES * t + 1);
      for (int band = 0; band < LogMel.BANDS; band++) {
        bands[0][band][t - early] = (a[band] + b[band]) / FRAMES;
      }
    }
    float[][][] seen = pooled(convolved(pooled(convolved(bands, first)), second));
    float[][] rows = Arrays.stream(seen).flatMap(Arrays::stream).toArray(float[][]::new);
    float[][] made = new float[CHANNELS][];
    for (int out = 0; out < CHANNELS; out++) {
      made[out] = piece(bent(third.of(rows, out)), from - early, length);
    }
    return made;
  }

  /** A convolution over bands, which become two fewer, and moments, beyond which is nothing. */
  private static float[][][] convolved(float[][][] ins, Layer layer) {
    int length = ins[0][0].length;
    float[][][][] moved = new float[ins.length][AROUND][ins[0].length][];
    for (int in = 0; in < ins.length; in++) {
      for (int moment = 0; moment < AROUND; moment++) {
        for (int band = 0; band < ins[in].length; band++) {
          moved[in][moment][band] = piece(ins[in][band], moment - AROUND / 2, length);
        }
      }
    }
    float[][][] outs = new float[CHANNELS][ins[0].length - AROUND + 1][];
    for (int band = 0; band < outs[0].length; band++) {
      float[][] rows = new float[ins.length * AROUND * AROUND][];
      for (int row = 0; row < rows.length; row++) {
        float[][] there = moved[row / (AROUND * AROUND)][row / AROUND % AROUND];
        rows[row] = there[band + row % AROUND];
      }
      for (int out = 0; out < CHANNELS; out++) {
        outs[out][band] = layer.of(rows, out);
      }
    }
    return outs;
  }

  /** The strongest of every few bands, bent. */
  private static float[][][] pooled(float[][][] all) {
    int bands = all[0].length / POOLED;
    float[][][] kept = new float[all.length][bands][];
    for (int channel = 0; channel < all.length; channel++) {
      for (int band = 0; band < bands; band++) {
        float[] most = all[channel][band * POOLED];
        for (int k = 1; k < POOLED; k++) {
          float[] other = all[channel][band * POOLED + k];
          for (int t = 0; t < most.length; t++) {
            most[t] = Math.max(most[t], other[t]);
          }
        }
        kept[channel][band] = bent(most);
      }
    }
    return kept;
  }

  /** What is known, and what a layer hears in it. */
  private float[][] wider(float[][] now, int index, int moments) {
    return bySpans(
        moments,
        (from, length) -> {
          float[][] around = new float[CHANNELS * TAPS][];
          for (int row = 0; row < around.length; row++) {
            int later = (row % TAPS - TAPS / 2) << index;
            around[row] = piece(now[row / TAPS], from + later, length);
          }
          float[][] found = new float[CHANNELS][];
          for (int out = 0; out < CHANNELS; out++) {
            found[out] = bent(wide.get(index).of(around, out));
          }
          float[][] made = new float[CHANNELS][];
          for (int out = 0; out < CHANNELS; out++) {
            made[out] = mixed.get(index).of(found, out);
            for (int t = 0; t < length; t++) {
              made[out][t] += now[out][from + t];
            }
          }
          return made;
        });
  }

  /** The exponential linear unit, in place: what is under zero nears -1. */
  private static float[] bent(float[] values) {
    for (int i = 0; i < values.length; i++) {
      if (values[i] < 0) {
        values[i] = (float) (Math.exp(values[i]) - 1);
      }
    }
    return values;
  }
}
