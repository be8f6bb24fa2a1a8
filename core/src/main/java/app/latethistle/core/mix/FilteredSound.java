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

  private final SoundSource.Sound sound;
  private final int rings;
  private final Consumer<float[][]> filters;
  private final BlockedSound blocks;
  private final float[] read;
  private final float[][] sides;

  /**
   * @param rings samples for which the filters ring on
   * @param filters change channels in place; there was silence before them
   */
  FilteredSound(SoundSource.Sound sound, int rings, Consumer<float[][]> filters) {
    this.sound = sound;
    this.rings = rings;
    this.filters = filters;
    read = new float[(rings + BLOCK) * sound.channels()];
    sides = new float[sound.channels()][rings + BLOCK];
    blocks = new BlockedSound(sound.channels(), this::make);
  }

  @Override
  public int channels() {
    return sound.channels();
  }

  @Override
  public long length() {
    return sound.length() + rings;
  }

  @Override
  public void read(long from, float[] target, int frames) throws IOException {
    blocks.read(from, target, frames);
  }

  private void make(long number, float[] target) throws IOException {
    int channels = sides.length;
    sound.read(number * BLOCK - rings, read, rings + BLOCK);
    for (int c = 0; c < channels; c++) {
      for (int i = 0; i < sides[c].length; i++) {
        sides[c][i] = read[i * channels + c];
      }
    }
    filters.accept(sides);
    for (int c = 0; c < channels; c++) {
      for (int i = 0; i < BLOCK; i++) {
        target[i * channels + c] = sides[c][rings + i];
      }
    }
  }

  @Override
  public void close() throws IOException {
    sound.close();
  }
}
