package app.latethistle.core.repair;

import app.latethistle.core.picture.Frame;

/** The luma of frames, made small by the mean of the pixels that fall into one. */
final class SmallLuma {
  private SmallLuma() {}

  /** How high a clip's pictures are, so wide. */
  static int heightFor(Clip clip, int width) {
    return Math.max(2, width * clip.height() / clip.width());
  }

  static byte[] of(Frame frame, int width, int height) {
    byte[] small = new byte[width * height];
    for (int y = 0; y < height; y++) {
      int top = y * frame.height() / height;
      int bottom = Math.max(top + 1, (y + 1) * frame.height() / height);
      for (int x = 0; x < width; x++) {
        int left = x * frame.width() / width;
        int right = Math.max(left + 1, (x + 1) * frame.width() / width);
        int sum = 0;
        for (int row = top; row < bottom; row++) {
          for (int at = left; at < right; at++) {
            sum += frame.data()[row * frame.width() + at] & 0xff;
          }
        }
        small[y * width + x] = (byte) (sum / ((bottom - top) * (right - left)));
      }
    }
    return small;
  }
}
