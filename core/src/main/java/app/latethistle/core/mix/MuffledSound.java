package app.latethistle.core.mix;

import app.latethistle.core.signal.Biquad;
import app.latethistle.core.sound.Equaliser;
import java.io.IOException;

/**
 * Music that grows dull towards its end: a filter of second order without a hump takes away more
 * and more of what is high, by as many octaves in each second. A turn of a minute is 23 MB.
 */
final class MuffledSound extends WholeSound {
  /** Where the filter begins, and what is left in the end: common practice, no source. */
  private static final double OPEN = 18_000;

  private static final double DULL = 350;

  /** Samples after which the filter moves on: 0.7 ms, too short to be heard as steps. */
  private static final int STEP = 32;

  /** Samples in which it comes in and goes: 5 ms, so that nothing clicks. */
  private static final int SOFT = 240;

  MuffledSound(SoundSource.Sound sound) {
    super(sound);
  }

  @Override
  float[] worked() throws IOException {
    int channels = channels();
    int length = (int) length();
    float[] samples = new float[length * channels];
    sound.read(0, samples, length);
    Biquad[] filters = new Biquad[channels];
    for (int i = 0; i < length; i++) {
      if (i % STEP == 0) {
        double hertz = OPEN * Math.pow(DULL / OPEN, (double) i / length);
        for (int c = 0; c < channels; c++) {
          Biquad now = Biquad.highCut(hertz, Equaliser.Band.FLAT);
          filters[c] = filters[c] == null ? now : now.after(filters[c]);
        }
      }
      double share = Math.min(1.0, Math.min(i, length - i) / (double) SOFT);
      for (int c = 0; c < channels; c++) {
        int at = i * channels + c;
        samples[at] += (float) (share * (filters[c].next(samples[at]) - samples[at]));
      }
    }
    return samples;
  }
}
