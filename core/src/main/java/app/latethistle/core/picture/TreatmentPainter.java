package app.latethistle.core.picture;

import app.latethistle.core.look.TreatmentKind;
import java.util.List;

/**
 * Does one thing to a picture. What it draws follows from the picture and the setting alone, so any
 * frame alone is drawn as it would be in its turn. Made once for a size, for it may keep working
 * planes; not for use by two threads at once.
 */
public interface TreatmentPainter {

  /**
   * How it is done in one frame.
   *
   * @param values one for each of the kind's parameters, in their units
   * @param seconds since the item began to count; only kinds that move ask for it
   * @param seed of what is left to chance
   */
  record Setting(List<Double> values, double seconds, long seed) {
    double value(int parameter) {
      return values.get(parameter);
    }

    /** A value in percent as a share of one. */
    double share(int parameter) {
      return values.get(parameter) / 100;
    }

    /** A value in thousandths of the picture's height, in its pixels. */
    double pixels(int parameter, Frame picture) {
      return values.get(parameter) * picture.height() / 1000;
    }

    /** A value in ten-thousandths of the picture's height, in its pixels. */
    double tenths(int parameter, Frame picture) {
      return pixels(parameter, picture) / 10;
    }

    /** A value in tenths of once a second, as once a second. */
    double perSecond(int parameter) {
      return values.get(parameter) / 10;
    }
  }

  /** Draws a frame into another of its size. */
  void draw(Frame from, Frame into, Setting setting);

  /**
   * A painter.
   *
   * @param kind one that is not of colour alone; those are done by a table of {@code grade}
   * @param width of the frames, even
   * @param height even
   */
  static TreatmentPainter of(TreatmentKind kind, int width, int height) {
    return switch (kind) {
      case BLUR -> new Softening(width, height, Softening.Use.BLUR);
      case SHARPEN -> new Softening(width, height, Softening.Use.SHARPEN);
      case GLOW -> new Softening(width, height, Softening.Use.GLOW);
      case HAZE -> new Softening(width, height, Softening.Use.HAZE);
      case STREAK -> new Streak();
      case DENOISE -> new Denoise(width, height);
      case SHAKE, PULSE -> new Jolting(kind);
      case FLASH, FLICKER, POSTERISE, DUOTONE -> new Toning(kind);
      case PLANES -> new PlanesApart(width, height);
      case BARS -> new Bars();
      case MIRROR -> new Mirror();
      case MOSAIC -> new Mosaic();
      case OLD_FILM -> new OldFilm();
      case LEAK -> new LightLeak();
      case SNOW, PAPER, EMBERS -> new Falling(kind);
      case EDGE_GLOW, SKETCH -> new Outlines(kind, width, height);
      case INSET -> new Inset(width, height);
      case VIGNETTE -> new Vignette(width, height);
      case GRAIN -> new Grain(height);
      case HALATION -> new Halation(width, height);
      case DIFFUSION -> new Diffusion(width, height);
      case LEVEL -> new Relight();
      case MONOCHROME, SATURATION, CONTRAST, WASH, SPLIT_TONE, FADED, TABLE ->
          throw new IllegalArgumentException(kind + " is done by a table of colours.");
    };
  }
}
