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
  private final Scaler luma;
  private final Scaler chroma;
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
    luma = scaler(seen, (int) place.width(), (int) place.height(), 1);
    chroma = scaler(seen, (int) place.width(), (int) place.height(), 2);
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
      System.arraycopy(source.data(), 0, target.data(), 0, target.data().length);
      return;
    }
    if (backdrop != null) {
      backdrop.draw(source, target);
    } else if (!whole) {
      target.black();
    }
    int x = (int) place.x();
    int y = (int) place.y();
    luma.scale(source.data(), 0, target.data(), y * width + x, width);
    for (int plane = 1; plane <= 2; plane++) {
      int at = target.offset(plane) + y / 2 * (width / 2) + x / 2;
      chroma.scale(source.data(), source.offset(plane), target.data(), at, width / 2);
    }
  }

  private Scaler scaler(Region seen, int toWidth, int toHeight, int part) {
    return new Scaler(
        new Region(seen.x() / part, seen.y() / part, seen.width() / part, seen.height() / part),
        clip.width() / part,
        clip.height() / part,
        toWidth / part,
        toHeight / part,
        part == 2);
  }

  /** The clip filling the picture, made very small and large again, and dark. */
  private final class Backdrop {
    private final Frame small;
    private final Scaler[] shrink = new Scaler[2];
    private final Scaler[] enlarge = new Scaler[2];

    Backdrop(double aspect) {
      int w = Math.max(4, width / SOFTNESS / 2 * 2);
      int h = Math.max(4, height / SOFTNESS / 2 * 2);
      small = new Frame(w, h);
      Region seen = Region.seenWhenFilling(clip, aspect);
      for (int part = 1; part <= 2; part++) {
        shrink[part - 1] = scaler(seen, w, h, part);
        enlarge[part - 1] =
            new Scaler(
                new Region(0, 0, w / part, h / part),
                w / part,
                h / part,
                width / part,
                height / part,
                part == 2);
      }
    }

    void draw(Frame source, Frame target) {
      for (int plane = 0; plane < 3; plane++) {
        int part = Math.min(plane, 1);
        shrink[part].scale(
            source.data(),
            source.offset(plane),
            small.data(),
            small.offset(plane),
            small.width() / (part + 1));
      }
      Fade.toBlack(small, SOFT_GAIN);
      for (int plane = 0; plane < 3; plane++) {
        int part = Math.min(plane, 1);
        enlarge[part].scale(
            small.data(),
            small.offset(plane),
            target.data(),
            target.offset(plane),
            width / (part + 1));
      }
    }
  }
}
