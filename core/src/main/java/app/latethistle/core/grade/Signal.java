package app.latethistle.core.grade;

/** A colour as BT.709 codes it: 0 is black, 1 white; what lies beyond is not shown. */
public record Signal(double red, double green, double blue) {
  /** A colour of 8 bits a channel, 0xRRGGBB. */
  public static Signal of(int rgb) {
    return new Signal((rgb >> 16 & 0xff) / 255.0, (rgb >> 8 & 0xff) / 255.0, (rgb & 0xff) / 255.0);
  }

  /** Of codes of 8 bits, limited range (ITU-R BT.709), which may lie between whole ones. */
  static Signal ofCodes(double luma, double cb, double cr) {
    double y = (luma - 16) / 219;
    double blue = y + 1.8556 * (cb - 128) / 224;
    double red = y + 1.5748 * (cr - 128) / 224;
    return new Signal(red, (y - 0.2126 * red - 0.0722 * blue) / 0.7152, blue);
  }

  /** 0xRRGGBB, rounded to the nearest and held between black and white. */
  public int rgb() {
    return code(red) << 16 | code(green) << 8 | code(blue);
  }

  private static int code(double value) {
    return (int) Math.round(255 * Math.min(1, Math.max(0, value)));
  }

  /** BT.709's luma. */
  public double luma() {
    return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
  }

  /** Some of the way to another: none at 0, all at 1. */
  Signal towards(Signal other, double share) {
    return new Signal(
        red + share * (other.red - red),
        green + share * (other.green - green),
        blue + share * (other.blue - blue));
  }

  /** The least of the channels. */
  double least() {
    return Math.min(red, Math.min(green, blue));
  }

  /** The most of the channels. */
  double most() {
    return Math.max(red, Math.max(green, blue));
  }

  /** Each channel held between 0 and 1. */
  public Signal held() {
    return new Signal(
        Math.min(1, Math.max(0, red)),
        Math.min(1, Math.max(0, green)),
        Math.min(1, Math.max(0, blue)));
  }
}
