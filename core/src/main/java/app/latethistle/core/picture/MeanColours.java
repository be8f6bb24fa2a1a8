package app.latethistle.core.picture;

import java.util.List;

/** What a frame looks like from afar: mean luma and chroma of each ninth of it. */
public final class MeanColours {
  private static final int PARTS = 3;

  private MeanColours() {}

  /** Luma, Cb and Cr of the parts, row by row: 27 values from 0 to 255. */
  public static List<Float> of(Frame frame) {
    Float[] means = new Float[PARTS * PARTS * 3];
    for (int plane = 0; plane < 3; plane++) {
      int width = plane == 0 ? frame.width() : frame.width() / 2;
      int height = plane == 0 ? frame.height() : frame.height() / 2;
      for (int row = 0; row < PARTS; row++) {
        for (int column = 0; column < PARTS; column++) {
          int left = column * width / PARTS;
          int right = Math.max(left + 1, (column + 1) * width / PARTS);
          int top = row * height / PARTS;
          int low = Math.max(top + 1, (row + 1) * height / PARTS);
          long sum = 0;
          for (int y = top; y < low; y++) {
            for (int x = left; x < right; x++) {
              sum += frame.data()[frame.offset(plane) + y * width + x] & 0xff;
            }
          }
          long count = (long) (right - left) * (low - top);
          means[(row * PARTS + column) * 3 + plane] = (float) sum / count;
        }
      }
    }
    return List.of(means);
  }
}
