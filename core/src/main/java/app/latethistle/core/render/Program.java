package app.latethistle.core.render;

import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.mix.SongFade;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A film resolved to what is drawn: spans of takes, a fade at the end, a rate and a size.
 *
 * @param spans those of the cut in order, then those that lie over it, lower layers first; where
 *     there is none the film is black
 * @param length in frames
 * @param fade frames over which the end fades to black
 * @param rate frames a second
 * @param width even
 * @param height even
 */
public record Program(
    List<Span> spans, long length, long fade, FrameRate rate, int width, int height) {
  /** Raised whenever the same program would give other pixels. */
  private static final String ENGINE = "2";

  private static final double SEGMENT_SECONDS = 2;

  /** Lasts at least as long as its spans: stored orders may be older than films with gaps. */
  public Program {
    spans = List.copyOf(spans);
    length = Math.max(length, spans.stream().mapToLong(s -> s.range().end()).max().orElse(0));
  }

  /** A film as long as its last span. */
  public Program(List<Span> spans, long fade, FrameRate rate, int width, int height) {
    this(spans, 0, fade, rate, width, height);
  }

  /** Resolves a film; placements whose take is missing are left out and stay black. */
  public static Program of(
      Film film, Cutting cutting, Map<String, Take> takes, FrameRate rate, int width, int height) {
    List<Span> spans = new ArrayList<>();
    for (int i = 0; i < film.placements().size(); i++) {
      span(film.placements().get(i), cutting.rangeOf(i), Span.Lie.CUT, takes).ifPresent(spans::add);
    }
    for (Overlay o : film.overlays()) {
      FrameRange range = within(cutting.beside().overlays().get(o.name()), cutting.length());
      if (range != null) {
        Span.Lie lie = new Span.Lie(o.layer(), o.opacity(), o.size(), o.x(), o.y());
        span(o.placement(), range, lie, takes).ifPresent(spans::add);
      }
    }
    return new Program(spans, cutting.length(), film.song().fade(), rate, width, height);
  }

  private static Optional<Span> span(
      Placement p, FrameRange range, Span.Lie lie, Map<String, Take> takes) {
    return Optional.ofNullable(takes.get(p.take()))
        .map(t -> new Span(range, t.media(), p.in(), t.frames(), p.framing(), p.run(), lie));
  }

  /** What of an overlay's frames lies in the film; null if nothing does. */
  private static FrameRange within(FrameRange range, long length) {
    return range == null || range.start() >= length
        ? null
        : new FrameRange(range.start(), Math.min(length, range.end()));
  }

  /** The same film on the frames of another rate. */
  public Program at(FrameRate other) {
    return other.equals(rate)
        ? this
        : new Program(
            spans.stream().map(span -> span.at(rate, other)).toList(),
            Span.at(rate, other, length),
            Span.at(rate, other, fade),
            other,
            width,
            height);
  }

  /** How bright a frame is, 1 before the fade. */
  public double gain(long frame) {
    return SongFade.gain(frame, length, fade);
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
    for (long start = 0; start < length; start += frames) {
      FrameRange range = new FrameRange(start, Math.min(length, start + frames));
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
        text.append(span.key(from, to)).append('\n');
      }
    }
    if (gain(range.end() - 1) < 1) {
      text.append("fade ").append(fade).append(" to ").append(length);
    }
    return Fingerprint.of(text.toString());
  }
}
