package app.latethistle.core.release;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.Tie;
import app.latethistle.core.look.Shape;
import app.latethistle.core.mix.LoudnessAim;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.Optional;
import java.util.OptionalLong;

/**
 * One thing to be delivered.
 *
 * @param name as people call it, a {@link NamePattern}; its file is named after it
 * @param encoding how it is written
 * @param quality how good its picture is, where no size is wished
 * @param megabytes how large the file is to be, in millions of bytes; empty for as it comes
 * @param pictures how they are drawn
 * @param part of the film
 * @param loudness what it is to measure; empty for as it is mixed
 * @param ticked whether it is among those that are rendered
 */
public record Output(
    NamePattern name,
    Encoding encoding,
    Quality quality,
    Optional<Double> megabytes,
    Pictures pictures,
    Part part,
    Optional<LoudnessAim> loudness,
    boolean ticked) {
  private static final int LEAST_LINES = 144;
  private static final int MOST_LINES = 2160;
  private static final int MOST_SECONDS = 86_400;
  private static final double LEAST_SIZE = 0.1;
  private static final double MOST_SIZE = 20_000;

  /**
   * How an output's pictures are drawn.
   *
   * @param shape empty for the film's own
   * @param lines of the shorter side, 144 to 2160; empty for as many as the film has
   * @param rate frames a second; empty for the film's own
   * @param captions the language of the captions in them, "" for none; empty for those that stand
   *     in the film's pictures
   */
  public record Pictures(
      Optional<Shape> shape,
      Optional<Integer> lines,
      Optional<FrameRate> rate,
      Optional<String> captions) {
    /** As the film's. */
    public static final Pictures AS_FILM =
        new Pictures(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

    /**
     * @throws IllegalArgumentException if they are too small or too large
     */
    public Pictures {
      lines.ifPresent(
          n -> {
            if (n < LEAST_LINES || n > MOST_LINES) {
              throw new Refused(
                  "The shorter side of an output has "
                      + LEAST_LINES
                      + " to "
                      + MOST_LINES
                      + " lines, not "
                      + n
                      + ".");
            }
          });
    }

    /** The same in a shape. */
    public Pictures in(Shape other) {
      return new Pictures(Optional.of(other), lines, rate, captions);
    }
  }

  /**
   * The part of a film that an output has.
   *
   * @param from what its start is tied to; empty for the film's start
   * @param to what its end is tied to; empty for the film's end
   * @param longest how long the place it is for takes films, in seconds, 1 to 86,400; empty for any
   *     length
   */
  public record Part(Optional<Tie> from, Optional<Tie> to, Optional<Integer> longest) {
    /** All of it, however long. */
    public static final Part WHOLE = new Part(Optional.empty(), Optional.empty(), Optional.empty());

    /**
     * @throws IllegalArgumentException if no film is that short or long
     */
    public Part {
      longest.ifPresent(
          seconds -> {
            if (seconds < 1 || seconds > MOST_SECONDS) {
              throw new Refused(
                  "A place takes films of 1 to " + MOST_SECONDS + " s, not " + seconds + ".");
            }
          });
    }
  }

  /**
   * @throws IllegalArgumentException if a value is out of its range, with a sentence for the person
   */
  public Output {
    megabytes.ifPresent(
        size -> {
          if (!(size >= LEAST_SIZE && size <= MOST_SIZE)) {
            throw new Refused(
                "A file is from 0.1 to 20000 MB large, not " + Refused.number(size) + ".");
          }
        });
    if (megabytes.isPresent() && encoding.sizing() == Encoding.Sizing.NONE) {
      throw new Refused(encoding.label() + " cannot be made as large as wished.");
    }
  }

  /** The whole film as it is, for the web's usual loudness (common practice, no source). */
  public static Output of(String name, Encoding encoding) {
    return new Output(
        new NamePattern(name),
        encoding,
        Quality.STANDARD,
        Optional.empty(),
        Pictures.AS_FILM,
        Part.WHOLE,
        encoding.hasSound() ? Optional.of(new LoudnessAim(-14, -1)) : Optional.empty(),
        true);
  }

  /**
   * The frames of a film that are in it: of a still the first alone.
   *
   * @throws IllegalArgumentException if what it is tied to is gone, or it ends before it begins
   */
  public FrameRange range(Resolved film) {
    long length = film.cutting().length();
    long start = part.from.map(tie -> frame(film, tie, "starts")).orElse(0L);
    if (encoding == Encoding.STILL) {
      long first = Math.max(0, Math.min(length - 1, start));
      return new FrameRange(first, first + 1);
    }
    long end = part.to.map(tie -> frame(film, tie, "ends")).orElse(length);
    start = Math.max(0, Math.min(length, start));
    end = Math.max(0, Math.min(length, end));
    if (start >= end) {
      throw new Refused("Output “" + name.text() + "” would end before it begins; tie it anew.");
    }
    return new FrameRange(start, end);
  }

  private long frame(Resolved film, Tie tie, String what) {
    OptionalLong sample = film.sampleOf(tie);
    if (sample.isEmpty()) {
      throw new Refused(
          "What output “" + name.text() + "” " + what + " with is not in the film; tie it anew.");
    }
    return film.rate().nearestFrame(sample.getAsLong());
  }

  /** How many seconds of a film are more than the place takes; 0 if it takes them. */
  public double over(Resolved film) {
    double seconds = film.rate().secondsOf(range(film).length());
    return part.longest.map(most -> Math.max(0, seconds - most)).orElse(0.0);
  }

  public Output withTicked(boolean now) {
    return new Output(name, encoding, quality, megabytes, pictures, part, loudness, now);
  }

  public Output withPictures(Pictures other) {
    return new Output(name, encoding, quality, megabytes, other, part, loudness, ticked);
  }

  public Output withPart(Part other) {
    return new Output(name, encoding, quality, megabytes, pictures, other, loudness, ticked);
  }
}
