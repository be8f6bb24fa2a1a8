package app.latethistle.core.mix;

import java.io.IOException;
import java.util.List;

/** A sound that stays left or right, or goes from one to the other, as loud everywhere. */
final class PannedSound implements SoundSource.Sound {
  private final SoundSource.Sound sound;
  private final List<Effect.Panned.Point> line;
  private float[] read = new float[0];

  PannedSound(SoundSource.Sound sound, List<Effect.Panned.Point> line) {
    this.sound = sound;
    this.line = line;
  }

  @Override
  public int channels() {
    return 2;
  }

  @Override
  public long length() {
    return sound.length();
  }

  @Override
  public void read(long from, float[] target, int frames) throws IOException {
    int channels = sound.channels();
    if (read.length < frames * channels) {
      read = new float[frames * channels];
    }
    sound.read(from, read, frames);
    int after = 0;
    for (int i = 0; i < frames; ) {
      long at = from + i;
      while (after < line.size() && line.get(after).sample() <= at) {
        after++;
      }
      boolean goes = after > 0 && after < line.size();
      int to = goes ? i + 1 : stays(after, from, frames);
      double side = (pan(after, at) + 1) * Math.PI / 4;
      float left = (float) (Math.sqrt(2) * Math.cos(side));
      float right = (float) (Math.sqrt(2) * Math.sin(side));
      for (; i < to; i++) {
        target[2 * i] = left * read[i * channels];
        target[2 * i + 1] = right * read[i * channels + channels - 1];
      }
    }
  }

  /** How many of the frames read are over when it goes on to its next point. */
  private int stays(int after, long from, int frames) {
    return after == line.size() ? frames : (int) Math.min(frames, line.get(after).sample() - from);
  }

  private double pan(int after, long at) {
    Effect.Panned.Point b = line.get(Math.min(line.size() - 1, after));
    Effect.Panned.Point a = line.get(Math.max(0, after - 1));
    if (a.sample() >= b.sample() || at <= a.sample()) {
      return a.pan();
    }
    double share = (double) (at - a.sample()) / (b.sample() - a.sample());
    return a.pan() + (b.pan() - a.pan()) * Math.min(1, share);
  }

  @Override
  public void close() throws IOException {
    sound.close();
  }
}
