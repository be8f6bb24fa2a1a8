package app.latethistle.core.render;

import app.latethistle.core.film.Resolved;
import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.look.Shape;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A film resolved to what is drawn.
 *
 * @param root what is seen; black past its end
 * @param length in frames
 * @param rate frames a second
 * @param width even
 * @param height even
 */
public record Program(Layer root, long length, FrameRate rate, int width, int height) {
  /** Raised whenever the same program would give other pixels. */
  private static final int ENGINE = 10;

  /** Resolves a film in its own shape; placements whose take is missing are black. */
  public static Program of(Resolved film, int width, int height) {
    return new ProgramMaker(film, Optional.empty()).of(width, height);
  }

  /** Resolves a film in another shape, whose pictures have these sides. */
  public static Program of(Resolved film, Shape shape, int width, int height) {
    return new ProgramMaker(film, Optional.of(shape)).of(width, height);
  }

  /** A part of it, which is drawn as in the whole. */
  public Program part(FrameRange range) {
    return new Program(new Layer.Excerpt(root, range.start()), range.length(), rate, width, height);
  }

  /** The same film on the frames of another rate. */
  public Program at(FrameRate other) {
    if (other.equals(rate)) {
      return this;
    }
    Layer.Retiming to = new Layer.Retiming(rate, other);
    return new Program(root.at(to, 0), to.frame(length), other, width, height);
  }

  /** The hashes of all files that are seen. */
  public List<String> media() {
    return root.media(new FrameRange(0, length));
  }

  /** SHA-256 over all that can change a pixel of a range, wherever in the film it lies. */
  public String key(FrameRange range) {
    KeyWriter key = new KeyWriter();
    key.put("engine").put(ENGINE).put(rate.numerator()).put(rate.denominator());
    key.put(width).put(height).put(range.length());
    root.writeKey(key, range);
    return key.hash();
  }

  /**
   * Ranges that are black because the film says so: gaps, takes that are missing, shots that go
   * through it, its fade.
   */
  public List<FrameRange> plannedBlack() {
    FrameRange whole = new FrameRange(0, length);
    List<FrameRange> black = new ArrayList<>();
    addBlack(root, 0, black);
    return black.stream().flatMap(range -> range.intersect(whole).stream()).toList();
  }

  /** Adds what is black of a layer that begins at a frame. */
  private static void addBlack(Layer layer, long start, List<FrameRange> black) {
    if (layer instanceof Layer.Excerpt excerpt) {
      addBlack(excerpt.layer(), start - excerpt.from(), black);
    } else if (layer instanceof Layer.Faded faded) {
      long end = start + faded.length();
      black.add(new FrameRange(end - Math.min(faded.length(), faded.fade().frames()), end));
      addBlack(faded.layer(), start, black);
    } else if (layer instanceof Layer.Treated treated) {
      addBlack(treated.layer(), start, black);
    } else if (layer instanceof Layer.Written written) {
      addBlack(written.layer(), start, black);
    } else if (layer instanceof Layer.Stack stack) {
      addBlack(stack.base(), start, black);
    } else if (layer instanceof Layer.Sequence sequence) {
      long at = start;
      for (Layer.Part part : sequence.parts()) {
        FrameRange range = part.range().shift(start);
        black.add(new FrameRange(at, Math.max(at, range.start())));
        at = range.end();
        if (part.layer() instanceof Layer.Black) {
          black.add(range);
        }
      }
      black.add(new FrameRange(at, Long.MAX_VALUE / 2));
      sequence.passages().stream()
          .filter(p -> p.kind() == TransitionKind.THROUGH && p.manner().isDark())
          .forEach(p -> black.add(p.range().shift(start)));
    }
  }

  /**
   * The frames at which shots of the cut begin, in order; the program's start is not among them.
   */
  List<Long> cuts() {
    Layer layer = root;
    long start = 0;
    while (!(layer instanceof Layer.Sequence)) {
      if (layer instanceof Layer.Excerpt excerpt) {
        start -= excerpt.from();
        layer = excerpt.layer();
      } else if (layer instanceof Layer.Faded faded) {
        layer = faded.layer();
      } else if (layer instanceof Layer.Treated treated) {
        layer = treated.layer();
      } else if (layer instanceof Layer.Written written) {
        layer = written.layer();
      } else if (layer instanceof Layer.Stack stack) {
        layer = stack.base();
      } else {
        return List.of();
      }
    }
    long from = start;
    return ((Layer.Sequence) layer)
        .parts().stream().map(p -> p.range().start() + from).filter(f -> f > 0).toList();
  }
}
