package app.latethistle.core.grade;

import app.latethistle.core.look.Basics;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Curves;
import app.latethistle.core.look.Tones;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.look.Treatments;
import java.util.List;
import java.util.Optional;

/** Treatments that change each colour by itself; see {@link TreatmentKind#ofColour()}. */
public final class ColourTreatment {
  /** The chroma in Oklab that a split tone adds at most: a deep dye's. */
  private static final double DYE = 0.12;

  /** How far from black and from white, in lightness, a split tone has all of its strength. */
  private static final double NEAR_BLACK = 0.2;

  private static final double NEAR_WHITE = 0.1;

  private ColourTreatment() {}

  /**
   * What a treatment does.
   *
   * @param values one for each of the kind's parameters, in their units
   * @param table what it looks up in; only {@link TreatmentKind#TABLE} does
   */
  public static ColourChange of(
      TreatmentKind kind, List<Double> values, Optional<GivenTable> table) {
    double first = values.get(0);
    return switch (kind) {
      case MONOCHROME -> monochrome(first / 100, values.get(1), values.get(2), values.get(3));
      case SATURATION -> Grading.of(new Exact(0, 0, 0, 0, first), Tones.NONE);
      case CONTRAST -> Grading.of(new Exact(0, first, 0, 0, 0), Tones.NONE);
      case WASH -> Grading.of(new Exact(0, 0, first, values.get(1), 0), Tones.NONE);
      case FADED -> Grading.of(Correction.of(Basics.NONE).withTones(faded(first)));
      case TABLE -> table.map(t -> t.withStrength(first / 100)).orElse(v -> v);
      case SPLIT_TONE -> splitTone(first, values.get(1) / 100, values.get(2), values.get(3) / 100);
      default -> throw new IllegalArgumentException(kind + " is not of colour alone.");
    };
  }

  /**
   * What all of colour in a list does, as it is at rest; tables that are brought in are left out.
   */
  public static ColourChange of(Treatments treatments) {
    return treatments.done().stream()
        .filter(t -> t.kind().ofColour())
        .map(
            t ->
                of(
                    t.kind(),
                    t.dials().stream().map(d -> (double) d.value()).toList(),
                    Optional.empty()))
        .reduce(colour -> colour, ColourChange::then);
  }

  /** Black goes up by a fifth of the way to white at most, as prints fade. */
  private static Tones faded(double percent) {
    return new Tones(Tones.GREY, (int) Math.round(2 * percent), 0, 0, 0, 0, Curves.NONE);
  }

  private static ColourChange monochrome(double amount, double red, double green, double blue) {
    double all = red + green + blue;
    return v -> {
      double grey =
          all == 0 ? v.luma() : (red * v.red() + green * v.green() + blue * v.blue()) / all;
      return v.towards(new Signal(grey, grey, grey), amount);
    };
  }

  /** Colours are moved in Oklab, lightness kept; black and white themselves stay neutral. */
  private static ColourChange splitTone(
      double darkHue, double dark, double lightHue, double light) {
    Oklab inDark = Oklab.ofHue(darkHue);
    Oklab inLight = Oklab.ofHue(lightHue);
    return v -> {
      Oklab colour = Oklab.of(v);
      double l = Math.max(0, Math.min(1, colour.lightness()));
      double low = DYE * dark * (1 - l) * Math.min(1, l / NEAR_BLACK);
      double high = DYE * light * l * Math.min(1, (1 - l) / NEAR_WHITE);
      return new Oklab(
              colour.lightness(),
              colour.a() + low * inDark.a() + high * inLight.a(),
              colour.b() + low * inDark.b() + high * inLight.b())
          .signal();
    };
  }
}
