package app.latethistle.core.grade;

import app.latethistle.core.picture.Frame;

/**
 * What becomes of colours as a table from frames to frames. Luma has an entry for each of its codes
 * and each second code of both chromas; what is added to chroma hangs on the mean luma of its four
 * pixels.
 *
 * <p>A line of the table, all lumas of some chromas, is filled when it is first used: the grading
 * is worked out at 52 codes of luma and laid out evenly between them. So a table is for one thread.
 */
public final class GradeTable {
  /** Codes of luma between two at which the grading is worked out. */
  private static final int STEP = 5;

  private static final int KNOTS = 255 / STEP + 1;

  /** Chroma codes that share a line, as a shift. */
  private static final int SHARED = 1;

  private static final int CHROMAS = 256 >> SHARED;

  /** Luma codes that share what is added to chroma, as a shift. */
  private static final int LUMAS_SHARED = 1;

  private static final int LUMAS = 256 >> LUMAS_SHARED;

  /** What is added to chroma is kept in parts of a code. */
  private static final int PARTS = 64;

  /** Bits of each of two numbers in one. */
  private static final int HALF = 16;

  private final ColourChange change;
  private final Signal[] knots = new Signal[KNOTS];
  private final boolean[] filled = new boolean[CHROMAS * CHROMAS];
  private final byte[] luma = new byte[CHROMAS * CHROMAS * 256];

  /** What is added to both chromas, in one number: they are looked up together. */
  private final int[] chroma = new int[CHROMAS * CHROMAS * LUMAS];

  private GradeTable(ColourChange change) {
    this.change = change;
  }

  /** A table of what becomes of colours. */
  public static GradeTable of(ColourChange change) {
    return new GradeTable(change);
  }

  private void fill(int line, int u, int v) {
    // Of the codes that share a line the middle one is meant.
    double middle = ((1 << SHARED) - 1) / 2.0;
    double cb = (u << SHARED) + middle;
    double cr = (v << SHARED) + middle;
    for (int i = 0; i < KNOTS; i++) {
      knots[i] = change.apply(Signal.ofCodes(i * STEP, cb, cr));
    }
    for (int y = 0; y < 256; y++) {
      Signal out = at(y / (double) STEP);
      luma[line * 256 + y] = (byte) Math.round(16 + 219 * out.luma());
    }
    double middleLuma = ((1 << LUMAS_SHARED) - 1) / 2.0;
    for (int y = 0; y < LUMAS; y++) {
      Signal out = at(((y << LUMAS_SHARED) + middleLuma) / STEP);
      double l = out.luma();
      double blue = 128 + 224 * (out.blue() - l) / 1.8556 - cb;
      double red = 128 + 224 * (out.red() - l) / 1.5748 - cr;
      chroma[line * LUMAS + y] =
          ((int) Math.round(PARTS * blue) << HALF) | ((int) Math.round(PARTS * red) & 0xffff);
    }
    filled[line] = true;
  }

  private Signal at(double y) {
    int y0 = Math.min(KNOTS - 2, (int) y);
    double part = y - y0;
    return knots[y0].towards(knots[y0 + 1], part).held();
  }

  /** Draws a frame graded into another of its size, or into itself. */
  public void draw(Frame from, Frame into) {
    byte[] source = from.data();
    byte[] target = into.data();
    int width = from.width();
    int cb = from.offset(1);
    int cr = from.offset(2);
    for (int y = 0; y < from.height(); y += 2) {
      int top = y * width;
      for (int x = 0; x < width; x += 2, cb++, cr++, top += 2) {
        int u = source[cb] & 0xff;
        int v = source[cr] & 0xff;
        int line = (u >> SHARED) * CHROMAS + (v >> SHARED);
        if (!filled[line]) {
          fill(line, u >> SHARED, v >> SHARED);
        }
        int below = top + width;
        int y0 = source[top] & 0xff;
        int y1 = source[top + 1] & 0xff;
        int y2 = source[below] & 0xff;
        int y3 = source[below + 1] & 0xff;
        int of = line << 8;
        target[top] = luma[of + y0];
        target[top + 1] = luma[of + y1];
        target[below] = luma[of + y2];
        target[below + 1] = luma[of + y3];
        int at = line * LUMAS + ((y0 + y1 + y2 + y3 + 2) >> (2 + LUMAS_SHARED));
        int added = chroma[at];
        target[cb] = code(u * PARTS + (added >> HALF));
        target[cr] = code(v * PARTS + (short) added);
      }
    }
  }

  private static byte code(int parts) {
    int code = (parts + PARTS / 2) / PARTS;
    return (byte) (code < 16 ? 16 : Math.min(code, 240));
  }
}
