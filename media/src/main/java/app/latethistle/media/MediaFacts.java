package app.latethistle.media;

import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRate;
import java.util.Optional;

/**
 * What a file holds.
 *
 * @param kind clip, still or sound
 * @param container what it was read as
 * @param codec the picture's codec, or the sound's for a sound file
 * @param frames pictures in the file; 1 for a still, 0 for sound
 * @param seconds its length; 0 for a still
 * @param rate mean rate of its pictures; empty for stills and sound
 * @param variable whether the distance between pictures varies
 * @param shape the picture as seen, turned upright; empty for sound
 * @param rotation degrees it is turned by when shown: 0, 90, 180 or 270
 * @param colour how its colours are written: "bt709", "bt601", "other" or one of {@link
 *     WideColour}, with " full" for full range
 * @param sound whether there is a sound track
 */
public record MediaFacts(
    Kind kind,
    Container container,
    String codec,
    long frames,
    double seconds,
    Optional<FrameRate> rate,
    boolean variable,
    Optional<PictureShape> shape,
    int rotation,
    String colour,
    boolean sound) {

  /** What a file is used as. */
  public enum Kind {
    CLIP,
    STILL,
    SOUND
  }

  private static final String FULL = " full";

  /** Seconds a still is held when it is used as a take. */
  public static final double STILL_SECONDS = 5;

  /** How its colours are written, without their range. */
  String space() {
    return colour.replace(FULL, "");
  }

  /** Whether they use the full range of codes. */
  boolean isFull() {
    return colour.endsWith(FULL);
  }

  /** The wide colours it is written in, which arrive as BT.709; empty if they are not wide. */
  public Optional<WideColour> wide() {
    return WideColour.named(space());
  }

  /** How many frames of a film it makes, conformed by time; at least 1. */
  public long framesAt(FrameRate film) {
    double length = kind == Kind.STILL ? STILL_SECONDS : seconds;
    return Math.max(1, film.framesIn(length));
  }
}
