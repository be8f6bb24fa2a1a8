package app.latethistle.core.signal;

import app.latethistle.core.work.AllCores;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import org.jtransforms.fft.FloatFFT_1D;

/**
 * The magnitudes of a sound's short-time Fourier transform, one frame at a time: a Hann window of
 * {@code size} samples around every {@code hop}-th sample, with silence before the start and after
 * the end. A full-scale sine on a bin has a magnitude near 1.
 */
final class Spectra {
  /** Frames that are worked on at a time: a second's work is not worth sharing. */
  private static final int SPAN = 2048;

  private final MonoSound sound;
  private final int hop;
  private final float[] window;
  private final float[] buffer;
  private final float[] magnitudes;
  private final FloatFFT_1D fft;

  /**
   * @param size samples in a window, a power of two
   * @param hop samples from one frame to the next
   */
  Spectra(MonoSound sound, int size, int hop) {
    this.sound = sound;
    this.hop = hop;
    window = new float[size];
    for (int k = 0; k < size; k++) {
      window[k] = (float) (0.5 - 0.5 * Math.cos(2 * Math.PI * k / size));
    }
    buffer = new float[size];
    magnitudes = new float[size / 2];
    fft = new FloatFFT_1D(size);
  }

  /** The longest power of two that is no longer than so many seconds, in samples. */
  static int sizeWithin(double seconds, int rate) {
    return Integer.highestOneBit((int) (rate * seconds));
  }

  /** Number of frames. */
  int length() {
    return length(sound, hop);
  }

  private static int length(MonoSound sound, int hop) {
    return sound.samples().length / hop + 1;
  }

  /**
   * What comes of each frame, on all cores.
   *
   * @param size samples in a window, a power of two
   * @param hop samples from one frame to the next
   * @param of makes it of the frame's magnitudes, beside others
   */
  static float[][] each(MonoSound sound, int size, int hop, UnaryOperator<float[]> of) {
    float[][] made = new float[length(sound, hop)][];
    List<Integer> spans =
        IntStream.rangeClosed(0, (made.length - 1) / SPAN).map(i -> i * SPAN).boxed().toList();
    AllCores.computed(
        spans,
        from -> {
          Spectra spectra = new Spectra(sound, size, hop);
          int end = Math.min(made.length, from + SPAN);
          for (int i = from; i < end; i++) {
            made[i] = of.apply(spectra.frame(i));
          }
          return end;
        });
    return made;
  }

  /** Seconds from one frame to the next. */
  static double hopSeconds(MonoSound sound, int hop) {
    return (double) hop / sound.rate();
  }

  /**
   * Magnitudes of the frame centred on {@code frame} hops, by bin from 0; the first is always 0.
   * The array is used again for the next frame.
   */
  float[] frame(int frame) {
    float[] samples = sound.samples();
    int from = frame * hop - window.length / 2;
    for (int k = 0; k < window.length; k++) {
      int at = from + k;
      buffer[k] = at >= 0 && at < samples.length ? samples[at] * window[k] : 0;
    }
    fft.realForward(buffer);
    for (int k = 1; k < magnitudes.length; k++) {
      float re = buffer[2 * k];
      float im = buffer[2 * k + 1];
      magnitudes[k] = (float) Math.sqrt(re * re + im * im) * 4 / window.length;
    }
    return magnitudes;
  }
}
