package app.latethistle.core.mix;

import app.latethistle.core.sound.VoiceCare;
import java.io.IOException;

/**
 * A reading that is cared for. It is worked on whole, when the first of it is read: a line lasts
 * seconds, and what its pauses sound like is known only from all of it.
 */
final class CaredVoice extends WholeSound {
  /** Lines that are longer are left as they are: 3 minutes are 35 MB. */
  private static final long LONGEST = 3L * 60 * 48_000;

  private final VoiceCare how;

  CaredVoice(SoundSource.Sound sound, VoiceCare how) {
    super(sound);
    this.how = how;
  }

  @Override
  public void read(long from, float[] target, int frames) throws IOException {
    if (channels() != 1 || length() > LONGEST || how.leavesAll()) {
      sound.read(from, target, frames);
    } else {
      super.read(from, target, frames);
    }
  }

  @Override
  float[] worked() throws IOException {
    float[] samples = new float[(int) sound.length()];
    sound.read(0, samples, samples.length);
    return VoiceCaring.of(samples, how);
  }
}
