package app.latethistle.core.mix;

import app.latethistle.core.signal.Convolution;
import java.io.IOException;
import java.util.function.Consumer;

/**
 * A sound behind filters. Each block is filtered from as long before it as they ring on, so that
 * what a sample becomes follows from its number alone.
 */
final class FilteredSound implements SoundSource.Sound {
  private static final int BLOCK = Convolution.BLOCK;
  private static final int LONG = Between.RING + BLOCK;

  private final SoundSource.Sound sound;
  private final Consumer<float[]> filters;
  private final BlockedSound blocks;
  private final float[] read;
  private final float[] channel = new float[LONG];

  /**
   * @param filters change samples in place, of which there was silence before
   */
  FilteredSound(SoundSource.Sound sound, Consumer<float[]> filters) {
    this.sound = sound;
    this.filters = filters;
    read = new float[LONG * sound.channels()];
    blocks = new BlockedSound(sound.channels(), this::make);
  }

  @Override
  public int channels() {
    return sound.channels();
  }

  @Override
  public long length() {
    return sound.length() + Between.RING;
  }

  @Override
  public void read(long from, float[] target, int frames) throws IOException {
    blocks.read(from, target, frames);
  }

  private void make(long number, float[] target) throws IOException {
    int channels = sound.channels();
    sound.read(number * BLOCK - Between.RING, read, LONG);
    for (int c = 0; c < channels; c++) {
      for (int i = 0; i < LONG; i++) {
        channel[i] = read[i * channels + c];
      }
      filters.accept(channel);
      for (int i = 0; i < BLOCK; i++) {
        target[i * channels + c] = channel[Between.RING + i];
      }
    }
  }

  @Override
  public void close() throws IOException {
    sound.close();
  }
}
