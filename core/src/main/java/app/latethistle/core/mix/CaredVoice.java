package app.latethistle.core.mix;

import app.latethistle.core.sound.VoiceCare;
import java.io.IOException;

/**
 * A reading that is cared for. It is worked on whole, when the first of it is read: a line lasts
 * seconds, and what its pauses sound like is known only from all of it.
 */
final class CaredVoice implements SoundSource.Sound {
  /** Lines that are longer are left as they are: 3 minutes are 35 MB. */
  private static final long LONGEST = 3L * 60 * 48_000;

  private final SoundSource.Sound sound;
  private final VoiceCare how;
  private float[] cared;

  CaredVoice(SoundSource.Sound sound, VoiceCare how) {
    this.sound = sound;
    this.how = how;
  }

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
    if (sound.channels() != 1 || sound.length() > LONGEST || how.leavesAll()) {
      sound.read(from, target, frames);
      return;
    }
    if (cared == null) {
      float[] whole = new float[(int) sound.length()];
      sound.read(0, whole, whole.length);
      cared = VoiceCaring.of(whole, how);
    }
    HeldSound.copy(cared, 1, from, target, frames);
  }

  @Override
  public void close() throws IOException {
    sound.close();
  }
}
