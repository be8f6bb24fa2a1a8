package app.latethistle.core.picture;

import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Framing;
import app.latethistle.core.take.PictureShape;

/**
 * Draws frames of one shape into a picture of another, by a framing. Keeps its filters and working
 * lines, so make one and use it for a whole shot; not for use by two threads at once.
 */
public final class Framer {
  /** How much smaller than the film the soft backdrop is worked out, and how bright it is. */
  private static final int SOFTNESS = 40;

  private static final double SOFT_GAIN = 0.45;

  private final PictureShape clip;
  private final int width;
  private final int height;
  private final Region place;
  private final FrameScaler scaler;
  private final Backdrop backdrop;
  private final boolean whole;
  private final boolean same;

  private Framer(PictureShape clip, int width, int height, Framing framing) {
    this.clip = clip;
    Fit fit = framing.fit();
    this.width = width;
    this.height = height;
    double aspect = (double) width / height;
    place = Region.place(clip, width, height, framing);
    Region seen =
        fit == Fit.FILL
            ? Region.seenWhenFilling(clip, aspect)
            : new Region(0, 0, clip.width(), clip.height());
    whole = place.width() == width && place.height() == height;
    same =
        whole
            && clip.width() == width
            && clip.height() == height
            && seen.width() == width
            && seen.height() == height;
    scaler =
        new FrameScaler(
            seen, clip.width(), clip.height(), (int) place.width(), (int) place.height());
    backdrop = fit == Fit.SOFT && !whole ? new Backdrop(aspect) : null;
  }

  /**
   * A framer.
   *
   * @param clip the shape of the frames to draw, with even sides
   * @param width the film's width, even
   * @param height the film's height, even
   */
  public static Framer of(PictureShape clip, int width, int height, Framing framing) {
    return new Framer(clip, width, height, framing);
  }

  /** Draws one frame; every pixel of the target is set. */
  public void draw(Frame source, Frame target) {
    if (same) {
      target.copy(source);
      return;
    }
    if (backdrop != null) {
      backdrop.draw(source, target);
    } else if (!whole) {
      target.black();
    }
    scaler.draw(source, target, (int) place.x(), (int) place.y());
  }

  /** The clip filling the picture, made very small and large again, and dark. */
  private final class Backdrop {
    private final Frame small;
    private final FrameScaler shrink;
    private final FrameScaler enlarge;

    Backdrop(double aspect) {
      int w = Math.max(4, width / SOFTNESS / 2 * 2);
      int h = Math.max(4, height / SOFTNESS / 2 * 2);
      small = new Frame(w, h);
      Region seen = Region.seenWhenFilling(clip, aspect);
      shrink = new FrameScaler(seen, clip.width(), clip.height(), w, h);
      enlarge = new FrameScaler(new Region(0, 0, w, h), w, h, width, height);
    }

    void draw(Frame source, Frame target) {
      shrink.draw(source, small);
      Fade.toBlack(small, SOFT_GAIN);
      enlarge.draw(small, target);
    }
  }
}
