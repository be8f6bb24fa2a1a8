package app.latethistle.core.render;

import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.look.Shape;
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
  private static final int ENGINE = 3;

  /** Resolves a film; placements whose take is missing are left out and stay black. */
  public static Program of(
      Film film, Cutting cutting, Map<String, Take> takes, FrameRate rate, int width, int height) {
    Shape shape = Shape.of(width, height);
    List<Layer.Part> cut = new ArrayList<>();
    for (int i = 0; i < film.placements().size(); i++) {
      part(film.placements().get(i), cutting.rangeOf(i), shape, takes).ifPresent(cut::add);
    }
    List<Layer.Over> overs = new ArrayList<>();
    FrameRange whole = new FrameRange(0, cutting.length());
    for (Overlay o : film.overlays()) {
      Optional.ofNullable(cutting.beside().overlays().get(o.name()))
          .filter(whole::overlaps)
          .flatMap(range -> part(o.placement(), range, shape, takes))
          .ifPresent(part -> overs.add(new Layer.Over(part, o.lie())));
    }
    Layer layers = new Layer.Sequence(cut);
    if (!overs.isEmpty()) {
      layers = new Layer.Stack(layers, overs);
    }
    if (film.finish().end().frames() > 0) {
      layers = new Layer.Faded(layers, film.finish().end(), cutting.length());
    }
    return new Program(layers, cutting.length(), rate, width, height);
  }

  private static Optional<Layer.Part> part(
      Placement p, FrameRange range, Shape shape, Map<String, Take> takes) {
    return Optional.ofNullable(takes.get(p.take()))
        .map(
            take ->
                new Layer.Part(
                    range,
                    new Layer.Footage(
                        take.media(),
                        take.frames(),
                        p.in(),
                        p.run(),
                        range.length(),
                        p.framing().in(shape))));
  }

  /** The same film on the frames of another rate. */
  public Program at(FrameRate other) {
    if (other.equals(rate)) {
      return this;
    }
    Layer.Retiming to = new Layer.Retiming(rate, other);
    long there = to.frame(length);
    return new Program(root.at(to, 0, there), there, other, width, height);
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

  /** Ranges that are black because the film says so: gaps, takes that are missing, its fade. */
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
      }
      black.add(new FrameRange(at, Math.max(at, length)));
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
