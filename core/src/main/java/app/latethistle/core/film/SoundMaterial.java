package app.latethistle.core.film;

import app.latethistle.core.Refused;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import java.util.Optional;
import java.util.stream.Stream;

/** What of which file is heard of a sound, before anything is done to it. */
public sealed interface SoundMaterial {
  /** For people. */
  String name();

  /** The file's samples that are heard. */
  SampleRange heard(FrameRate rate);

  /** The file's sample that lands, in what is heard or at its end. */
  long lands(FrameRate rate);

  /** What may be repeated so that it goes on for as long as wanted, in the file's samples. */
  Optional<SampleRange> loop();

  /**
   * A clip's sound that goes its own way, detached from its picture; it lands where it begins.
   *
   * @param take the take whose sound it is
   * @param in the take's frame at which it begins
   * @param length in frames, 1 or more
   */
  record OfTake(String take, long in, long length) implements SoundMaterial {
    /**
     * @throws IllegalArgumentException if a value is out of its range
     */
    public OfTake {
      if (in < 0 || length < 1) {
        throw new Refused(
            "A sound begins at frame 0 or later of its clip and lasts a frame or more.");
      }
    }

    @Override
    public String name() {
      return "a clip\u2019s sound";
    }

    @Override
    public SampleRange heard(FrameRate rate) {
      return new SampleRange(rate.sampleOf(in), rate.sampleOf(in + length));
    }

    @Override
    public long lands(FrameRate rate) {
      return rate.sampleOf(in);
    }

    @Override
    public Optional<SampleRange> loop() {
      return Optional.empty();
    }
  }

  /**
   * A sound of its own.
   *
   * @param media SHA-256 of the file's bytes
   * @param name for people
   * @param part the file's samples that are heard, one or more
   * @param lands the file's sample that lands
   * @param loop what of it may be repeated
   */
  record OfFile(String media, String name, SampleRange part, long lands, Optional<SampleRange> loop)
      implements SoundMaterial {
    /**
     * @throws IllegalArgumentException if a value is out of its range
     */
    public OfFile {
      if (part.start() < 0 || part.isEmpty()) {
        throw new Refused("A sound begins at sample 0 or later and lasts a sample or more.");
      }
      if (lands < part.start() || lands > part.end()) {
        throw new Refused("What lands of a sound lies in what is heard of it.");
      }
      loop.ifPresent(
          range -> {
            if (range.start() < 0 || range.isEmpty()) {
              throw new Refused("What is repeated of a sound lasts a sample or more.");
            }
          });
    }

    /** Those that are laid in a film, in its order; one as often as it is laid. */
    public static Stream<OfFile> in(Film film) {
      return film.sounds().stream()
          .map(FilmSound::what)
          .filter(OfFile.class::isInstance)
          .map(OfFile.class::cast);
    }

    @Override
    public SampleRange heard(FrameRate rate) {
      return part;
    }

    @Override
    public long lands(FrameRate rate) {
      return lands;
    }
  }
}
