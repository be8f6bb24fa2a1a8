package app.latethistle.core.time;

import app.latethistle.core.Refused;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A frame count written as hours, minutes, seconds and frames (SMPTE ST 12-1).
 *
 * <p>At 30000/1001 and 60000/1001 drop-frame counting is used: frame labels 00 and 01 (00 to 03 at
 * 59.94) are left out at the start of each minute but every tenth, and a semicolon stands before
 * the frames. Other rates count in whole frames a second, rounded up (24 for 23.976).
 *
 * @param hours 0 or more; not wrapped at 24
 * @param minutes 0 to 59
 * @param seconds 0 to 59
 * @param frames 0 to the nominal rate less one
 * @param dropFrame whether labels are dropped
 */
public record Timecode(long hours, int minutes, int seconds, int frames, boolean dropFrame) {
  private static final Pattern LABEL =
      Pattern.compile("(\\d{1,2}):(\\d{2}):(\\d{2})[:;.,](\\d{2})");

  /**
   * The label of a frame.
   *
   * @throws IllegalArgumentException if the frame is negative
   */
  public static Timecode of(long frame, FrameRate rate) {
    if (frame < 0) {
      throw new Refused("Timecode starts at frame 0, not " + frame + ".");
    }
    int nominal = nominal(rate);
    boolean drop = drops(rate);
    long label = frame;
    if (drop) {
      int dropped = nominal / 15;
      long perMinute = nominal * 60L - dropped;
      long perTen = perMinute * 10 + dropped;
      long tens = frame / perTen;
      long rest = frame % perTen;
      label += 9L * dropped * tens;
      if (rest >= dropped) {
        label += dropped * ((rest - dropped) / perMinute);
      }
    }
    long total = label / nominal;
    return new Timecode(
        total / 3600, (int) (total / 60 % 60), (int) (total % 60), (int) (label % nominal), drop);
  }

  /**
   * The frame of a label, at any sign before its frames.
   *
   * @throws IllegalArgumentException if it is no label, or one that is dropped
   */
  public static long frameOf(String label, FrameRate rate) {
    Matcher said = LABEL.matcher(label.strip());
    if (!said.matches()) {
      throw new Refused("'" + label + "' is no timecode; it is written like 01:00:10:00.");
    }
    int nominal = nominal(rate);
    long minutes = 60L * Integer.parseInt(said.group(1)) + Integer.parseInt(said.group(2));
    int seconds = Integer.parseInt(said.group(3));
    int frames = Integer.parseInt(said.group(4));
    if (Integer.parseInt(said.group(2)) > 59 || seconds > 59 || frames >= nominal) {
      throw new Refused("There is no timecode " + label + " at " + rate + " frames a second.");
    }
    long frame = (minutes * 60 + seconds) * nominal + frames;
    if (!drops(rate)) {
      return frame;
    }
    int dropped = nominal / 15;
    if (seconds == 0 && frames < dropped && minutes % 10 != 0) {
      throw new Refused("The label " + label + " is dropped at " + rate + " frames a second.");
    }
    return frame - dropped * (minutes - minutes / 10);
  }

  private static int nominal(FrameRate rate) {
    return (int) Math.ceil(rate.perSecond() - 1e-9);
  }

  private static boolean drops(FrameRate rate) {
    return rate.denominator() == 1001 && rate.numerator() % 30_000 == 0;
  }

  /** "00:01:00;02", or with a colon before the frames where none are dropped. */
  @Override
  public String toString() {
    return String.format(
        Locale.ROOT,
        "%02d:%02d:%02d%s%02d",
        hours,
        minutes,
        seconds,
        dropFrame ? ";" : ":",
        frames);
  }
}
