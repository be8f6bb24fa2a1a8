package app.latethistle.core.grade;

import app.latethistle.core.Refused;
import java.util.List;

/**
 * A table of colours that was made elsewhere: for each channel by itself (1D) or for all three
 * together (3D, red innermost), over a domain. Between entries a 1D table is even; a 3D one is read
 * by tetrahedra (Sakamoto and Itooka, US patent 4275413, long expired), which keeps greys grey.
 * What lies outside the domain is held to its edge.
 */
public final class GivenTable implements ColourChange {
  private final int size;
  private final boolean cube;
  private final Signal least;
  private final Signal most;
  private final float[] entries;

  /**
   * A table.
   *
   * @param size entries along a side, 2 or more
   * @param cube whether it is 3D
   * @param least where each channel's first entry lies
   * @param most where each channel's last entry lies, above {@code least}
   * @param values red, green and blue of each entry, in order
   * @throws IllegalArgumentException if there are more or fewer entries than the size says
   */
  public GivenTable(int size, boolean cube, Signal least, Signal most, List<Float> values) {
    long wanted = cube ? (long) size * size * size : size;
    if (values.size() != 3 * wanted) {
      throw new Refused(
          "A table of size "
              + size
              + " has "
              + wanted
              + " lines of colours, not "
              + values.size() / 3
              + ".");
    }
    this.size = size;
    this.cube = cube;
    this.least = least;
    this.most = most;
    entries = new float[values.size()];
    for (int i = 0; i < entries.length; i++) {
      entries[i] = values.get(i);
    }
  }

  @Override
  public Signal apply(Signal v) {
    double red = place(v.red(), least.red(), most.red());
    double green = place(v.green(), least.green(), most.green());
    double blue = place(v.blue(), least.blue(), most.blue());
    return cube
        ? new Signal(at(red, green, blue, 0), at(red, green, blue, 1), at(red, green, blue, 2))
        : new Signal(at(red, 0), at(green, 1), at(blue, 2));
  }

  /** Some of the way to what the table gives. */
  public ColourChange withStrength(double share) {
    return v -> v.towards(apply(v), share);
  }

  /** A place among the entries, 0 to the last. */
  private double place(double value, double from, double to) {
    return Math.max(0, Math.min(1, (value - from) / (to - from))) * (size - 1);
  }

  private double at(double place, int channel) {
    int i = Math.min(size - 2, (int) place);
    double share = place - i;
    return entries[3 * i + channel] * (1 - share) + entries[3 * (i + 1) + channel] * share;
  }

  /**
   * From the cell's darkest corner to its lightest along its edges, the channel that has gone the
   * furthest first.
   */
  private double at(double red, double green, double blue, int channel) {
    int r = Math.min(size - 2, (int) red);
    int g = Math.min(size - 2, (int) green);
    int b = Math.min(size - 2, (int) blue);
    double x = red - r;
    double y = green - g;
    double z = blue - b;
    int alongRed = 3;
    int alongGreen = 3 * size;
    int alongBlue = 3 * size * size;
    int corner = r * alongRed + g * alongGreen + b * alongBlue + channel;
    double first = Math.max(x, Math.max(y, z));
    double last = Math.min(x, Math.min(y, z));
    double second = x + y + z - first - last;
    int one = first == x ? alongRed : first == y ? alongGreen : alongBlue;
    int three = last == z ? alongBlue : last == y ? alongGreen : alongRed;
    int opposite = corner + alongRed + alongGreen + alongBlue;
    return entries[corner] * (1 - first)
        + entries[corner + one] * (first - second)
        + entries[opposite - three] * (second - last)
        + entries[opposite] * last;
  }
}
