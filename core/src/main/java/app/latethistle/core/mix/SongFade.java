package app.latethistle.core.mix;

/**
 * The fade at the film's end: a raised cosine from 1 to 0, the same curve for picture and song, so
 * that both are gone together.
 */
public final class SongFade {
  private SongFade() {}

  /**
   * The gain at a moment.
   *
   * @param position frames or samples from the start
   * @param length the film's length in the same unit
   * @param fade the fade's length in the same unit; 0 for none
   * @return 1 before the fade, falling to 0 at {@code length}
   */
  public static double gain(long position, long length, long fade) {
    long into = position - (length - fade);
    if (fade <= 0 || into <= 0) {
      return 1;
    }
    double x = Math.min(1, (double) into / fade);
    return 0.5 + 0.5 * Math.cos(Math.PI * x);
  }

  /**
   * Fades interleaved stereo in place.
   *
   * @param stereo left and right in turn
   * @param fade the fade's length in samples
   */
  public static void apply(float[] stereo, long fade) {
    long length = stereo.length / 2;
    for (long i = Math.max(0, length - fade); i < length; i++) {
      float gain = (float) gain(i, length, fade);
      stereo[(int) (2 * i)] *= gain;
      stereo[(int) (2 * i + 1)] *= gain;
    }
  }
}
