package app.latethistle.core.mix;

import java.io.IOException;
import java.util.Arrays;

/** What a part's course reads of a medium, with its edges: sample 0 is the part's first. */
final class PartSound implements SoundSource.Sound {
  private final SoundSource.Sound medium;
  private final Part part;
  private float[] some = new float[0];

  /**
   * @param medium as the part's course reads it
   */
  PartSound(SoundSource.Sound medium, Part part) {
    this.medium = medium;
    this.part = part;
  }

  @Override
  public int channels() {
    return medium.channels();
  }

  @Override
  public long length() {
    return part.at().length();
  }

  @Override
  public void read(long from, float[] target, int frames) throws IOException {
    int channels = channels();
    int first = (int) Math.max(0, Math.min(frames, -from));
    int last = (int) Math.max(first, Math.min(frames, length() - from));
    if (first == 0) {
      if (last > 0) {
        part.course().read(medium, from, target, last);
      }
    } else {
      Arrays.fill(target, 0, first * channels, 0);
      if (last > first) {
        int count = (last - first) * channels;
        if (some.length < count) {
          some = new float[count];
        }
        part.course().read(medium, from + first, some, last - first);
        System.arraycopy(some, 0, target, first * channels, count);
      }
    }
    Arrays.fill(target, last * channels, frames * channels, 0);
    part.edges().apply(target, channels, from, last, length());
  }

  @Override
  public void close() throws IOException {
    medium.close();
  }
}
