package app.latethistle.core.mix;

import java.util.Arrays;

/** A sound that is held in memory. */
final class HeldSound implements SoundSource.Sound {
  private final float[] samples;
  private final int channels;

  /**
   * @param samples channels in turn
   */
  HeldSound(float[] samples, int channels) {
    this.samples = samples;
    this.channels = channels;
  }

  @Override
  public int channels() {
    return channels;
  }

  @Override
  public long length() {
    return samples.length / channels;
  }

  @Override
  public void read(long from, float[] target, int frames) {
    copy(samples, channels, from, target, frames);
  }

  /** Copies samples from one on; there are zeros before the first and after the last. */
  static void copy(float[] samples, int channels, long from, float[] target, int frames) {
    long length = samples.length / channels;
    int first = (int) Math.max(0, Math.min(frames, -from));
    int last = (int) Math.max(first, Math.min(frames, length - from));
    Arrays.fill(target, 0, first * channels, 0);
    Arrays.fill(target, last * channels, frames * channels, 0);
    if (last > first) {
      System.arraycopy(
          samples,
          (int) (from + first) * channels,
          target,
          first * channels,
          (last - first) * channels);
    }
  }

  @Override
  public void close() {
    // Nothing is open.
  }
}
