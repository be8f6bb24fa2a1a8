package app.latethistle.core.story;

import app.latethistle.core.Refused;
import java.util.List;
import java.util.Set;

/**
 * What a service that makes pictures takes, gives and costs.
 *
 * @param name as the person calls it
 * @param kind stills or clips
 * @param inputs what it takes beside the prompt
 * @param longestPrompt characters, 40 or more
 * @param shapes picture shapes such as "16:9"
 * @param lengths of its clips in seconds; empty for stills
 * @param rate pictures a second of its clips; 0 for stills
 * @param height of its pictures in pixels, of the shorter side
 * @param credits for a picture, or for a second of a clip
 * @param allowance credits that a period brings
 * @param period what the allowance is for
 * @param atOnce how many requests it works on at once, 1 or more
 * @param waitSeconds how long one usually takes
 * @param marks what its terms say of hiding its mark
 */
public record ServiceProfile(
    String name,
    Kind kind,
    Set<Input> inputs,
    int longestPrompt,
    List<String> shapes,
    List<Double> lengths,
    int rate,
    int height,
    double credits,
    double allowance,
    Period period,
    int atOnce,
    double waitSeconds,
    Marks marks) {

  /** What a service's terms say of the mark it puts into pictures. */
  public enum Marks {
    /** Nobody has looked yet. */
    UNSAID,
    /** It may be framed out, covered or filled. */
    MAY_GO,
    /** It has to be seen. */
    MUST_STAY
  }

  /** A service of whose terms nothing is known yet. */
  public ServiceProfile(
      String name,
      Kind kind,
      Set<Input> inputs,
      int longestPrompt,
      List<String> shapes,
      List<Double> lengths,
      int rate,
      int height,
      double credits,
      double allowance,
      Period period,
      int atOnce,
      double waitSeconds) {
    this(
        name,
        kind,
        inputs,
        longestPrompt,
        shapes,
        lengths,
        rate,
        height,
        credits,
        allowance,
        period,
        atOnce,
        waitSeconds,
        Marks.UNSAID);
  }

  /** What a service makes. */
  public enum Kind {
    STILL,
    CLIP
  }

  /** What a service may take beside the prompt. */
  public enum Input {
    /** A list of what not to show. */
    EXCLUSION,
    /** A number with which it makes the same again. */
    SEED,
    /** A picture to start from. */
    PICTURE,
    /** How strong the motion is. */
    STRENGTH,
    /** A camera move. */
    MOVE
  }

  /** What an allowance is for. */
  public enum Period {
    DAY,
    MONTH
  }

  /** How many stills one request may ask for at most. */
  public static final int MOST_STILLS = 6;

  /** How many stills one request asks for unless it says so. */
  public static final int USUAL_STILLS = 3;

  /**
   * @throws IllegalArgumentException if a value is out of range; the message names the service
   */
  public ServiceProfile {
    inputs = Set.copyOf(inputs);
    shapes = List.copyOf(shapes);
    lengths = List.copyOf(lengths);
    marks = marks == null ? Marks.UNSAID : marks;
    if (name.isBlank() || name.length() > 60) {
      throw new Refused("Give the service a name of up to 60 letters.");
    }
    check(
        name,
        longestPrompt >= 40 && longestPrompt <= 10_000,
        "its longest prompt is 40 to 10000 characters");
    check(
        name,
        !shapes.isEmpty() && shapes.stream().allMatch(s -> s.matches("[1-9]\\d?:[1-9]\\d?")),
        "give its picture shapes, such as 16:9");
    check(name, credits >= 0 && credits <= 10_000, "its price is 0 to 10000 credits");
    check(name, allowance >= 0 && allowance <= 1_000_000, "its allowance is 0 to 1000000 credits");
    check(name, atOnce >= 1 && atOnce <= 20, "it works on 1 to 20 at once");
    check(name, waitSeconds >= 0 && waitSeconds <= 3600, "its wait is 0 to 3600 s");
    check(name, height >= 256 && height <= 1080, "its pictures are 256 to 1080 high");
    if (kind == Kind.CLIP) {
      check(
          name,
          !lengths.isEmpty() && lengths.stream().allMatch(l -> l >= 1 && l <= 20),
          "its clips last 1 to 20 s");
      check(name, rate >= 6 && rate <= 60, "its clips have 6 to 60 pictures a second");
    }
  }

  private static void check(String name, boolean good, String rule) {
    if (!good) {
      throw new Refused("Service " + name + ": " + rule + ".");
    }
  }

  /** Whether it takes that beside the prompt. */
  public boolean takes(Input input) {
    return inputs.contains(input);
  }

  /**
   * The credits one request costs.
   *
   * @param seconds the clip's length; without meaning for stills
   * @param stills how many are asked for; without meaning for clips
   */
  public double cost(double seconds, int stills) {
    return kind == Kind.STILL ? credits * stills : credits * seconds;
  }

  /** The shortest length it makes that is long enough, or its longest. */
  public double lengthFor(double seconds) {
    return lengths.stream()
        .filter(l -> l >= seconds)
        .min(Double::compare)
        .orElseGet(() -> lengths.stream().max(Double::compare).orElse(0.0));
  }

  /** Width over height of a shape such as "16:9". */
  public static double aspect(String shape) {
    String[] parts = shape.split(":");
    return Double.parseDouble(parts[0]) / Double.parseDouble(parts[1]);
  }

  /** The profiles that ship. All are invented. */
  public static final List<ServiceProfile> USUAL =
      List.of(
          new ServiceProfile(
              "Kestle Still",
              Kind.STILL,
              Set.of(Input.EXCLUSION, Input.SEED),
              600,
              List.of("16:9", "9:16", "1:1"),
              List.of(),
              0,
              720,
              1,
              120,
              Period.DAY,
              2,
              4),
          new ServiceProfile(
              "Kestle Motion",
              Kind.CLIP,
              Set.of(Input.EXCLUSION, Input.SEED, Input.PICTURE, Input.STRENGTH, Input.MOVE),
              500,
              List.of("16:9", "9:16"),
              List.of(4.0, 5.0, 8.0),
              24,
              720,
              2,
              200,
              Period.DAY,
              1,
              6),
          new ServiceProfile(
              "Hollowpan",
              Kind.CLIP,
              Set.of(Input.SEED, Input.PICTURE, Input.MOVE),
              300,
              List.of("16:9", "1:1", "9:16"),
              List.of(4.0, 6.0),
              24,
              576,
              1,
              60,
              Period.DAY,
              2,
              3),
          new ServiceProfile(
              "Quillfen Long",
              Kind.CLIP,
              Set.of(Input.EXCLUSION, Input.PICTURE, Input.STRENGTH, Input.MOVE),
              1200,
              List.of("16:9", "9:16", "4:3"),
              List.of(5.0, 10.0),
              24,
              720,
              4,
              3000,
              Period.MONTH,
              3,
              10),
          new ServiceProfile(
              "Lumbrel Plate",
              Kind.STILL,
              Set.of(Input.SEED, Input.PICTURE),
              240,
              List.of("16:9", "9:16", "3:2"),
              List.of(),
              0,
              1080,
              2,
              40,
              Period.DAY,
              1,
              5));
}
