package app.latethistle.core.picture;

import app.latethistle.core.look.Key;
import java.util.Arrays;
import java.util.List;

/**
 * Takes backing colours out of pictures: colour-difference keying (Vlahos; as described by Smith
 * and Blinn 1996, "Blue Screen Matting"), with the backing's colour and strength measured in the
 * picture itself near each place, so that an uneven one goes as well.
 *
 * <p>How much of the backing is seen at a place follows from how strong its hue is there against
 * how strong it is where nothing stands before it. What is seen of it is then taken off, which
 * leaves the thing itself, already weighed by its own opacity; laid over another picture that is
 * added to what shines through.
 *
 * <p>Not for use by two threads at once.
 */
public final class Keyer {
  private static final int GREY = 128;

  /**
   * A hue farther than this from the backing's has nothing of it: in the plane of BT.709's Cb and
   * Cr no primary lies nearer than 53 degrees to a mixture of it with another. The cotangent.
   */
  private static final float ASIDE = 0.754f;

  /** What has so much of the key's own strength is taken for backing where that is measured. */
  private static final float SURE = 0.55f;

  /** Over what part of the picture's height the backing is measured. */
  private static final double NEAR = 0.12;

  /** A backing darker by less than this is no shadow, but noise. */
  private static final float SHADED = 0.08f;

  private final int width;
  private final int height;
  private final List<Key> keys;
  private final Frame picture;
  private final byte[] opacity;
  private final Blurring weights;
  private final Blurring sums;
  private final float[] strength;
  private final float[] through;
  private final float[] sure;
  private final float[][] backing = new float[4][];

  /**
   * @param width of the pictures, even
   * @param height even
   */
  public Keyer(List<Key> keys, int width, int height) {
    this.keys = List.copyOf(keys);
    this.width = width;
    this.height = height;
    picture = new Frame(width, height);
    opacity = new byte[width * height];
    int half = width / 2 * (height / 2);
    weights = new Blurring(width / 2, height / 2);
    sums = new Blurring(width / 2, height / 2);
    strength = new float[half];
    through = new float[half];
    sure = new float[half];
    for (int i = 0; i < backing.length; i++) {
      backing[i] = new float[half];
    }
  }

  /**
   * What stays of a picture, over black; valid until the next call and not to be changed. How
   * opaque it is says {@link #opacity()}.
   */
  public Frame draw(Frame from) {
    picture.copy(from);
    Arrays.fill(opacity, (byte) 255);
    for (Key key : keys) {
      draw(key);
    }
    return picture;
  }

  /** The opacity of each pixel of the picture drawn last, 0 to 255. */
  public byte[] opacity() {
    return opacity;
  }

  private void draw(Key key) {
    byte[] wanted = Rgb.toYuv(key.colour());
    float cb = (wanted[1] & 0xff) - GREY;
    float cr = (wanted[2] & 0xff) - GREY;
    float full = (float) Math.hypot(cb, cr);
    if (full < 1) {
      return;
    }
    cb /= full;
    cr /= full;
    measure(cb, cr, full, wanted);
    float least = key.softness() / 100f;
    float most = Math.max(least + 0.05f, 1 - key.tolerance() / 100f);
    for (int i = 0; i < through.length; i++) {
      float seen = strength[i] / Math.max(1, backing[0][i]);
      through[i] = Math.max(0, Math.min(1, (seen - least) / (most - least)));
    }
    takeOut(key, cb, cr);
  }

  /** How strong the hue is everywhere, and how strong and what colour the backing is near there. */
  private void measure(float cb, float cr, float full, byte[] wanted) {
    int w = width / 2;
    byte[] data = picture.data();
    for (int i = 0; i < strength.length; i++) {
      float u = (data[picture.offset(1) + i] & 0xff) - GREY;
      float v = (data[picture.offset(2) + i] & 0xff) - GREY;
      strength[i] = hueIn(u, v, cb, cr);
      sure[i] = strength[i] > SURE * full ? 1 : 0;
    }
    int reach = (int) Math.max(1, NEAR * height / 2);
    System.arraycopy(sure, 0, weights.values(), 0, sure.length);
    float[] weight = weights.means(reach);
    for (int what = 0; what < backing.length; what++) {
      float[] values = sums.values();
      for (int i = 0; i < values.length; i++) {
        values[i] = sure[i] == 0 ? 0 : value(what, i, w);
      }
      float[] sum = sums.means(reach);
      float usual = what == 0 ? full : wanted[what - 1] & 0xff;
      for (int i = 0; i < sum.length; i++) {
        // Far from any backing the key's own colour counts, little by little.
        backing[what][i] = (sum[i] + 0.002f * usual) / (weight[i] + 0.002f);
      }
    }
  }

  /** How much of a hue a colour has; both as differences from grey, the hue of length one. */
  private static float hueIn(float u, float v, float cb, float cr) {
    return Math.max(0, u * cb + v * cr - ASIDE * Math.abs(u * cr - v * cb));
  }

  /** The hue's strength, luma, Cb or Cr of a place. */
  private float value(int what, int i, int w) {
    return switch (what) {
      case 0 -> strength[i];
      case 1 -> Frame.meanOfFour(picture.data(), i / w * 2 * width + i % w * 2, width);
      default -> picture.data()[picture.offset(what - 1) + i] & 0xff;
    };
  }

  private void takeOut(Key key, float cb, float cr) {
    byte[] data = picture.data();
    int w = width / 2;
    float spill = key.spill() / 100f;
    float shadow = key.shadow() / 100f;
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int at = y * width + x;
        int i = y / 2 * w + x / 2;
        float k = between(through, x, y);
        float under = backing[1][i] - Frame.BLACK;
        float value = (data[at] & 0xff) - Frame.BLACK;
        float dark = 1 - value / Math.max(1, under);
        float shade = shadow > 0 && dark > SHADED ? k * shadow * Math.min(1, dark) : 0;
        float stays = 1 - k + shade;
        opacity[at] = (byte) Math.round((opacity[at] & 0xff) * Math.min(1, stays));
        data[at] = (byte) (Frame.BLACK + Math.max(0, Math.min(219, value - k * under)) + 0.5f);
      }
    }
    for (int i = 0; i < through.length; i++) {
      int one = picture.offset(1) + i;
      int other = picture.offset(2) + i;
      float k = through[i];
      float u = (data[one] & 0xff) - GREY - k * (backing[2][i] - GREY);
      float v = (data[other] & 0xff) - GREY - k * (backing[3][i] - GREY);
      float left = hueIn(u, v, cb, cr) * spill;
      data[one] = code(u - left * cb);
      data[other] = code(v - left * cr);
    }
  }

  private static byte code(float value) {
    return (byte) Math.round(Math.max(16, Math.min(240, GREY + value)));
  }

  /** A value of the half as fine plane at a pixel; chroma is sited at the left of its pair. */
  private float between(float[] plane, int x, int y) {
    int w = width / 2;
    int h = height / 2;
    int c = x / 2;
    int next = x % 2 == 0 ? c : Math.min(w - 1, c + 1);
    int r = y / 2;
    int beside = Math.max(0, Math.min(h - 1, y % 2 == 0 ? r - 1 : r + 1));
    float near = (plane[r * w + c] + plane[r * w + next]) / 2;
    float far = (plane[beside * w + c] + plane[beside * w + next]) / 2;
    return 0.75f * near + 0.25f * far;
  }
}
