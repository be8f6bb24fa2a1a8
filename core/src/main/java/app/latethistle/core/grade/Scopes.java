package app.latethistle.core.grade;

import app.latethistle.core.picture.Frame;

/**
 * What an engineer's scopes show of a frame, at the frame's own precision: of each sample once.
 * Levels are codes of 8 bits, limited range: 16 is black, 235 white, what is beyond is seen too.
 * Red, green and blue are rounded to the same codes.
 */
public final class Scopes {
  /** Levels of a code. */
  public static final int LEVELS = 256;

  /** Black and white in codes. */
  public static final int BLACK = 16;

  public static final int WHITE = 235;

  /**
   * How far red, green and blue may go beyond black and white in a broadcast: EBU R 103's preferred
   * range, from memory.
   */
  private static final double ALLOWED = 0.05;

  private final Counts luma;
  private final Counts red;
  private final Counts green;
  private final Counts blue;
  private final Counts vectors = new Counts(LEVELS, LEVELS);
  private final int width;
  private final int height;
  private long below;
  private long above;
  private long outside;

  private Scopes(int width, int height) {
    this.width = width;
    this.height = height;
    luma = new Counts(width, LEVELS);
    red = new Counts(width, LEVELS);
    green = new Counts(width, LEVELS);
    blue = new Counts(width, LEVELS);
  }

  /** Of a frame. */
  public static Scopes of(Frame frame) {
    Scopes scopes = new Scopes(frame.width(), frame.height());
    scopes.count(frame);
    return scopes;
  }

  private void count(Frame frame) {
    byte[] data = frame.data();
    int cb = frame.offset(1);
    int cr = frame.offset(2);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int code = data[y * width + x] & 0xff;
        int chroma = y / 2 * (width / 2) + x / 2;
        int u = data[cb + chroma] & 0xff;
        int v = data[cr + chroma] & 0xff;
        luma.add(x, code);
        if (x % 2 == 0 && y % 2 == 0) {
          vectors.add(u, v);
        }
        Signal rgb = Signal.ofCodes(code, u, v);
        red.add(x, level(rgb.red()));
        green.add(x, level(rgb.green()));
        blue.add(x, level(rgb.blue()));
        below += code < BLACK ? 1 : 0;
        above += code > WHITE ? 1 : 0;
        outside += rgb.least() < -ALLOWED || rgb.most() > 1 + ALLOWED ? 1 : 0;
      }
    }
  }

  private static int level(double signal) {
    long code = Math.round(BLACK + signal * (WHITE - BLACK));
    return (int) Math.max(0, Math.min(LEVELS - 1, code));
  }

  /** The waveform of luma: for each column of the picture how many samples have each code. */
  public Counts luma() {
    return luma;
  }

  /** The waveform of red. */
  public Counts red() {
    return red;
  }

  /** The waveform of green. */
  public Counts green() {
    return green;
  }

  /** The waveform of blue. */
  public Counts blue() {
    return blue;
  }

  /** The vectorscope: how many chroma samples have each Cb, to the right, and Cr, upwards. */
  public Counts vectors() {
    return vectors;
  }

  /**
   * The histogram of one of the waveforms.
   *
   * @return a number for each of the 256 codes
   */
  public static int[] histogram(Counts waveform) {
    int[] sums = new int[LEVELS];
    for (int y = 0; y < LEVELS; y++) {
      for (int x = 0; x < waveform.width(); x++) {
        sums[y] += waveform.at(x, y);
      }
    }
    return sums;
  }

  /**
   * What lies beyond what may be broadcast, as shares of all samples from 0 to 1.
   *
   * @param below luma under black
   * @param above luma over white
   * @param outside red, green or blue more than 5 % beyond either
   */
  public record Beyond(double below, double above, double outside) {}

  /** What lies beyond what may be broadcast. */
  public Beyond beyond() {
    double all = (double) width * height;
    return new Beyond(below / all, above / all, outside / all);
  }
}
