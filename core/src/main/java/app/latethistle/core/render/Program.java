package app.latethistle.core.render;

import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Placement;
import app.latethistle.core.mix.SongFade;
import app.latethistle.core.take.Framing;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * A film resolved to what is drawn: spans of takes one after another, a fade at the end, a rate and
 * a size.
 *
 * @param spans in order, without gaps, from frame 0
 * @param fade frames over which the end fades to black
 * @param rate frames a second
 * @param width even
 * @param height even
 */
public record Program(List<Span> spans, long fade, FrameRate rate, int width, int height) {
  /** Raised whenever the same program would give other pixels. */
  private static final String ENGINE = "1";

  private static final double SEGMENT_SECONDS = 2;

  /**
   * A take on screen.
   *
   * @param range frames of the film
   * @param media SHA-256 of the take's file
   * @param in the take's frame at the start of the range
   * @param frames the take's length; past it the last frame is held
   * @param framing how it meets the picture
   */
  public record Span(FrameRange range, String media, long in, long frames, Framing framing) {}

  /** Resolves a film; placements whose take is missing are left out and stay black. */
  public static Program of(
      Film film, Cutting cutting, Map<String, Take> takes, FrameRate rate, int width, int height) {
    List<Span> spans = new ArrayList<>();
    for (int i = 0; i < film.placements().size(); i++) {
      Placement p = film.placements().get(i);
      Take take = takes.get(p.take());
      if (take != null) {
        spans.add(new Span(cutting.rangeOf(i), take.media(), p.in(), take.frames(), p.framing()));
      }
    }
    return new Program(List.copyOf(spans), film.song().fade(), rate, width, height);
  }

  /**
   * The same film on the frames of another rate: every cut and source frame at the frame nearest to
   * its time. Takes count one frame less than they would, so that none runs dry by rounding.
   */
  public Program at(FrameRate other) {
    if (other.equals(rate)) {
      return this;
    }
    List<Span> converted = new ArrayList<>();
    for (Span span : spans) {
      FrameRange range =
          new FrameRange(at(other, span.range().start()), at(other, span.range().end()));
      long frames = Math.max(1, at(other, span.frames()) - 1);
      long in = Math.min(at(other, span.in()), frames - 1);
      converted.add(new Span(range, span.media(), in, frames, span.framing()));
    }
    return new Program(List.copyOf(converted), at(other, fade), other, width, height);
  }

  private long at(FrameRate other, long frame) {
    return other.nearestFrame(rate.sampleOf(frame));
  }

  /** The film's length in frames. */
  public long length() {
    return spans.isEmpty() ? 0 : spans.get(spans.size() - 1).range().end();
  }

  /** How bright a frame is, 1 before the fade. */
  public double gain(long frame) {
    return SongFade.gain(frame, length(), fade);
  }

  /** The film in segments of about two seconds, which is what the preview asks for. */
  public List<Segment> segments() {
    return segments(SEGMENT_SECONDS);
  }

  /**
   * The film in segments of so many seconds, to the nearest frame; the last may be shorter. Longer
   * ones cost less to encode, shorter ones are sooner made again after an edit.
   */
  public List<Segment> segments(double seconds) {
    long frames = rate.framesIn(seconds);
    List<Segment> segments = new ArrayList<>();
    for (long start = 0; start < length(); start += frames) {
      FrameRange range = new FrameRange(start, Math.min(length(), start + frames));
      segments.add(new Segment(segments.size(), range, hash(range)));
    }
    return segments;
  }

  /** SHA-256 over all that can change a pixel of a range. */
  public String hash(FrameRange range) {
    StringBuilder text = new StringBuilder();
    text.append("engine ").append(ENGINE).append(' ').append(rate).append(' ');
    text.append(width).append('x').append(height).append(" at ").append(range.start());
    text.append(" for ").append(range.length()).append('\n');
    for (Span span : spans) {
      long from = Math.max(range.start(), span.range().start());
      long to = Math.min(range.end(), span.range().end());
      if (from < to) {
        text.append(from).append(' ').append(to).append(' ').append(span.media()).append(' ');
        text.append(span.in() + from - span.range().start()).append(' ');
        text.append(span.frames()).append(' ').append(span.framing()).append('\n');
      }
    }
    if (gain(range.end() - 1) < 1) {
      text.append("fade ").append(fade).append(" to ").append(length());
    }
    return Fingerprint.of(text.toString());
  }
}
