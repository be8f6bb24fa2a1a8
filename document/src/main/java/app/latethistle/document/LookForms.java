package app.latethistle.document;

import app.latethistle.core.Refused;
import app.latethistle.core.look.Appearance;
import app.latethistle.core.look.Basics;
import app.latethistle.core.look.Cdl;
import app.latethistle.core.look.ColourGroup;
import app.latethistle.core.look.ColourRange;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Curve;
import app.latethistle.core.look.Curves;
import app.latethistle.core.look.Dial;
import app.latethistle.core.look.Drive;
import app.latethistle.core.look.Easing;
import app.latethistle.core.look.EndFade;
import app.latethistle.core.look.Finish;
import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Focus;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.Key;
import app.latethistle.core.look.Levelling;
import app.latethistle.core.look.Lie;
import app.latethistle.core.look.LiePath;
import app.latethistle.core.look.LookKey;
import app.latethistle.core.look.LumaPattern;
import app.latethistle.core.look.Mask;
import app.latethistle.core.look.Matte;
import app.latethistle.core.look.Mixing;
import app.latethistle.core.look.PicturePart;
import app.latethistle.core.look.Shape;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.look.Span;
import app.latethistle.core.look.Tones;
import app.latethistle.core.look.Transition;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.look.TransitionManner;
import app.latethistle.core.look.Treatment;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.look.Treatments;
import app.latethistle.core.look.View;
import app.latethistle.core.measure.Light;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;

/** How the values of look are written. What is not said is as it usually is. */
public final class LookForms {
  private LookForms() {}

  /** A framing; those stored first had no path. */
  public record Framed(String fit, Path path) {
    public static Framed of(Framing framing) {
      return new Framed(framing.fit().name(), framing.path().map(Path::of).orElse(null));
    }

    public Framing get() {
      return new Framing(
          Say.or(Fit.class, fit, Fit.FILL), Optional.ofNullable(path).map(Path::get));
    }
  }

  /** A camera's move. */
  public record Path(List<Station> points, String easing, double from, Double to) {
    public static Path of(FramingPath path) {
      return new Path(
          path.points().stream().map(Station::of).toList(),
          path.easing().name(),
          path.from(),
          path.to());
    }

    public FramingPath get() {
      return new FramingPath(
          points.stream().map(Station::get).toList(),
          Say.or(Easing.class, easing, Easing.EVEN),
          from,
          Say.or(to, 1.0));
    }
  }

  /** What is seen at a time of a move. */
  public record Station(int at, Integer size, int right, int down, int turn) {
    public static Station of(FramingPath.Point p) {
      View view = p.view();
      return new Station(p.at(), view.size(), view.right(), view.down(), view.turn());
    }

    public FramingPath.Point get() {
      return new FramingPath.Point(at, new View(Say.or(size, View.LEAST_SIZE), right, down, turn));
    }
  }

  /** A framing in another shape than the film's own. */
  public record Elsewhere(int across, int down, Framed framing) {}

  /** Framings; those stored first had no focus. */
  public record Shaped(Framed own, List<Elsewhere> others, Seen focus) {
    public static Shaped of(ShapedFraming framing) {
      return new Shaped(
          Framed.of(framing.own()),
          framing.others().entrySet().stream()
              .map(
                  e ->
                      new Elsewhere(
                          e.getKey().across(), e.getKey().down(), Framed.of(e.getValue())))
              .toList(),
          framing.focus().map(Seen::of).orElse(null));
    }

    public ShapedFraming get() {
      TreeMap<Shape, Framing> elsewhere = new TreeMap<>();
      Say.or(others).forEach(o -> elsewhere.put(Shape.of(o.across, o.down), o.framing.get()));
      return new ShapedFraming(
          own == null ? Framing.FILL : own.get(),
          elsewhere,
          Optional.ofNullable(focus).map(Seen::get));
    }
  }

  /** What has to be seen in every shape. */
  public record Seen(List<Spot> points, int across, int down, double from, Double to) {
    /** A place at a time. */
    record Spot(int at, int x, int y) {}

    public static Seen of(Focus focus) {
      return new Seen(
          focus.points().stream().map(p -> new Spot(p.at(), p.x(), p.y())).toList(),
          focus.across(),
          focus.down(),
          focus.from(),
          focus.to());
    }

    public Focus get() {
      return new Focus(
          points.stream().map(p -> new Focus.Point(p.at, p.x, p.y)).toList(),
          across,
          down,
          from,
          Say.or(to, 1.0));
    }
  }

  /** Those stored first had no treatments, no matte, no levelling and no correction. */
  public record Look(
      Shaped framing, Done treatments, Cut matte, Levelled levelled, Corrected correction) {
    public static Look of(Appearance look) {
      return new Look(
          Shaped.of(look.framing()),
          Done.of(look.treatments()),
          Cut.of(look.matte()),
          look.levelling().equals(Levelling.NONE) ? null : Levelled.of(look.levelling()),
          look.correction().leavesAll() ? null : Corrected.of(look.correction()));
    }

    public Appearance get() {
      return new Appearance(
          framing == null ? ShapedFraming.of(Framing.FILL) : framing.get(),
          Done.get(treatments),
          Cut.get(matte),
          levelled == null ? Levelling.NONE : levelled.get(),
          correction == null ? Correction.NONE : correction.get());
    }
  }

  /** How the light of a take is made even; what it is in each frame, by its colours. */
  public record Levelled(
      String media,
      long from,
      int strength,
      List<Integer> red,
      List<Integer> green,
      List<Integer> blue) {
    public static Levelled of(Levelling levelling) {
      List<Light> lights = levelling.lights();
      return new Levelled(
          levelling.media(),
          levelling.from(),
          levelling.strength(),
          lights.stream().map(Light::red).toList(),
          lights.stream().map(Light::green).toList(),
          lights.stream().map(Light::blue).toList());
    }

    public Levelling get() {
      List<Integer> reds = Say.or(red);
      if (Say.or(green).size() != reds.size() || Say.or(blue).size() != reds.size()) {
        throw new Refused("The light of a shot is said for as many frames in each colour.");
      }
      List<Light> lights = new ArrayList<>();
      for (int i = 0; i < reds.size(); i++) {
        lights.add(new Light(reds.get(i), green.get(i), blue.get(i)));
      }
      return new Levelling(Say.or(media, ""), from, lights, strength);
    }
  }

  /** A part of a take's picture. */
  public record Within(List<Masked> masks, String part) {
    static Within of(PicturePart where) {
      return new Within(
          where.masks().stream().map(Masked::of).toList(),
          where.of() == Matte.Part.ALL ? null : where.of().name());
    }

    PicturePart get() {
      return new PicturePart(
          Say.or(masks).stream().map(Masked::get).toList(),
          Say.or(Matte.Part.class, part, Matte.Part.ALL));
    }
  }

  /** Colours that are corrected by themselves; those stored first in the whole picture. */
  public record Ranged(
      int hue,
      Integer width,
      int weakest,
      Integer strongest,
      int darkest,
      Integer lightest,
      Integer softness,
      Within where,
      int exposure,
      int contrast,
      int warmth,
      int tint,
      int saturation) {
    static Ranged of(ColourRange range) {
      Basics five = range.basics();
      return new Ranged(
          range.hue(),
          range.width(),
          range.weakest(),
          range.strongest(),
          range.darkest(),
          range.lightest(),
          range.softness(),
          range.where().whole() ? null : Within.of(range.where()),
          five.exposure(),
          five.contrast(),
          five.warmth(),
          five.tint(),
          five.saturation());
    }

    ColourRange get() {
      return new ColourRange(
          hue,
          Say.or(width, 180),
          weakest,
          Say.or(strongest, ColourRange.MOST_CHROMA),
          darkest,
          Say.or(lightest, 100),
          Say.or(softness, 50),
          where == null ? PicturePart.WHOLE : where.get(),
          new Basics(exposure, contrast, warmth, tint, saturation));
    }
  }

  /** What is done to a picture's colour; what is not said is left as it is. */
  public record Corrected(
      int exposure,
      int contrast,
      int warmth,
      int tint,
      int saturation,
      Toned tones,
      List<Ranged> ranges,
      Listed cdl) {
    public static Corrected of(Correction correction) {
      Basics five = correction.basics();
      return new Corrected(
          five.exposure(),
          five.contrast(),
          five.warmth(),
          five.tint(),
          five.saturation(),
          correction.tones().equals(Tones.NONE) ? null : Toned.of(correction.tones()),
          correction.ranges().isEmpty()
              ? null
              : correction.ranges().stream().map(Ranged::of).toList(),
          correction.cdl().equals(Cdl.NONE) ? null : Listed.of(correction.cdl()));
    }

    public Correction get() {
      return new Correction(
          new Basics(exposure, contrast, warmth, tint, saturation),
          tones == null ? Tones.NONE : tones.get(),
          Say.or(ranges).stream().map(Ranged::get).toList(),
          cdl == null ? Cdl.NONE : cdl.get());
    }
  }

  /** What else is done to dark and light. */
  public record Toned(
      Integer pivot,
      int blacks,
      int whites,
      int shoulder,
      int toe,
      int vibrance,
      List<Bend> luma,
      List<Bend> red,
      List<Bend> green,
      List<Bend> blue) {
    /** A point of a curve. */
    public record Bend(int from, int to) {}

    static Toned of(Tones tones) {
      Curves curves = tones.curves();
      return new Toned(
          tones.pivot(),
          tones.blacks(),
          tones.whites(),
          tones.shoulder(),
          tones.toe(),
          tones.vibrance(),
          bends(curves.luma()),
          bends(curves.red()),
          bends(curves.green()),
          bends(curves.blue()));
    }

    private static List<Bend> bends(Curve curve) {
      return curve.points().stream().map(p -> new Bend(p.from(), p.to())).toList();
    }

    Tones get() {
      return new Tones(
          Say.or(pivot, Tones.GREY),
          blacks,
          whites,
          shoulder,
          toe,
          vibrance,
          new Curves(curve(luma), curve(red), curve(green), curve(blue)));
    }

    private static Curve curve(List<Bend> bends) {
      return new Curve(Say.or(bends).stream().map(b -> new Curve.Point(b.from, b.to)).toList());
    }
  }

  /** A colour decision list; of each, red, green and blue. */
  public record Listed(
      List<Double> slope, List<Double> offset, List<Double> power, Double saturation) {
    static Listed of(Cdl cdl) {
      return new Listed(
          three(cdl.slope()), three(cdl.offset()), three(cdl.power()), cdl.saturation());
    }

    private static List<Double> three(Cdl.Triple t) {
      return List.of(t.red(), t.green(), t.blue());
    }

    Cdl get() {
      return new Cdl(
          triple(slope, Cdl.NONE.slope()),
          triple(offset, Cdl.NONE.offset()),
          triple(power, Cdl.NONE.power()),
          Say.or(saturation, 1.0));
    }

    private static Cdl.Triple triple(List<Double> said, Cdl.Triple usual) {
      return said == null ? usual : new Cdl.Triple(said.get(0), said.get(1), said.get(2));
    }
  }

  /** A matte; of those stored first nothing is said, for all of a picture stayed. */
  public record Cut(List<Backing> keys, List<Masked> masks, String part, int wrap) {
    public static Cut of(Matte matte) {
      return new Cut(
          matte.keys().stream().map(Backing::of).toList(),
          matte.masks().stream().map(Masked::of).toList(),
          matte.part() == Matte.Part.ALL ? null : matte.part().name(),
          matte.wrap());
    }

    public static Matte get(Cut stored) {
      return stored == null
          ? Matte.NONE
          : new Matte(
              Say.or(stored.keys).stream().map(Backing::get).toList(),
              Say.or(stored.masks).stream().map(Masked::get).toList(),
              stored.part == null ? Matte.Part.ALL : Say.one(Matte.Part.class, stored.part),
              stored.wrap);
    }
  }

  /** A part that stays. */
  public record Masked(String kind, List<Corner> points, int softness, boolean outside) {
    /** A place on the picture. */
    public record Corner(int x, int y) {}

    static Masked of(Mask mask) {
      return new Masked(
          mask.kind().name(),
          mask.points().stream().map(p -> new Corner(p.x(), p.y())).toList(),
          mask.softness(),
          mask.outside());
    }

    Mask get() {
      return new Mask(
          Say.one(Mask.Kind.class, kind),
          points.stream().map(p -> new Mask.Spot(p.x, p.y)).toList(),
          softness,
          outside);
    }
  }

  /** A colour that is taken out. */
  public record Backing(
      Colour colour, Integer tolerance, Integer softness, Integer spill, Integer shadow) {
    public static Backing of(Key key) {
      return new Backing(
          new Colour(key.colour()), key.tolerance(), key.softness(), key.spill(), key.shadow());
    }

    public Key get() {
      Key usual = Key.of(colour.rgb());
      return new Key(
          colour.rgb(),
          Say.or(tolerance, usual.tolerance()),
          Say.or(softness, usual.softness()),
          Say.or(spill, usual.spill()),
          Say.or(shadow, usual.shadow()));
    }
  }

  /** Treatments; of those stored first nothing is said, for there were none. */
  public record Done(List<Treated> list) {
    public static Done of(Treatments treatments) {
      return new Done(treatments.list().stream().map(Treated::of).toList());
    }

    public static Treatments get(Done stored) {
      return stored == null || stored.list == null
          ? Treatments.NONE
          : new Treatments(stored.list.stream().map(Treated::get).toList());
    }
  }

  /** A treatment; those stored first looked nothing up. */
  public record Treated(String kind, List<Value> values, boolean bypassed, String table) {
    public static Treated of(Treatment t) {
      return new Treated(
          t.kind().name(),
          t.dials().stream().map(Value::of).toList(),
          t.bypassed(),
          t.table().isEmpty() ? null : t.table());
    }

    public Treatment get() {
      TreatmentKind known = Say.one(TreatmentKind.class, kind);
      List<Dial> dials =
          values == null
              ? Treatment.usual(known).dials()
              : values.stream().map(Value::get).toList();
      return new Treatment(known, dials, bypassed, Say.or(table, ""));
    }
  }

  /** A value of a treatment and what it follows. */
  public record Value(int value, Followed follows) {
    public static Value of(Dial dial) {
      return new Value(dial.value(), dial.drive().map(Followed::of).orElse(null));
    }

    public Dial get() {
      return new Dial(value, Optional.ofNullable(follows).map(Followed::get));
    }
  }

  /** What a value follows; a line and a word's place in it only where it is one word. */
  public record Followed(String source, String line, Integer word, int to, int attack, int decay) {
    public static Followed of(Drive drive) {
      return new Followed(
          drive.source().name(),
          drive.word().map(Drive.Word::line).orElse(null),
          drive.word().map(Drive.Word::index).orElse(null),
          drive.to(),
          drive.attack(),
          drive.decay());
    }

    public Drive get() {
      Optional<Drive.Word> one =
          line == null || word == null ? Optional.empty() : Optional.of(new Drive.Word(line, word));
      return new Drive(Say.one(Drive.Source.class, source), one, to, attack, decay);
    }
  }

  /** A transition; of those stored first nothing is said, for they were plain cuts. */
  public record Passing(
      String kind, Long amount, String unit, String lies, Way way, Boolean holds) {
    public static Passing of(Transition t) {
      return new Passing(
          t.kind().name(),
          t.span().amount(),
          t.span().unit().name(),
          t.lies().name(),
          Way.of(t.manner()),
          t.holds());
    }

    public Transition get() {
      TransitionKind known = Say.one(TransitionKind.class, kind);
      return new Transition(
          known,
          new Span(Say.or(amount, 0L), Say.or(Span.Unit.class, unit, Span.Unit.FRAMES)),
          Say.or(Transition.Lies.class, lies, Transition.Lies.MIDDLE),
          way == null ? known.usual() : way.get(),
          Say.or(holds, false));
    }
  }

  /** In what manner a transition goes. */
  public record Way(Integer angle, int softness, Colour colour, String pattern, String picture) {
    public static Way of(TransitionManner m) {
      return new Way(
          m.angle(),
          m.softness(),
          new Colour(m.colour()),
          m.pattern().name(),
          m.picture().isEmpty() ? null : m.picture());
    }

    public TransitionManner get() {
      TransitionManner plain = TransitionManner.PLAIN;
      return new TransitionManner(
          Say.or(angle, plain.angle()),
          softness,
          colour == null ? plain.colour() : colour.rgb(),
          Say.or(LumaPattern.class, pattern, plain.pattern()),
          Say.or(picture, ""));
    }
  }

  /**
   * Where an upper layer lies, and how it mixes. Those stored first were still, with a size in
   * percent and a place from side to side.
   */
  public record Lying(
      Integer opacity,
      Integer size,
      Integer x,
      Integer y,
      List<Stand> points,
      String easing,
      String mixing) {
    private static final int PER_MILLE = 10;

    /** Where it lies at a time. */
    public record Stand(int at, Integer opacity, Integer size, Integer x, Integer y, int turn) {
      static Stand of(LiePath.Point p) {
        Lie lie = p.lie();
        return new Stand(p.at(), lie.opacity(), lie.size(), lie.x(), lie.y(), lie.turn());
      }

      LiePath.Point get() {
        Lie whole = Lie.WHOLE;
        return new LiePath.Point(
            at,
            new Lie(
                Say.or(opacity, whole.opacity()),
                Say.or(size, whole.size()),
                Say.or(x, whole.x()),
                Say.or(y, whole.y()),
                turn));
      }
    }

    public static Lying of(LiePath path, Mixing mixing) {
      return new Lying(
          null,
          null,
          null,
          null,
          path.points().stream().map(Stand::of).toList(),
          path.easing().name(),
          mixing.name());
    }

    public LiePath path() {
      if (points == null) {
        return opacity == null ? LiePath.WHOLE : still(opacity, size, x, y);
      }
      return new LiePath(
          points.stream().map(Stand::get).toList(), Say.or(Easing.class, easing, Easing.EVEN));
    }

    public Mixing mixed() {
      return Say.or(Mixing.class, mixing, Mixing.NORMAL);
    }

    /**
     * A lie of the first format.
     *
     * @param size in percent
     * @param x 0 where it touches the left side, 100 where it touches the right one
     * @param y the same downward
     */
    public static LiePath still(int opacity, int size, int x, int y) {
      return LiePath.still(
          new Lie(opacity, PER_MILLE * size, middle(size, x), middle(size, y), /* turn= */ 0));
    }

    private static int middle(int size, int place) {
      return Math.round(PER_MILLE * (size / 2f + (100 - size) * place / 100f));
    }
  }

  /**
   * What holds for the whole film; those stored first had no treatments and no key.
   *
   * @param key a shot that all are to look like
   * @param still a still that they are to look like in its place
   */
  public record Finished(
      long fade, Done treatments, String key, String still, List<Grouped> groups) {
    public static Finished of(Finish finish) {
      return new Finished(
          finish.end().frames(),
          Done.of(finish.treatments()),
          finish.key().map(k -> k instanceof LookKey.OfShot of ? of.shot() : null).orElse(null),
          finish.key().map(k -> k instanceof LookKey.Still of ? of.picture() : null).orElse(null),
          finish.groups().isEmpty() ? null : finish.groups().stream().map(Grouped::of).toList());
    }

    public Finish get() {
      return new Finish(
          Done.get(treatments),
          new EndFade(fade),
          look(),
          Say.or(groups).stream().map(Grouped::get).toList());
    }

    private Optional<LookKey> look() {
      return still == null
          ? Optional.ofNullable(key).<LookKey>map(LookKey.OfShot::new)
          : Optional.<LookKey>of(new LookKey.Still(still));
    }
  }

  /** Shots that look alike among themselves. */
  public record Grouped(String name, String key, List<String> shots) {
    static Grouped of(ColourGroup group) {
      return new Grouped(group.name(), group.key(), group.shots());
    }

    ColourGroup get() {
      return new ColourGroup(name, key, shots);
    }
  }
}
