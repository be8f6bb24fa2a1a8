package app.latethistle.media;

import app.latethistle.core.voice.Stretch;
import app.latethistle.core.voice.Tightening;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;

/**
 * A line spoken in a film.
 *
 * @param file its reading
 * @param cuts what tightening leaves out of it, in samples of the reading
 * @param at where it begins, in samples of the film; what comes before 0 is not heard
 * @param length how long it sounds, in samples
 * @param gain in decibels
 */
public record Speech(
    Path file, Container container, List<Stretch> cuts, long at, long length, double gain) {
  /** How loud lines are made, in LUFS: common practice for a voice over music, no source. */
  private static final double LOUDNESS = -17;

  /** Decibels a soft reading is raised at most. */
  private static final double MOST = 15;

  /** Copies the list. */
  public Speech {
    cuts = List.copyOf(cuts);
  }

  /** The gain that makes a reading of a loudness as loud as every other; 0 if it has none. */
  public static double gainFor(double loudness) {
    return Double.isFinite(loudness) ? Math.min(MOST, LOUDNESS - loudness) : 0;
  }

  Stretch within() {
    return new Stretch(Math.max(0, at), Math.max(0, at + length));
  }

  void addTo(float[] stereo, DecodedSounds sounds) throws IOException {
    float[] samples = new Tightening(cuts).apply(sounds.mono(file, container), 1);
    float factor = (float) Math.pow(10, gain / 20);
    for (int i = (int) Math.max(0, -at); i < samples.length; i++) {
      long to = 2 * (at + i);
      if (to + 1 >= stereo.length) {
        return;
      }
      stereo[(int) to] += factor * samples[i];
      stereo[(int) to + 1] += factor * samples[i];
    }
  }

  String key() {
    return file.getFileName() + " " + cuts + " " + at + " " + length + " " + gain;
  }
}
