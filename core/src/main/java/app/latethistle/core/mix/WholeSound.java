package app.latethistle.core.mix;

import java.io.IOException;

/**
 * A sound of which all is worked on at once, when the first of it is read; it is then held. Several
 * threads may read it.
 */
abstract class WholeSound implements SoundSource.Sound {
  /** What is worked on. */
  final SoundSource.Sound sound;

  private float[] whole;
  private boolean closed;

  WholeSound(SoundSource.Sound sound) {
    this.sound = sound;
  }

  /** All of it, worked on; channels in turn. */
  abstract float[] worked() throws IOException;

  @Override
  public int channels() {
    return sound.channels();
  }

  @Override
  public long length() {
    return sound.length();
  }

  @Override
  public void read(long from, float[] target, int frames) throws IOException {
    HeldSound.copy(whole(), channels(), from, target, frames);
  }

  private synchronized float[] whole() throws IOException {
    if (whole == null) {
      whole = worked();
    }
    return whole;
  }

  /** {@inheritDoc} What shares it may close it again. */
  @Override
  public synchronized void close() throws IOException {
    if (!closed) {
      closed = true;
      sound.close();
    }
  }
}
