package app.latethistle.core.render;

import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Overlap;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.look.Shape;
import app.latethistle.core.look.Transition;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
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
  private static final int ENGINE = 4;

  /** Resolves a film; placements whose take is missing are black. */
  public static Program of(
      Film film, Cutting cutting, Map<String, Take> takes, FrameRate rate, int width, int height) {
    Shape shape = Shape.of(width, height);
    List<Layer.Part> cut = new ArrayList<>();
    List<Layer.Passage> passages = new ArrayList<>();
    for (int i = 0; i < film.placements().size(); i++) {
      Overlap before = cutting.overlaps().get(i);
      Overlap after = cutting.overlaps().get(i + 1);
      FrameRange own = cutting.rangeOf(i);
      FrameRange seen =
          new FrameRange(
              before.frames().isEmpty() ? own.start() : before.frames().start(),
              after.frames().isEmpty() ? own.end() : after.frames().end());
      Layer layer = layer(film.placements().get(i), own, seen, shape, takes);
      cut.add(new Layer.Part(seen, own.start(), layer));
      if (!before.frames().isEmpty()) {
        Transition how = film.joints().get(i).transition();
        passages.add(new Layer.Passage(before.frames(), i, how.kind(), how.manner()));
      }
    }
    List<Layer.Over> overs = new ArrayList<>();
    FrameRange whole = new FrameRange(0, cutting.length());
    for (Overlay o : film.overlays()) {
      Optional.ofNullable(cutting.beside().overlays().get(o.name()))
          .filter(whole::overlaps)
          .filter(range -> takes.containsKey(o.placement().take()))
          .ifPresent(
              range -> {
                Layer layer = layer(o.placement(), range, range, shape, takes);
                overs.add(new Layer.Over(new Layer.Part(range, layer), o.lie()));
              });
    }
    Layer layers = new Layer.Sequence(cut, passages);
    if (!overs.isEmpty()) {
      layers = new Layer.Stack(layers, overs);
    }
    if (film.finish().end().frames() > 0) {
      layers = new Layer.Faded(layers, film.finish().end(), cutting.length());
    }
    return new Program(layers, cutting.length(), rate, width, height);
  }

  private static Layer layer(
      Placement p, FrameRange own, FrameRange seen, Shape shape, Map<String, Take> takes) {
    Take take = takes.get(p.take());
    return take == null
        ? new Layer.Black()
        : new Layer.Footage(
            take.media(),
            take.frames(),
            p.in(),
            p.run(),
            own.length(),
            p.framing().in(shape),
            seen.shift(-own.start()));
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

  /** What lies under the film's fade and its overlays. */
  private Layer cut() {
    Layer layer = root instanceof Layer.Faded faded ? faded.layer() : root;
    return layer instanceof Layer.Stack stack ? stack.base() : layer;
  }
}
