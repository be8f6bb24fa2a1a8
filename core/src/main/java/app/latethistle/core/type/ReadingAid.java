package app.latethistle.core.type;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Rgb;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.Plate;
import app.latethistle.core.words.SafeArea;
import app.latethistle.core.words.Shadow;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What helps a title that cannot be read over what is behind it: each remedy is tried on the very
 * frames, and offered if it is better.
 */
public final class ReadingAid {
  /** A plate that is light enough to see the picture through; common practice, no source. */
  private static final int PLATE = 65;

  /** What is offered is better by a twentieth. */
  private static final double BETTER = 1.05;

  /** Places that are tried, in thousandths of the picture. */
  private static final int[] PLACES = {200, 350, 500, 650, 800};

  private final Writer writer;
  private final List<Behind> behind;
  private final IdentityHashMap<Behind, int[]> letters = new IdentityHashMap<>();
  private final int width;
  private final int height;
  private final SafeArea safe;
  private final List<Rectangle2D> spared;

  /**
   * A frame of the film.
   *
   * @param number of it
   * @param frame without the title
   * @param letters the picture that is seen in the title's letters, if one is
   */
  public record Behind(long number, Frame frame, Optional<Frame> letters) {
    /** A frame behind letters of what their lettering says. */
    public Behind(long number, Frame frame) {
      this(number, frame, Optional.empty());
    }
  }

  /** What can be done. */
  public enum Kind {
    /** A soft dark shadow, or a light one behind dark letters. */
    SHADOW,
    PLATE,
    /** To where the picture is calmest, inside the safe area and over nothing that is spared. */
    MOVE
  }

  /**
   * A remedy.
   *
   * @param lettering how the title is then set
   * @param box where it then stands
   * @param ratio the least contrast of a letter then
   */
  public record Remedy(Kind kind, Lettering lettering, Box box, double ratio) {}

  /**
   * @param behind frames in which the title stands, of one size
   * @param spared what a title is not to lie over, such as the focus of its shots, in parts of the
   *     picture's sides
   * @param safe where titles are to stand
   */
  public ReadingAid(Faces faces, List<Behind> behind, List<Rectangle2D> spared, SafeArea safe) {
    this.behind = List.copyOf(behind);
    this.spared = List.copyOf(spared);
    width = behind.get(0).frame.width();
    height = behind.get(0).frame.height();
    this.safe = safe;
    writer = new Writer(faces, width, height);
  }

  /** Whether a title lies over a part of the picture in any of the frames, as it has arrived. */
  public boolean covers(WrittenTitle title, Rectangle2D part) {
    return boxes(title)
        .anyMatch(
            box ->
                box.intersects(
                    part.getX() * width,
                    part.getY() * height,
                    part.getWidth() * width,
                    part.getHeight() * height));
  }

  private Stream<Rectangle2D> boxes(WrittenTitle title) {
    return title.along().isNothing()
        ? Stream.of(box(title))
        : behind.stream().map(b -> writer.set(title, b.number).box());
  }

  private boolean coversAny(WrittenTitle title) {
    return spared.stream().anyMatch(part -> covers(title, part));
  }

  /** Whether a title can be read over all of the frames. */
  public Legibility measure(WrittenTitle title) {
    return measure(title, behind);
  }

  private Legibility measure(WrittenTitle title, List<Behind> over) {
    List<Legibility> all = new ArrayList<>();
    for (Behind one : over) {
      Frame copy = new Frame(width, height);
      copy.copy(one.frame);
      all.add(writer.legibility(asColoured(title, one), one.number, copy));
    }
    return Legibility.worst(all);
  }

  private static int[] pixels(Behind one) {
    Frame frame = one.letters.orElseThrow();
    int[] rgb = new int[frame.width() * frame.height()];
    Rgb.fromFrame(frame, rgb);
    return rgb;
  }

  /** Letters of a picture are measured as if they were of its mean colour where they stand. */
  private WrittenTitle asColoured(WrittenTitle title, Behind one) {
    if (one.letters.isEmpty()) {
      return title;
    }
    Rectangle2D box =
        writer
            .set(title, one.number)
            .box()
            .createIntersection(new Rectangle2D.Double(0, 0, width, height));
    int[] rgb = letters.computeIfAbsent(one, ReadingAid::pixels);
    long red = 0;
    long green = 0;
    long blue = 0;
    long count = 0;
    for (int y = (int) box.getMinY(); y < box.getMaxY(); y++) {
      for (int x = (int) box.getMinX(); x < box.getMaxX(); x++) {
        int pixel = rgb[y * width + x];
        red += pixel >> 16 & 0xff;
        green += pixel >> 8 & 0xff;
        blue += pixel & 0xff;
        count++;
      }
    }
    long every = Math.max(1, count);
    int mean = (int) (((red / every) << 16) | ((green / every) << 8) | (blue / every));
    return title.withLettering(title.lettering().withColour(mean));
  }

  /** What a title takes up in the first of the frames, as it has arrived; in pixels. */
  public Rectangle2D box(WrittenTitle title) {
    return writer.set(title, behind.get(0).number).box();
  }

  /** How far it lies outside of the safe area at most, in pixels; 0 if it lies inside. */
  public double outside(WrittenTitle title) {
    return boxes(title).mapToDouble(box -> outside(safe, box, width, height)).max().orElse(0);
  }

  /** How far a box lies outside of an area at its worst side; all in pixels. */
  static double outside(SafeArea safe, Rectangle2D box, int width, int height) {
    double left = safe.left() / 1000.0 * width;
    double top = safe.top() / 1000.0 * height;
    double right = (1 - safe.right() / 1000.0) * width;
    double bottom = (1 - safe.bottom() / 1000.0) * height;
    double out = Math.max(left - box.getMinX(), box.getMaxX() - right);
    out = Math.max(out, Math.max(top - box.getMinY(), box.getMaxY() - bottom));
    return Math.max(0, out);
  }

  /**
   * What helps, in the order in which it changes the picture least.
   *
   * @param measured how the title can be read as it is
   */
  public List<Remedy> remedies(WrittenTitle title, Legibility measured) {
    double now = measured.least();
    Lettering how = title.lettering();
    boolean light = Legibility.luminance(how.colour()) > 0.18;
    int against = light ? 0 : 0xffffff;
    List<Remedy> all = new ArrayList<>();
    Lettering shaded =
        how.withShadow(
            new Shadow(Shadow.SOFT.away(), Shadow.SOFT.softness(), Shadow.SOFT.opacity(), against));
    all.add(tried(Kind.SHADOW, title, shaded, title.box()));
    all.add(calmest(title));
    Lettering plated = how.withPlate(new Plate(Plate.Kind.BLOCK, PLATE, against));
    all.add(tried(Kind.PLATE, title, plated, title.box()));
    boolean elsewhere = outside(title) >= 1 || coversAny(title);
    return all.stream()
        .filter(
            r -> r.ratio > now * BETTER || (elsewhere && r.kind == Kind.MOVE && moves(r, title)))
        .toList();
  }

  private static boolean moves(Remedy remedy, WrittenTitle title) {
    return !remedy.box.equals(title.box());
  }

  private Remedy calmest(WrittenTitle title) {
    Box best = title.box();
    double calm = 0;
    // Its first and its last frame tell; the best place is then measured on all.
    List<Behind> ends = List.of(behind.get(0), behind.get(behind.size() - 1));
    for (int y : PLACES) {
      for (int x : PLACES) {
        Box box = title.box().at(x, y);
        WrittenTitle tried = title.withBox(box);
        boolean free = outside(tried) == 0 && !coversAny(tried);
        double there = free ? measure(tried, ends).least() : 0;
        if (there > calm) {
          calm = there;
          best = box;
        }
      }
    }
    return tried(Kind.MOVE, title, title.lettering(), best);
  }

  private Remedy tried(Kind kind, WrittenTitle title, Lettering lettering, Box box) {
    return new Remedy(
        kind, lettering, box, measure(title.withLettering(lettering).withBox(box)).least());
  }
}
