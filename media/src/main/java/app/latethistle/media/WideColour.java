package app.latethistle.media;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/**
 * Colours that BT.709 cannot say, and how a decoder brings them into it.
 *
 * <ul>
 *   <li>PQ (SMPTE ST 2084) by the EETF of ITU-R BT.2390, section 5.4.1, on red, green and blue by
 *       themselves: a display of 1000 cd/m2, which most such clips are made for, is brought to 203
 *       cd/m2, the white that BT.2408 gives to graphics. Up to the curve's knee all stays.
 *   <li>HLG as a set without it shows it: its curve was made so that BT.2020 sets do (BT.2100), and
 *       only the primaries are brought over.
 *   <li>BT.2020 and Display P3 without a high range by their primaries.
 * </ul>
 *
 * What lies outside BT.709's gamut is cut off at its edge.
 */
public enum WideColour {
  PQ("smpte2084", "2020", "2020_ncl"),
  HLG("2020_10", "2020", "2020_ncl"),
  BT2020("2020_10", "2020", "2020_ncl"),
  P3("709", "smpte432", "709");

  /** The display a clip is taken to be made for, and the white it is brought to, in cd/m2. */
  private static final double MADE_FOR = 1000;

  private static final double WHITE = 203;

  private final String transfer;
  private final String primaries;
  private final String matrix;

  WideColour(String transfer, String primaries, String matrix) {
    this.transfer = transfer;
    this.primaries = primaries;
    this.matrix = matrix;
  }

  /** By what a file's head says, in ffprobe's words; empty if it is not wide. */
  static Optional<WideColour> of(String primaries, String transfer) {
    return switch (transfer) {
      case "smpte2084" -> Optional.of(PQ);
      case "arib-std-b67" -> Optional.of(HLG);
      default ->
          switch (primaries) {
            case "bt2020" -> Optional.of(BT2020);
            case "smpte432" -> Optional.of(P3);
            default -> Optional.empty();
          };
    };
  }

  /** By the name that is stored; empty if there is none. */
  static Optional<WideColour> named(String name) {
    return Arrays.stream(values()).filter(w -> w.written().equals(name)).findFirst();
  }

  /** What is stored of it. */
  String written() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** What it is called for people. */
  public String title() {
    return switch (this) {
      case PQ -> "BT.2020 PQ";
      case HLG -> "BT.2020 HLG";
      case BT2020 -> "BT.2020";
      case P3 -> "Display P3";
    };
  }

  /** Filters that bring it to BT.709, limited range, 8 bits of 4:2:0. */
  String filters(boolean full) {
    String in =
        "zscale=pin="
            + primaries
            + ":tin="
            + transfer
            + ":min="
            + matrix
            + ":rin="
            + (full ? "full" : "limited");
    String out = ":p=709:t=709:m=709:r=limited:d=ordered,format=yuv420p";
    if (this != PQ) {
      return in + out;
    }
    String curve = eetf();
    return in
        + ":p=2020:t=smpte2084:m=gbr:r=full,format=gbrp16le,lutrgb=r='"
        + curve
        + "':g='"
        + curve
        + "':b='"
        + curve
        + "',zscale=pin=2020:tin=smpte2084:min=gbr:rin=full:npl="
        + Math.round(WHITE)
        + out;
  }

  /** The curve as an expression of libavfilter, from one PQ signal to another, of 16 bits. */
  private static String eetf() {
    double peak = pq(MADE_FOR);
    double most = pq(WHITE) / peak;
    double knee = 1.5 * most - 0.5;
    String e = String.format(Locale.ROOT, "min(1,val/maxval/%.9f)", peak);
    String t = String.format(Locale.ROOT, "((ld(0)-%.9f)/%.9f)", knee, 1 - knee);
    String spline =
        String.format(
            Locale.ROOT,
            "(2*ld(1)^3-3*ld(1)^2+1)*%1$.9f+(ld(1)^3-2*ld(1)^2+ld(1))*%2$.9f+(3*ld(1)^2-2*ld(1)^3)*%3$.9f",
            knee,
            1 - knee,
            most);
    return String.format(
        Locale.ROOT,
        "st(0,%s);st(1,%s);maxval*%.9f*if(lt(ld(0),%.9f),ld(0),%s)",
        e,
        t,
        peak,
        knee,
        spline);
  }

  /** The signal of a luminance in cd/m2 (SMPTE ST 2084). */
  static double pq(double luminance) {
    double y = Math.pow(luminance / 10_000, 2610 / 16384.0);
    return Math.pow(
        (3424 / 4096.0 + 2413 / 4096.0 * 32 * y) / (1 + 2392 / 4096.0 * 32 * y),
        2523 / 4096.0 * 128);
  }
}
