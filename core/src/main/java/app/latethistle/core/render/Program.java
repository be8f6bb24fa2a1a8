package app.latethistle.core.render;

import app.latethistle.core.film.Resolved;
import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.look.Shape;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.List;

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
  private static final int ENGINE = 4;

  /** Resolves a film; placements whose take is missing are black. */
  public static Program of(Resolved film, int width, int height) {
    return new ProgramMaker(film, Shape.of(width, height)).of(width, height);
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
    List<FrameRange> black = new ArrayList<>();
    if (root instanceof Layer.Faded faded) {
      black.add(new FrameRange(Math.max(0, length - faded.fade().frames()), length));
    }
    if (cut() instanceof Layer.Sequence sequence) {
      long at = 0;
      for (Layer.Part part : sequence.parts()) {
        black.add(new FrameRange(at, Math.max(at, part.range().start())));
        at = part.range().end();
        if (part.layer() instanceof Layer.Black) {
          black.add(part.range());
        }
      }
      black.add(new FrameRange(at, Math.max(at, length)));
      sequence.passages().stream()
          .filter(p -> p.kind() == TransitionKind.THROUGH && p.manner().isDark())
          .forEach(p -> black.add(p.range()));
    }
    return black.stream().filter(range -> !range.isEmpty()).toList();
  }

  /** The frames at which shots of the cut begin, in order; the film's start is not among them. */
  List<Long> cuts() {
    return cut() instanceof Layer.Sequence sequence
        ? sequence.parts().stream().map(p -> p.range().start()).filter(f -> f > 0).toList()
        : List.of();
  }

  /** What lies under the film's fade, its treatments and its overlays. */
  private Layer cut() {
    Layer layer = root;
    while (true) {
      if (layer instanceof Layer.Faded faded) {
        layer = faded.layer();
      } else if (layer instanceof Layer.Treated treated) {
        layer = treated.layer();
      } else if (layer instanceof Layer.Stack stack) {
        layer = stack.base();
      } else {
        return layer;
      }
    }
  }
}
