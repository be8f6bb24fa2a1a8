package app.latethistle.core.mix;

import app.latethistle.core.signal.Convolution;
import java.io.IOException;

/**
 * Samples that are made in blocks of {@link Convolution#BLOCK}. The two last are kept, for a mixer
 * goes back a little with each range that it reads.
 */
final class BlockedSound {
  private static final int BLOCK = Convolution.BLOCK;

  private final int channels;
  private final Maker maker;
  private final float[][] kept;
  private final long[] numbers = {Long.MIN_VALUE, Long.MIN_VALUE};

  /** Makes a block. */
  @FunctionalInterface
  interface Maker {
    /**
     * Makes a block.
     *
     * @param number its first sample's number over the block's length
     * @param target takes all its samples, channels in turn
     */
    void make(long number, float[] target) throws IOException;
  }

  BlockedSound(int channels, Maker maker) {
    this.channels = channels;
    this.maker = maker;
    kept = new float[2][BLOCK * channels];
  }

  /** Reads from a sample on, over what is in the target. */
  void read(long from, float[] target, int frames) throws IOException {
    for (int done = 0; done < frames; ) {
      long number = Math.floorDiv(from + done, BLOCK);
      int within = (int) (from + done - number * BLOCK);
      int count = Math.min(frames - done, BLOCK - within);
      float[] block = block(number);
      System.arraycopy(block, within * channels, target, done * channels, count * channels);
      done += count;
    }
  }

  private float[] block(long number) throws IOException {
    int slot = (int) Math.floorMod(number, 2L);
    if (numbers[slot] != number) {
      numbers[slot] = Long.MIN_VALUE;
      maker.make(number, kept[slot]);
      numbers[slot] = number;
    }
    return kept[slot];
  }
}
