package app.latethistle.core.grade;

import app.latethistle.core.look.Cdl;
import app.latethistle.core.look.ColourRange;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Curves;
import app.latethistle.core.look.Tones;
import java.util.List;

/**
 * What a correction makes of a colour, in floating point; see the package for the order. Ranges
 * that are meant in a part of the picture are left out: a colour does not tell where it lies.
 */
public final class Grading implements ColourChange {
  private static final double TINT_STEP = 1 / 2500.0;

  /** The chroma in Oklab from which vibrance leaves a colour alone: that of strong paint. */
  private static final double STRONG = 0.25;

  private final Matrix light;
  private final boolean lit;
  private final double contrast;
  private final Tones tones;
  private final double saturation;
  private final Cdl cdl;
  private final List<Ranged> ranges;
  private final DrawnCurve luma;
  private final DrawnCurve red;
  private final DrawnCurve green;
  private final DrawnCurve blue;

  /** What is done to a range of colours. */
  private record Ranged(RangeWeight weight, Grading grading) implements ColourChange {
    @Override
    public Signal apply(Signal v) {
      double share = weight.of(Oklab.of(v));
      return share == 0 ? v : v.towards(grading.apply(v), share);
    }
  }

  private Grading(Exact basics, Tones tones, List<ColourRange> ranges, Cdl cdl) {
    this.tones = tones;
    this.cdl = cdl;
    this.ranges = ranges.stream().filter(r -> r.where().whole()).map(Grading::ranged).toList();
    lit = basics.exposure() != 0 || basics.warmth() != 0 || basics.tint() != 0;
    light =
        Matrix.FROM_XYZ
            .times(
                Matrix.adapting(White.D65, White.away(basics.warmth(), basics.tint() * TINT_STEP)))
            .times(Matrix.TO_XYZ)
            .times(Math.pow(2, basics.exposure() / 100.0));
    contrast = Math.pow(2, basics.contrast() / 100.0);
    saturation = 1 + basics.saturation() / 100.0;
    Curves curves = tones.curves();
    luma = new DrawnCurve(curves.luma());
    red = new DrawnCurve(curves.red());
    green = new DrawnCurve(curves.green());
    blue = new DrawnCurve(curves.blue());
  }

  /** What a correction does. */
  public static Grading of(Correction correction) {
    return new Grading(
        Exact.of(correction.basics()), correction.tones(), correction.ranges(), correction.cdl());
  }

  /** What is done to a range of colours, wherever they lie. */
  public static ColourChange of(ColourRange range) {
    return ranged(range);
  }

  /** What five numbers and a list do. */
  static Grading of(Exact basics, Cdl cdl) {
    return new Grading(basics, Tones.NONE, List.of(), cdl);
  }

  /** What five numbers that are not rounded and tones do. */
  static Grading of(Exact basics, Tones tones) {
    return new Grading(basics, tones, List.of(), Cdl.NONE);
  }

  @Override
  public Signal apply(Signal colour) {
    Signal v = lit ? lit(colour) : colour;
    v = new Signal(red.at(bent(v.red())), green.at(bent(v.green())), blue.at(bent(v.blue())));
    double moved = luma.at(v.luma()) - v.luma();
    if (moved != 0) {
      v = new Signal(v.red() + moved, v.green() + moved, v.blue() + moved);
    }
    if (saturation != 1 || tones.vibrance() != 0) {
      v = saturated(v);
    }
    for (Ranged ranged : ranges) {
      v = ranged.apply(v);
    }
    return cdl.equals(Cdl.NONE) ? v : listed(cdl, v, /* held= */ true);
  }

  private static Ranged ranged(ColourRange range) {
    return new Ranged(new RangeWeight(range), of(Correction.of(range.basics())));
  }

  private Signal lit(Signal v) {
    double r = Transfer.toLight(v.red());
    double g = Transfer.toLight(v.green());
    double b = Transfer.toLight(v.blue());
    return new Signal(
        Transfer.toSignal(light.row(0, r, g, b)),
        Transfer.toSignal(light.row(1, r, g, b)),
        Transfer.toSignal(light.row(2, r, g, b)));
  }

  private double bent(double signal) {
    double pivot = tones.pivot() / 100.0;
    double v = pivot + (signal - pivot) * contrast;
    double black = tones.blacks() / 1000.0;
    v = black + v * (1 + tones.whites() / 1000.0 - black);
    v = shoulder(v, tones.shoulder() / 200.0);
    return 1 - shoulder(1 - v, tones.toe() / 200.0);
  }

  /** Bends what lies in the last part under 1 and beyond, so that nothing reaches 1. */
  private static double shoulder(double v, double part) {
    double knee = 1 - part;
    return part == 0 || v <= knee ? v : knee + part * (1 - Math.exp(-(v - knee) / part));
  }

  private Signal saturated(Signal v) {
    Oklab colour = Oklab.of(v);
    double weak = Math.max(0, 1 - colour.chroma() / STRONG);
    double factor = Math.max(0, saturation * (1 + tones.vibrance() / 100.0 * weak));
    return colour.withChromaTimes(factor).signal();
  }

  /**
   * What a colour decision list makes of a colour.
   *
   * @param held whether values are held between 0 and 1 as the ASC says; if not, those below 0 are
   *     left as they are where a power follows
   */
  static Signal listed(Cdl list, Signal v, boolean held) {
    Signal s =
        new Signal(
            one(v.red(), list.slope().red(), list.offset().red(), list.power().red(), held),
            one(v.green(), list.slope().green(), list.offset().green(), list.power().green(), held),
            one(v.blue(), list.slope().blue(), list.offset().blue(), list.power().blue(), held));
    double luma = s.luma();
    Signal out =
        new Signal(
            luma + list.saturation() * (s.red() - luma),
            luma + list.saturation() * (s.green() - luma),
            luma + list.saturation() * (s.blue() - luma));
    return held ? out.held() : out;
  }

  private static double one(double v, double slope, double offset, double power, boolean held) {
    double moved = v * slope + offset;
    if (held) {
      return Math.pow(Math.min(1, Math.max(0, moved)), power);
    }
    return moved < 0 ? moved : Math.pow(moved, power);
  }
}
