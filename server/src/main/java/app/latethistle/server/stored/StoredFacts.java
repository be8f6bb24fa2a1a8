package app.latethistle.server.stored;

import app.latethistle.core.measure.TakeFacts;
import app.latethistle.core.measure.Travel;
import app.latethistle.core.take.Box;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.media.Container;
import app.latethistle.media.MediaFacts;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/** What a probe found of a file, and what was measured of its pictures, as they are stored. */
public final class StoredFacts {
  /** Format 1 had no number and was the same. */
  private static final int FORMAT = 2;

  private StoredFacts() {}

  private record Rate(int numerator, int denominator) {}

  private record Shape(int width, int height, double pixelAspect) {}

  private record File(
      String kind,
      String container,
      String codec,
      long frames,
      double seconds,
      Rate rate,
      boolean variable,
      Shape shape,
      int rotation,
      String colour,
      boolean sound) {}

  private record Range(long start, long end) {
    static List<Range> of(List<FrameRange> ranges) {
      return ranges.stream().map(r -> new Range(r.start(), r.end())).toList();
    }

    FrameRange get() {
      return new FrameRange(start, end);
    }
  }

  private record Moved(double right, double down, double zoom, double turn) {}

  private record Mark(double left, double top, double right, double bottom) {}

  private record Measured(
      int frames,
      double rate,
      double realRate,
      int repeated,
      List<Range> frozen,
      List<Range> black,
      List<Range> flicker,
      List<Integer> jumps,
      List<Range> warps,
      double sharpness,
      int softest,
      List<Float> motion,
      Moved travel,
      List<Mark> marks,
      Range usable) {}

  /** What a file holds, as text. */
  public static String write(MediaFacts f) {
    return Json.write(
        FORMAT,
        new File(
            f.kind().name(),
            f.container().name(),
            f.codec(),
            f.frames(),
            f.seconds(),
            f.rate().map(r -> new Rate(r.numerator(), r.denominator())).orElse(null),
            f.variable(),
            f.shape().map(s -> new Shape(s.width(), s.height(), s.pixelAspect())).orElse(null),
            f.rotation(),
            f.colour(),
            f.sound()));
  }

  /** What a file holds, of any format. */
  public static MediaFacts read(String text) {
    JsonNode tree = Json.tree(text);
    Json.format(tree, FORMAT);
    File f = Json.as(tree, File.class);
    return new MediaFacts(
        MediaFacts.Kind.valueOf(f.kind),
        Container.valueOf(f.container),
        f.codec,
        f.frames,
        f.seconds,
        Optional.ofNullable(f.rate).map(r -> FrameRate.of(r.numerator, r.denominator)),
        f.variable,
        Optional.ofNullable(f.shape).map(s -> new PictureShape(s.width, s.height, s.pixelAspect)),
        f.rotation,
        f.colour,
        f.sound);
  }

  /** What was measured, as text. */
  public static String writeMeasured(TakeFacts f) {
    Travel t = f.travel();
    return Json.write(
        FORMAT,
        new Measured(
            f.frames(),
            f.rate(),
            f.realRate(),
            f.repeated(),
            Range.of(f.frozen()),
            Range.of(f.black()),
            Range.of(f.flicker()),
            f.jumps(),
            Range.of(f.warps()),
            f.sharpness(),
            f.softest(),
            f.motion(),
            new Moved(t.right(), t.down(), t.zoom(), t.turn()),
            f.marks().stream()
                .map(b -> new Mark(b.left(), b.top(), b.right(), b.bottom()))
                .toList(),
            new Range(f.usable().start(), f.usable().end())));
  }

  /** What was measured, of any format. */
  public static TakeFacts readMeasured(String text) {
    JsonNode tree = Json.tree(text);
    Json.format(tree, FORMAT);
    Measured m = Json.as(tree, Measured.class);
    Moved t = m.travel;
    return new TakeFacts(
        m.frames,
        m.rate,
        m.realRate,
        m.repeated,
        m.frozen.stream().map(Range::get).toList(),
        m.black.stream().map(Range::get).toList(),
        m.flicker.stream().map(Range::get).toList(),
        m.jumps,
        m.warps.stream().map(Range::get).toList(),
        m.sharpness,
        m.softest,
        m.motion,
        new Travel(t.right, t.down, t.zoom, t.turn),
        m.marks.stream().map(b -> new Box(b.left, b.top, b.right, b.bottom)).toList(),
        m.usable.get());
  }
}
