package app.latethistle.core.time;

import app.latethistle.core.Refused;
import java.math.BigInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A rational frame rate, in lowest terms, from 1 to 240 frames a second.
 *
 * @param numerator frames
 * @param denominator in that many seconds
 */
public record FrameRate(int numerator, int denominator) {
  private static final Pattern RATIO = Pattern.compile("(\\d{1,9})(?:/(\\d{1,9}))?");
  private static final Pattern DECIMAL = Pattern.compile("(\\d{1,3})\\.(\\d{1,3})");

  public static final FrameRate FPS_24 = new FrameRate(24, 1);

  /**
   * @throws IllegalArgumentException outside 1 to 240 frames a second
   */
  public FrameRate {
    if (numerator <= 0
        || denominator <= 0
        || numerator < denominator
        || (long) numerator > 240L * denominator) {
      throw new Refused(
          "Frame rate "
              + numerator
              + "/"
              + denominator
              + " is outside 1 to 240 frames a second; give a rate such as 24 or 30000/1001.");
    }
    int common = BigInteger.valueOf(numerator).gcd(BigInteger.valueOf(denominator)).intValue();
    numerator /= common;
    denominator /= common;
  }

  /** A rate of {@code numerator/denominator} frames a second. */
  public static FrameRate of(int numerator, int denominator) {
    return new FrameRate(numerator, denominator);
  }

  /**
   * Reads "24", "30000/1001" or one of the trade's short forms 23.976, 23.98, 29.97, 59.94.
   *
   * @throws IllegalArgumentException if the text is none of these
   */
  public static FrameRate parse(String text) {
    String trimmed = text.strip();
    Matcher ratio = RATIO.matcher(trimmed);
    if (ratio.matches()) {
      int denominator = ratio.group(2) == null ? 1 : Integer.parseInt(ratio.group(2));
      return new FrameRate(Integer.parseInt(ratio.group(1)), denominator);
    }
    if (DECIMAL.matcher(trimmed).matches()) {
      double value = Double.parseDouble(trimmed);
      for (int whole : new int[] {24, 30, 48, 60, 120}) {
        if (Math.abs(value - whole * 1000 / 1001.0) < 0.006) {
          return new FrameRate(whole * 1000, 1001);
        }
      }
      return new FrameRate((int) Math.round(value * 1000), 1000);
    }
    throw new Refused(
        "'" + text + "' is not a frame rate; write it like 24, 25, 23.976 or 30000/1001.");
  }

  /** Frames a second, for showing and for reckoning that does not decide a frame. */
  public double perSecond() {
    return (double) numerator / denominator;
  }

  /** The first sample at or after the start of a frame, from absolute time. */
  public long sampleOf(long frame) {
    return ceilDiv(Math.multiplyExact(frame, (long) Samples.RATE * denominator), numerator);
  }

  /** The frame whose start lies nearest to a sample; a sample half-way goes to the later frame. */
  public long nearestFrame(long sample) {
    long unit = (long) Samples.RATE * denominator;
    return Math.floorDiv(2 * Math.multiplyExact(sample, (long) numerator) + unit, 2 * unit);
  }

  /** The frame on screen at a sample. */
  public long frameAt(long sample) {
    return Math.floorDiv(
        Math.multiplyExact(sample, (long) numerator), (long) Samples.RATE * denominator);
  }

  /** The start of a frame in seconds. */
  public double secondsOf(long frame) {
    return (double) frame * denominator / numerator;
  }

  /** The number of whole frames nearest to a length in seconds; halves go up. */
  public long framesIn(double seconds) {
    return Math.round(seconds * numerator / denominator);
  }

  /** "24" or "30000/1001". */
  @Override
  public String toString() {
    return denominator == 1 ? Integer.toString(numerator) : numerator + "/" + denominator;
  }

  private static long ceilDiv(long a, long b) {
    return -Math.floorDiv(-a, b);
  }
}
