package app.latethistle.core.mix;

import java.io.IOException;

/** A sound of which all is worked on at once, when the first of it is read; it is then held. */
abstract class WholeSound implements SoundSource.Sound {
  /** What is worked on. */
  final SoundSource.Sound sound;

  private float[] whole;

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
    if (whole == null) {
      whole = worked();
    }
    HeldSound.copy(whole, channels(), from, target, frames);
  }

  @Override
  public void close() throws IOException {
    sound.close();
  }
}
