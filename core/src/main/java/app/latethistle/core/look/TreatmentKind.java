package app.latethistle.core.look;

import app.latethistle.core.look.Parameter.Unit;
import app.latethistle.core.measure.Light;
import java.util.List;

/** What can be done to a picture beside its correction. */
public enum TreatmentKind {
  /** Out of focus: a Gaussian; its size is one standard deviation. */
  BLUR,
  /** Blurred along a direction. */
  STREAK,
  /** Edges drawn harder. */
  SHARPEN,
  /** Noise taken out, edges kept. */
  DENOISE,
  /** What is bright shines over what is around it. */
  GLOW,
  /** Mist between the camera and the scene. */
  HAZE,
  /** A camera that is held by hand; driven it jolts. */
  SHAKE,
  /** The picture grows about its middle. */
  PULSE,
  /** White light over all. */
  FLASH,
  /** Light that comes and goes. */
  FLICKER,
  /** Red and blue moved apart. */
  PLANES,
  /** Turned over: 0 left for right, 1 top for bottom, 2 the left half twice, 3 the top half. */
  MIRROR,
  /** Squares of one colour. */
  MOSAIC,
  /** Few steps of brightness and colour. */
  POSTERISE,
  /** A print that was run often. */
  OLD_FILM,
  /** Light that got into the camera, in a colour of its own. */
  LEAK,
  /** Snow that falls. */
  SNOW,
  /** Scraps of paper that turn as they fall. */
  PAPER,
  /** Sparks that rise. */
  EMBERS,
  /** Edges shine in a colour. */
  EDGE_GLOW,
  /** Two colours, one for the dark and one for the light. */
  DUOTONE,
  /** Drawn with a pencil. */
  SKETCH,
  /** Bars above and below, as a wider film has them. */
  BARS,
  /** A picture with a border, lying on a soft one of itself. */
  INSET,
  /** Without colour: how much, and how bright red, green and blue become. */
  MONOCHROME,
  /** Colours stronger or paler, lightness and hue kept. */
  SATURATION,
  /** Distances from middle grey greater or smaller. */
  CONTRAST,
  /** Warm or cold light over all, in mired. */
  WASH,
  /** A colour in the dark and another in the light. */
  SPLIT_TONE,
  /** Blacks lifted, as on a print that has hung in the sun. */
  FADED,
  /** Darker towards the corners, along an ellipse of the picture's shape. */
  VIGNETTE,
  /** The grain of film, another in each frame. */
  GRAIN,
  /** A red glow round what is bright, as light thrown back by the film's base makes it. */
  HALATION,
  /** What a soft filter before the lens makes. */
  DIFFUSION,
  /** A table of colours that was brought in. */
  TABLE,
  /** More or less light of each colour, in hundredths of a stop: what {@link Levelling} adds. */
  LEVEL;

  /** The values that say how it is done, in the order in which they are asked for. */
  public List<Parameter> parameters() {
    return switch (this) {
      case BLUR -> List.of(size("size", 0, 100, 8));
      case STREAK -> List.of(size("length", 0, 250, 40), angle("direction", 0));
      case SHARPEN -> List.of(percent("amount", 0, 300, 60), size("size", 1, 20, 2));
      case DENOISE -> List.of(percent("amount", 0, 100, 40));
      case GLOW ->
          List.of(
              percent("amount", 0, 100, 40), size("size", 2, 150, 30), percent("from", 0, 100, 60));
      case HAZE -> List.of(percent("amount", 0, 100, 30));
      case SHAKE -> List.of(size("amount", 0, 80, 6), speed("speed", 2, 150, 15));
      case PULSE -> List.of(percent("amount", 0, 50, 6));
      case FLASH -> List.of(percent("amount", 0, 100, 70));
      case FLICKER -> List.of(percent("amount", 0, 100, 20), speed("speed", 5, 240, 80));
      case PLANES -> List.of(size("distance", 0, 60, 5), angle("direction", 0));
      case MIRROR -> List.of(new Parameter("way", 0, 3, 2, Unit.COUNT));
      case MOSAIC -> List.of(size("size", 2, 250, 25));
      case POSTERISE -> List.of(new Parameter("steps", 2, 16, 7, Unit.COUNT));
      case OLD_FILM ->
          List.of(
              percent("dust", 0, 100, 40),
              percent("scratches", 0, 100, 30),
              size("weave", 0, 20, 2));
      case LEAK -> List.of(percent("amount", 0, 100, 45), hue("hue", 28), speed("speed", 0, 50, 4));
      case SNOW -> List.of(percent("amount", 0, 100, 40), size("size", 1, 40, 10), wind());
      case PAPER -> List.of(percent("amount", 0, 100, 30), size("size", 4, 60, 22), wind());
      case EMBERS -> List.of(percent("amount", 0, 100, 40), size("size", 1, 30, 8), wind());
      case EDGE_GLOW -> List.of(percent("amount", 0, 100, 60), hue("hue", 285));
      case DUOTONE -> List.of(percent("amount", 0, 100, 100), hue("dark", 265), hue("light", 45));
      case SKETCH -> List.of(percent("amount", 0, 100, 100));
      case BARS -> List.of(new Parameter("shape", 133, 300, 239, Unit.HUNDREDTHS));
      case INSET ->
          List.of(
              percent("size", 20, 100, 80),
              size("border", 0, 40, 6),
              percent("shadow", 0, 100, 60));
      case MONOCHROME ->
          List.of(
              percent("amount", 0, 100, 100),
              percent("red", 0, 200, 21),
              percent("green", 0, 200, 72),
              percent("blue", 0, 200, 7));
      case SATURATION -> List.of(percent("amount", -100, 100, -25));
      case CONTRAST -> List.of(percent("amount", -100, 100, 20));
      case WASH -> List.of(count("warmth", 25), count("tint", 0));
      case SPLIT_TONE ->
          List.of(
              hue("dark", 210),
              percent("in the dark", 0, 100, 30),
              hue("light", 40),
              percent("in the light", 0, 100, 30));
      case FADED -> List.of(percent("amount", 0, 100, 35));
      case VIGNETTE ->
          List.of(
              percent("amount", 0, 100, 40),
              percent("from", 0, 140, 55),
              percent("soft", 5, 150, 75));
      case GRAIN ->
          List.of(
              percent("amount", 0, 100, 30),
              new Parameter("size", 5, 60, 16, Unit.TENTHS_OF_HEIGHT),
              percent("in the dark", 0, 100, 60),
              percent("in the light", 0, 100, 40));
      case HALATION ->
          List.of(
              percent("amount", 0, 100, 45), size("size", 2, 60, 14), percent("from", 20, 99, 70));
      case DIFFUSION -> List.of(percent("amount", 0, 100, 45), size("size", 2, 60, 12));
      case TABLE -> List.of(percent("strength", 0, 100, 100));
      case LEVEL -> List.of(stops("red"), stops("green"), stops("blue"));
    };
  }

  /** Whether people choose it; LEVEL follows from what was measured of a take. */
  public boolean chosen() {
    return this != LEVEL;
  }

  /** Whether it changes each colour by itself, wherever it is: it is done by a table. */
  public boolean ofColour() {
    return switch (this) {
      case MONOCHROME, SATURATION, CONTRAST, WASH, SPLIT_TONE, FADED, TABLE -> true;
      default -> false;
    };
  }

  /** Whether it moves although its values do not: it needs a count of frames and a seed. */
  public boolean moves() {
    return switch (this) {
      case SHAKE, FLICKER, OLD_FILM, LEAK, SNOW, PAPER, EMBERS, GRAIN -> true;
      default -> false;
    };
  }

  private static Parameter percent(String name, int least, int most, int usual) {
    return new Parameter(name, least, most, usual, Unit.PERCENT);
  }

  private static Parameter size(String name, int least, int most, int usual) {
    return new Parameter(name, least, most, usual, Unit.HEIGHT);
  }

  private static Parameter angle(String name, int usual) {
    return new Parameter(name, 0, 359, usual, Unit.DEGREES);
  }

  private static Parameter hue(String name, int usual) {
    return new Parameter(name, 0, 359, usual, Unit.DEGREES);
  }

  private static Parameter speed(String name, int least, int most, int usual) {
    return new Parameter(name, least, most, usual, Unit.TENTHS_A_SECOND);
  }

  private static Parameter count(String name, int usual) {
    return new Parameter(name, -100, 100, usual, Unit.COUNT);
  }

  private static Parameter stops(String name) {
    return new Parameter(name, -Light.MOST, Light.MOST, 0, Unit.COUNT);
  }

  private static Parameter wind() {
    return percent("wind", -100, 100, 15);
  }
}
