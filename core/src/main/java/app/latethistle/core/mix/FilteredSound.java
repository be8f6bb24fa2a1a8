package app.latethistle.core.mix;

import app.latethistle.core.signal.Convolution;
import java.io.IOException;

/**
 * A sound on its {@link StraightWay}. Each block is filtered from as long before it as filters ring
 * on, so that what a sample becomes follows from its number alone.
 */
final class FilteredSound implements SoundSource.Sound {
  private static final int BLOCK = Convolution.BLOCK;
  private static final int LONG = Between.RING + BLOCK;

  private final SoundSource.Sound sound;
  private final Effect.Placed how;
  private final BlockedSound blocks;
  private final float[] read;
  private final float[] channel = new float[LONG];

  FilteredSound(SoundSource.Sound sound, Effect.Placed how) {
    this.sound = sound;
    this.how = how;
    read = new float[LONG * sound.channels()];
    blocks = new BlockedSound(sound.channels(), this::make);
  }

  @Override
  public int channels() {
    return sound.channels();
  }

  @Override
  public long length() {
    return sound.length() + how.rings();
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
      StraightWay.run(how, channel);
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
