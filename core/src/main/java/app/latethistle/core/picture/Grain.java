package app.latethistle.core.picture;

import java.util.Random;

/**
 * The grain of film: noise of a size, most of it in the middle tones. One field of it is made for
 * pictures of 1080 lines and brought to the picture's own size by means over areas, as a scan is
 * when it is made smaller, so that it looks the same at every size. Each frame takes it from
 * another place.
 */
final class Grain implements TreatmentPainter {
  /** Lines of the picture that the field is made for. */
  private static final int LINES = 1080;

  /** Samples along each side of the field. */
  private static final int SIDE = 1024;

  /** Codes of one standard deviation in the middle tones, at full amount: common practice. */
  private static final double MOST = 20;

  /** Noise is kept in parts of a deviation, and its strength in parts of a code. */
  private static final int NOISE_BITS = 10;

  private static final int STRENGTH_BITS = 8;
  private static final int BITS = NOISE_BITS + STRENGTH_BITS;

  /** The field that was made last: films have one grain, and each frame alone asks for it. */
  private static volatile Field last = new Field(-1, 0, new int[0]);

  private final int lines;

  /** Noise of a size of grain, for pictures of one height. */
  private static final class Field {
    private final double size;
    private final int side;
    private final int[] values;

    Field(double size, int side, int[] values) {
      this.size = size;
      this.side = side;
      this.values = values;
    }
  }

  Grain(int height) {
    lines = height;
  }

  @Override
  public void draw(Frame from, Frame into, Setting setting) {
    Field made = field(setting.tenths(1, from) * LINES / lines);
    int[] field = made.values;
    int side = made.side;
    int[] strength = strength(setting);
    Random random = new Random(setting.seed() * 31 + Math.round(setting.seconds() * 1000));
    int right = (int) (random.nextDouble() * side);
    int down = (int) (random.nextDouble() * side);
    byte[] a = from.data();
    byte[] b = into.data();
    int width = from.width();
    for (int y = 0; y < from.height(); y++) {
      int row = (y + down) % side * side;
      int at = right;
      for (int i = y * width; i < (y + 1) * width; i++) {
        int value = a[i] & 0xff;
        int noise = (strength[value] * field[row + at] + (1 << (BITS - 1))) >> BITS;
        b[i] = (byte) Math.max(1, Math.min(254, value + noise));
        at = at + 1 == side ? 0 : at + 1;
      }
    }
    Softening.copy(from, into, 1);
    Softening.copy(from, into, 2);
  }

  /** Codes of one standard deviation for each value of luma, in parts. */
  private static int[] strength(Setting setting) {
    int[] strength = new int[256];
    for (int v = 0; v < 256; v++) {
      double light =
          Math.max(0, Math.min(1, (v - Frame.BLACK) / (double) (Frame.WHITE - Frame.BLACK)));
      double edge = setting.share(light < 0.5 ? 2 : 3);
      double middle = 1 - sq(2 * light - 1);
      double codes = MOST * setting.share(0) * (edge + (1 - edge) * middle);
      strength[v] = (int) Math.round(codes * (1 << STRENGTH_BITS));
    }
    return strength;
  }

  private Field field(double size) {
    int side = Math.max(16, Math.round((float) SIDE * lines / LINES));
    Field known = last;
    if (known.size != size || known.side != side) {
      known = new Field(size, side, inParts(resized(noise(size / 2), side)));
      last = known;
    }
    return known;
  }

  private static int[] inParts(float[] field) {
    int[] parts = new int[field.length];
    for (int i = 0; i < parts.length; i++) {
      parts[i] = Math.round(field[i] * (1 << NOISE_BITS));
    }
    return parts;
  }

  /** White noise made soft, its standard deviation one, going on at its edges. */
  private static float[] noise(double sigma) {
    Random random = new Random(LINES);
    int margin = 64;
    int whole = SIDE + 2 * margin;
    float[] white = new float[SIDE * SIDE];
    for (int i = 0; i < white.length; i++) {
      white[i] = (float) random.nextGaussian();
    }
    Blurring blurring = new Blurring(whole, whole);
    float[] plane = blurring.values();
    for (int y = 0; y < whole; y++) {
      for (int x = 0; x < whole; x++) {
        plane[y * whole + x] =
            white[Math.floorMod(y - margin, SIDE) * SIDE + Math.floorMod(x - margin, SIDE)];
      }
    }
    float[] soft = blurring.blurred(sigma);
    float[] field = new float[SIDE * SIDE];
    double squares = 0;
    for (int y = 0; y < SIDE; y++) {
      for (int x = 0; x < SIDE; x++) {
        float v = soft[(y + margin) * whole + x + margin];
        field[y * SIDE + x] = v;
        squares += v * v;
      }
    }
    float one = (float) Math.sqrt(squares / field.length);
    for (int i = 0; i < field.length; i++) {
      field[i] /= one;
    }
    return field;
  }

  /** Means over the areas that become one sample, or evenly between two where it is enlarged. */
  private static float[] resized(float[] field, int side) {
    if (side == SIDE) {
      return field;
    }
    float[] across = new float[SIDE * side];
    for (int y = 0; y < SIDE; y++) {
      for (int x = 0; x < side; x++) {
        across[y * side + x] = mean(field, y * SIDE, 1, x, side);
      }
    }
    float[] both = new float[side * side];
    for (int x = 0; x < side; x++) {
      for (int y = 0; y < side; y++) {
        both[y * side + x] = mean(across, x, side, y, side);
      }
    }
    return both;
  }

  /** The mean of a line of the field over one of so many parts, or of what is nearest to it. */
  private static float mean(float[] line, int start, int step, int part, int parts) {
    double scale = (double) SIDE / parts;
    double middle = (part + 0.5) * scale;
    double reach = Math.max(1, scale) / 2;
    double sum = 0;
    for (int i = (int) Math.floor(middle - reach); i < middle + reach; i++) {
      double share = Math.min(i + 1, middle + reach) - Math.max(i, middle - reach);
      sum += share * line[start + step * Math.floorMod(i, SIDE)];
    }
    return (float) (sum / (2 * reach));
  }

  private static double sq(double v) {
    return v * v;
  }
}
