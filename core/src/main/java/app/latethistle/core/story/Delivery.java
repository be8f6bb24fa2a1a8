package app.latethistle.core.story;

import app.latethistle.core.Refused;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How fast a script is read, and so how long it lasts.
 *
 * @param wordsPerMinute words a minute within a line, its breaths included; 30 to 300
 * @param gap seconds between one line and the next, 0 to 30
 */
public record Delivery(double wordsPerMinute, double gap) {
  /** Seconds between lines if nobody says; common practice, no source. */
  public static final double USUAL_GAP = 0.8;

  /** Seconds of a pause marked "(pause)" or "(beat)"; common practice, no source. */
  private static final double MARKED_PAUSE = 1;

  private static final Pattern PAUSE =
      Pattern.compile(
          "(?i)[(\\[](?:(?:long )?pause|beat|silence)(?:[ :]+(\\d+(?:\\.\\d+)?) ?s?)?[)\\]]");

  /**
   * A usual way of reading.
   *
   * @param name what is read so
   * @param slow words a minute at its slowest
   * @param fast words a minute at its fastest
   */
  public record Usual(String name, double slow, double fast) {
    /** The middle. */
    public double middle() {
      return (slow + fast) / 2;
    }
  }

  /** The usual ways, slow to fast; common practice, no source. */
  public static final List<Usual> USUAL =
      List.of(
          new Usual("trailer with gaps", 65, 90),
          new Usual("tense documentary", 95, 105),
          new Usual("love story", 120, 150),
          new Usual("children's story", 150, 160));

  /**
   * @throws IllegalArgumentException if a value is out of range
   */
  public Delivery {
    if (!(wordsPerMinute >= 30 && wordsPerMinute <= 300)) {
      throw new Refused(wordsPerMinute + " words a minute cannot be read; give 30 to 300.");
    }
    if (!(gap >= 0 && gap <= 30)) {
      throw new Refused("A gap of " + gap + " s between lines cannot be kept; give 0 to 30.");
    }
  }

  /** A delivery with the usual gap. */
  public static Delivery of(double wordsPerMinute) {
    return new Delivery(wordsPerMinute, USUAL_GAP);
  }

  /** Seconds a text takes to say, its marked pauses included. */
  public double secondsOf(String text) {
    Matcher m = PAUSE.matcher(text);
    double pauses = 0;
    while (m.find()) {
      pauses += m.group(1) == null ? MARKED_PAUSE : Double.parseDouble(m.group(1));
    }
    return words(text) * 60 / wordsPerMinute + pauses;
  }

  /** The words of a text that are said: all but marked pauses. */
  static int words(String text) {
    return Words.count(said(text));
  }

  /** What is said of a text: all but its marked pauses. */
  public static String said(String text) {
    return String.join(" ", saidBetweenPauses(text)).strip();
  }

  /** What is said of a text between one marked pause and the next; parts may be empty. */
  public static List<String> saidBetweenPauses(String text) {
    return List.of(PAUSE.split(text, -1));
  }

  /** Seconds a line takes to say. */
  public double secondsOf(SpokenLine line) {
    return secondsOf(line.text());
  }

  /** Seconds all lines take, with the gaps between them. */
  public double secondsOf(List<SpokenLine> lines) {
    double sum = lines.stream().mapToDouble(this::secondsOf).sum();
    return sum + gap * Math.max(0, lines.size() - 1);
  }
}
