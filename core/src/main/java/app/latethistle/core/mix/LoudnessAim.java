package app.latethistle.core.mix;

import app.latethistle.core.Refused;
import app.latethistle.core.signal.Loudness;
import app.latethistle.core.time.SampleRange;
import java.io.IOException;

/**
 * How loud a film is to leave: an integrated loudness and a ceiling for true peaks. The gain is
 * found by measuring: the limiter takes some of it away again where peaks are high, so it is
 * measured behind the limiter and put right a few times.
 *
 * @param integrated in LUFS, -40 to -5
 * @param ceiling in dBTP, -20 to 0
 */
public record LoudnessAim(double integrated, double ceiling) {
  /** Loudness that is less far off is not heard. */
  private static final double CLOSE = 0.05;

  private static final int ROUNDS = 4;

  /** Decibels a mix is raised at most: what would be raised beyond is noise. */
  private static final double MOST = 24;

  /**
   * @throws IllegalArgumentException if one is out of its range
   */
  public LoudnessAim {
    if (!(integrated >= -40 && integrated <= -5)) {
      throw new Refused(
          "A loudness to aim for is from -40 to -5 LUFS, not " + Refused.number(integrated) + ".");
    }
    if (!(ceiling >= -20 && ceiling <= 0)) {
      throw new Refused(
          "A ceiling for true peaks is from -20 to 0 dBTP, not " + Refused.number(ceiling) + ".");
    }
  }

  /** The same loudness under a ceiling that is lower by so many decibels. */
  public LoudnessAim lowered(double decibels) {
    return new LoudnessAim(integrated, Math.max(-20, ceiling - decibels));
  }

  /** The level at which a mix has this loudness, as nearly as the limiter lets it. */
  public Level levelOf(Mix mix, SoundSource source) throws IOException {
    double gain = 0;
    for (int round = 0; round < ROUNDS; round++) {
      double is = loudness(mix.with(new Level(gain, ceiling)), source);
      if (is == Loudness.SILENT) {
        return new Level(0, ceiling);
      }
      double off = integrated - is;
      gain = Math.min(MOST, gain + off);
      if (Math.abs(off) < CLOSE || gain == MOST) {
        break;
      }
    }
    return new Level(gain, ceiling);
  }

  /** A mix at that level. */
  public Mix reachedBy(Mix mix, SoundSource source) throws IOException {
    return mix.with(levelOf(mix, source));
  }

  private static double loudness(Mix mix, SoundSource source) throws IOException {
    Loudness.Meter meter = new Loudness.Meter();
    try (Mixer mixer = new Mixer(mix, source)) {
      mixer.mix(new SampleRange(0, mix.length()), meter::add);
    }
    return meter.integrated();
  }
}
