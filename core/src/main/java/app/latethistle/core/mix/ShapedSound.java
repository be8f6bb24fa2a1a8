package app.latethistle.core.mix;

import app.latethistle.core.Refused;
import app.latethistle.core.signal.Resampling;
import app.latethistle.core.signal.TimeStretch;
import app.latethistle.core.sound.Timing;
import app.latethistle.core.time.SampleRange;
import java.io.IOException;

/** A part of a sound run otherwise. */
final class ShapedSound extends WholeSound {
  /** What is longer is refused: 3 minutes of two channels are 70 MB. */
  private static final long LONGEST = 3L * 60 * 48_000;

  private final SampleRange part;
  private final Timing time;

  ShapedSound(SoundSource.Sound sound, SampleRange part, Timing time) {
    super(sound);
    this.part = part;
    this.time = time;
  }

  @Override
  public long length() {
    return time.samples(part.length());
  }

  @Override
  float[] worked() throws IOException {
    if (part.length() > LONGEST) {
      throw new Refused(
          "Sounds of up to 3 minutes are stretched, pitched and reversed; take a part of this"
              + " one.");
    }
    int channels = channels();
    int own = (int) part.length();
    float[] together = new float[own * channels];
    sound.read(part.start(), together, own);
    float[][] apart = new float[channels][own];
    for (int i = 0; i < own; i++) {
      int from = time.reversed() ? own - 1 - i : i;
      for (int c = 0; c < channels; c++) {
        apart[c][i] = together[from * channels + c];
      }
    }
    // Higher is faster, so it is made longer first by as much, and the other way round.
    int length = (int) length();
    double speed = Math.pow(2, time.pitch() / 12);
    float[][] longer = TimeStretch.to(apart, (int) Math.round(length * speed));
    float[][] pitched = time.pitch() == 0 ? longer : Resampling.of(longer, speed, length);
    float[] out = new float[length * channels];
    for (int c = 0; c < channels; c++) {
      for (int i = 0; i < length; i++) {
        out[i * channels + c] = pitched[c][i];
      }
    }
    return out;
  }
}
