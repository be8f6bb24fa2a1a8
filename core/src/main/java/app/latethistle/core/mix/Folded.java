package app.latethistle.core.mix;

import app.latethistle.core.signal.Convolution;
import java.io.IOException;
import java.util.List;

/** A sound folded with a response for each ear, block by block; the last block is kept. */
final class Folded implements SoundSource.Sound {
  private final SoundSource.Sound sound;
  private final List<Convolution> ears;
  private final int block;
  private final float[] read;
  private final float[][] ready;
  private long at = -1;

  Folded(SoundSource.Sound sound, List<Convolution> ears) {
    this.sound = sound;
    this.ears = ears;
    block = ears.get(0).block();
    read = new float[2 * block * sound.channels()];
    ready = new float[2][2 * block];
  }

  @Override
  public int channels() {
    return 2;
  }

  @Override
  public long length() {
    return sound.length() + ears.get(0).length() - 1;
  }

  @Override
  public void read(long from, float[] target, int frames) throws IOException {
    for (int done = 0; done < frames; ) {
      long sample = from + done;
      long number = Math.floorDiv(sample, block);
      int within = (int) (sample - number * block);
      int count = Math.min(frames - done, block - within);
      if (number < 0) {
        for (int i = 2 * done; i < 2 * (done + count); i++) {
          target[i] = 0;
        }
      } else {
        make(number);
        for (int i = 0; i < count; i++) {
          target[2 * (done + i)] = ready[0][block + within + i];
          target[2 * (done + i) + 1] = ready[1][block + within + i];
        }
      }
      done += count;
    }
  }

  private void make(long number) throws IOException {
    if (number == at) {
      return;
    }
    int channels = sound.channels();
    sound.read((number - 1) * block, read, 2 * block);
    for (int ear = 0; ear < 2; ear++) {
      int channel = Math.min(ear, channels - 1);
      for (int i = 0; i < 2 * block; i++) {
        ready[ear][i] = read[i * channels + channel];
      }
      ears.get(ear).apply(ready[ear]);
    }
    at = number;
  }

  @Override
  public void close() throws IOException {
    sound.close();
  }
}
