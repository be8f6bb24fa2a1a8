package app.latethistle.core.mix;

import app.latethistle.core.film.Resolved;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Makes the mix of a film: its song, its clips and its voice. */
public final class FilmMix {
  private FilmMix() {}

  /**
   * The file of a line that is read.
   *
   * @param media SHA-256 of it
   * @param cuts what is left out of it, in its samples
   * @param loudness in LUFS; it is left as loud as it is if that is not finite
   */
  public record Reading(String media, List<SampleRange> cuts, double loudness) {
    public Reading {
      cuts = List.copyOf(cuts);
    }
  }

  /**
   * The mix of a film.
   *
   * @param sounding takes whose clips have a sound of their own
   * @param song SHA-256 of the song's file
   * @param readings of the lines of the film's narration, in their order
   */
  public static Mix of(
      Resolved film,
      Set<String> sounding,
      Optional<String> song,
      List<Optional<Reading>> readings) {
    FrameRate rate = film.rate();
    long length = rate.sampleOf(film.cutting().length());
    List<Part> parts = new ArrayList<>();
    song.ifPresent(
        media ->
            parts.add(
                new Part(
                    Bus.MUSIC,
                    media,
                    new SampleRange(0, length),
                    new Course.Straight(film.film().music().start()),
                    0)));
    parts.addAll(new FilmSounds(film, sounding).parts());
    for (int i = 0; i < readings.size(); i++) {
      SampleRange at = film.cutting().voice().lines().get(i).at();
      readings
          .get(i)
          .ifPresent(
              reading ->
                  parts.add(
                      new Part(
                          Bus.VOICE,
                          reading.media,
                          at,
                          new Course.Tightened(reading.cuts),
                          Part.voiceGain(reading.loudness))));
    }
    return new Mix(parts, length, rate.sampleOf(film.film().finish().end().frames()));
  }
}
