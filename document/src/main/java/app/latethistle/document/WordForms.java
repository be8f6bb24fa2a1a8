package app.latethistle.document;

import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.Standing;
import app.latethistle.core.look.Shape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.words.Align;
import app.latethistle.core.words.Arrival;
import app.latethistle.core.words.ArrivalKind;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.CaptionKind;
import app.latethistle.core.words.CaptionStyle;
import app.latethistle.core.words.Design;
import app.latethistle.core.words.Fill;
import app.latethistle.core.words.LetterCase;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.Movement;
import app.latethistle.core.words.Order;
import app.latethistle.core.words.Outline;
import app.latethistle.core.words.Plate;
import app.latethistle.core.words.SafeArea;
import app.latethistle.core.words.SafeAreas;
import app.latethistle.core.words.Shadow;
import app.latethistle.core.words.ShapedBox;
import app.latethistle.core.words.Speakers;
import app.latethistle.core.words.TitleKind;
import app.latethistle.core.words.TitleWords;
import app.latethistle.core.words.Unit;
import app.latethistle.core.words.Zone;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;

/** How titles and captions are written. What is not said is as it usually is. */
public final class WordForms {
  private static final String USUAL_FAMILY = "Source Sans 3";
  private static final int USUAL_SIZE = 100;
  private static final int WHITE = 0xffffff;

  private WordForms() {}

  /**
   * A title.
   *
   * @param start what its landing is tied to
   * @param frames from its landing to its end
   * @param until what it ends on instead
   * @param take what is seen in its letters
   */
  public record Title(
      String id,
      Said words,
      Lettered lettering,
      Boxes box,
      Moving movement,
      TieForm start,
      Long frames,
      TieForm until,
      Integer layer,
      ItemForms.Followed follows,
      String take) {
    private static final long USUAL_FRAMES = 48;

    public static Title of(FilmTitle title) {
      return new Title(
          title.id(),
          Said.of(title.words()),
          Lettered.of(title.lettering()),
          Boxes.of(title.box()),
          Moving.of(title.movement()),
          TieForm.of(title.when().lands()),
          title.when().frames(),
          title.when().until().map(TieForm::of).orElse(null),
          title.layer(),
          title.follows().map(ItemForms.Followed::of).orElse(null),
          title.picture().orElse(null));
    }

    public FilmTitle get() {
      return new FilmTitle(
          id,
          words.get(),
          lettering == null ? new Lettered(null, null, null, null, null).get() : lettering.get(),
          box == null ? ShapedBox.of(Box.MIDDLE) : box.get(),
          movement == null ? Movement.NONE : movement.get(),
          new Standing(
              start.get(),
              Say.or(frames, USUAL_FRAMES),
              Optional.ofNullable(until).map(TieForm::get)),
          Say.or(layer, FilmTitle.TOP),
          Optional.ofNullable(follows).map(ItemForms.Followed::get),
          Optional.ofNullable(take));
    }
  }

  /** A title to begin with. */
  public record Designed(String name, Said words, Lettered lettering, Placed box, Moving movement) {
    public static Designed of(Design d) {
      return new Designed(
          d.name(),
          Said.of(d.words()),
          Lettered.of(d.lettering()),
          Placed.of(d.box()),
          Moving.of(d.movement()));
    }

    public Design get() {
      return new Design(name, words.get(), lettering.get(), box.get(), movement.get());
    }
  }

  /** What a title says. */
  public record Said(String kind, String text, String second) {
    public static Said of(TitleWords words) {
      return new Said(words.kind().name(), words.text(), words.second());
    }

    public TitleWords get() {
      return new TitleWords(
          Say.or(TitleKind.class, kind, TitleKind.CARD), Say.or(text, ""), Say.or(second, ""));
    }
  }

  /** How words are set. */
  public record Lettered(Face face, Integer size, Spaced spacing, Coloured colours, Behind behind) {
    public static Lettered of(Lettering l) {
      return new Lettered(
          Face.of(l.face()),
          l.size(),
          Spaced.of(l.spacing()),
          new Coloured(
              l.fill().name(),
              new Colour(l.colour()),
              l.outline().width(),
              new Colour(l.outline().colour())),
          Behind.of(l.shadow(), l.plate()));
    }

    public Lettering get() {
      Lettering.Face of = face == null ? Lettering.Face.of(USUAL_FAMILY) : face.get();
      Lettering plain =
          Lettering.plain(
              of,
              Say.or(size, USUAL_SIZE),
              colours == null || colours.letters == null ? WHITE : colours.letters.rgb());
      if (spacing != null) {
        plain = plain.withSpacing(spacing.get());
      }
      if (colours != null) {
        plain =
            plain
                .withFill(Say.or(Fill.class, colours.fill, Fill.COLOUR))
                .withOutline(
                    new Outline(colours.outline, colours.line == null ? 0 : colours.line.rgb()));
      }
      return behind == null ? plain : plain.withShadow(behind.soft()).withPlate(behind.plate());
    }
  }

  /** A face. */
  public record Face(String family, boolean bold, boolean italic) {
    public static Face of(Lettering.Face face) {
      return new Face(face.family(), face.bold(), face.italic());
    }

    public Lettering.Face get() {
      return new Lettering.Face(Say.or(family, USUAL_FAMILY), bold, italic);
    }
  }

  /** How letters and lines stand to each other. */
  public record Spaced(int tracking, Integer leading, String letters, String align) {
    static Spaced of(Lettering.Spacing s) {
      return new Spaced(s.tracking(), s.leading(), s.letters().name(), s.align().name());
    }

    Lettering.Spacing get() {
      return new Lettering.Spacing(
          tracking,
          Say.or(leading, Lettering.Spacing.MIDDLE.leading()),
          Say.or(LetterCase.class, letters, LetterCase.AS_WRITTEN),
          Say.or(Align.class, align, Align.MIDDLE));
    }
  }

  /** What letters are made of, and the line round them. */
  public record Coloured(String fill, Colour letters, int outline, Colour line) {}

  /** Shadow and plate. */
  public record Behind(
      int away, int softness, int shadow, Colour thrown, String kind, int opacity, Colour colour) {
    static Behind of(Shadow s, Plate p) {
      return new Behind(
          s.away(),
          s.softness(),
          s.opacity(),
          new Colour(s.colour()),
          p.kind().name(),
          p.opacity(),
          new Colour(p.colour()));
    }

    Shadow soft() {
      return new Shadow(away, softness, shadow, thrown == null ? 0 : thrown.rgb());
    }

    Plate plate() {
      return new Plate(
          Say.or(Plate.Kind.class, kind, Plate.Kind.NONE),
          opacity,
          colour == null ? 0 : colour.rgb());
    }
  }

  /** Where words stand, in each shape. */
  public record Boxes(Placed own, List<Elsewhere> others) {
    public static Boxes of(ShapedBox box) {
      return new Boxes(
          Placed.of(box.own()),
          box.others().entrySet().stream()
              .map(
                  e ->
                      new Elsewhere(
                          e.getKey().across(), e.getKey().down(), Placed.of(e.getValue())))
              .toList());
    }

    public ShapedBox get() {
      TreeMap<Shape, Box> elsewhere = new TreeMap<>();
      Say.or(others).forEach(o -> elsewhere.put(Shape.of(o.across, o.down), o.box.get()));
      return new ShapedBox(own == null ? Box.MIDDLE : own.get(), elsewhere);
    }
  }

  /** A place in another shape. */
  public record Elsewhere(int across, int down, Placed box) {}

  /** A place. */
  public record Placed(int x, int y, int width) {
    public static Placed of(Box box) {
      return new Placed(box.x(), box.y(), box.width());
    }

    public Box get() {
      return new Box(x, y, width);
    }
  }

  /** How a title comes and goes. */
  public record Moving(Coming in, Coming out, boolean roll, boolean pages) {
    public static Moving of(Movement m) {
      return new Moving(
          Coming.of(m.in()), Coming.of(m.out()), m.rolls(), m.course() == Movement.Course.TURNS);
    }

    public Movement get() {
      Movement.Course still = pages ? Movement.Course.TURNS : Movement.Course.STANDS;
      return new Movement(
          in == null ? Arrival.NONE : in.get(),
          out == null ? Arrival.NONE : out.get(),
          roll ? Movement.Course.ROLLS : still);
    }
  }

  /** How a title comes, or the other way round goes. */
  public record Coming(String kind, String unit, String order, int frames, int seed) {
    static Coming of(Arrival a) {
      return new Coming(a.kind().name(), a.unit().name(), a.order().name(), a.frames(), a.seed());
    }

    Arrival get() {
      return new Arrival(
          Say.or(ArrivalKind.class, kind, ArrivalKind.NONE),
          Say.or(Unit.class, unit, Unit.WHOLE),
          Say.or(Order.class, order, Order.TOGETHER),
          frames,
          seed);
    }
  }

  /** Captions in a language. */
  public record Captions(
      String language,
      Map<String, String> texts,
      Map<String, String> sounds,
      List<Own> own,
      Look style) {
    public static Captions of(FilmCaptions c) {
      return new Captions(
          c.language(),
          c.texts(),
          c.sounds().isEmpty() ? null : c.sounds(),
          c.own().stream().map(o -> new Own(o.at().start(), o.at().end(), o.text())).toList(),
          Look.of(c.style()));
    }

    public FilmCaptions get() {
      return new FilmCaptions(
          language,
          new TreeMap<>(Say.or(texts, Map.of())),
          new TreeMap<>(Say.or(sounds, Map.of())),
          Say.or(own).stream()
              .map(o -> new FilmCaptions.Own(new FrameRange(o.start, o.end), o.text))
              .toList(),
          style == null ? CaptionStyle.USUAL : style.get());
    }
  }

  /** A caption of its own time, in frames. */
  public record Own(long start, long end, String text) {}

  /** How captions look. */
  public record Look(
      String kind,
      Lettered lettering,
      Boxes box,
      String speakers,
      Colour marked,
      boolean burned,
      List<Sides> elsewhere) {
    public static Look of(CaptionStyle s) {
      return new Look(
          s.kind().name(),
          Lettered.of(s.lettering()),
          Boxes.of(s.box()),
          s.speakers() == Speakers.UNTOLD ? null : s.speakers().name(),
          new Colour(s.marked()),
          s.burned(),
          s.elsewhere().stream().map(e -> new Sides(e.across(), e.down())).toList());
    }

    public CaptionStyle get() {
      CaptionStyle usual = CaptionStyle.USUAL;
      return new CaptionStyle(
          Say.or(CaptionKind.class, kind, usual.kind()),
          lettering == null ? usual.lettering() : lettering.get(),
          box == null ? usual.box() : box.get(),
          Say.or(Speakers.class, speakers, Speakers.UNTOLD),
          marked == null ? usual.marked() : marked.rgb(),
          burned,
          new TreeSet<>(Say.or(elsewhere).stream().map(e -> Shape.of(e.across, e.down)).toList()));
    }
  }

  /** A shape. */
  public record Sides(int across, int down) {}

  /** A part of the picture that is kept free of words. */
  public record KeptFree(int left, int top, int right, int bottom) {
    private static KeptFree of(Zone zone) {
      return new KeptFree(zone.left(), zone.top(), zone.right(), zone.bottom());
    }

    private Zone get() {
      return new Zone(left, top, right, bottom);
    }
  }

  /**
   * What is kept free of words at the sides of a shape.
   *
   * @param zones parts of the picture; null for none
   */
  public record Safe(
      int across, int down, int left, int top, int right, int bottom, List<KeptFree> zones) {
    /** Those that are said; null if none is. */
    public static List<Safe> of(SafeAreas areas) {
      List<Safe> all =
          areas.said().entrySet().stream().map(e -> of(e.getKey(), e.getValue())).toList();
      return all.isEmpty() ? null : all;
    }

    private static Safe of(Shape shape, SafeArea area) {
      List<KeptFree> zones = area.zones().stream().map(KeptFree::of).toList();
      return new Safe(
          shape.across(),
          shape.down(),
          area.left(),
          area.top(),
          area.right(),
          area.bottom(),
          zones.isEmpty() ? null : zones);
    }

    public static SafeAreas get(List<Safe> said) {
      TreeMap<Shape, SafeArea> areas = new TreeMap<>();
      for (Safe s : Say.or(said)) {
        List<Zone> zones = Say.or(s.zones).stream().map(KeptFree::get).toList();
        areas.put(
            Shape.of(s.across, s.down), new SafeArea(s.left, s.top, s.right, s.bottom, zones));
      }
      return new SafeAreas(areas);
    }
  }
}
