package app.latethistle.core.picture;

import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.Window;
import app.latethistle.core.take.PictureShape;

/**
 * Draws what a camera sees that moves over a take: each frame the window of its time, placed to
 * fractions of a pixel by the filter itself, so that slow moves do not step. Scales as {@link
 * Scaler} does. Not for use by two threads at once.
 */
public final class PathFramer {
  /** A turn of less than this moves no corner by a hundredth of a pixel at 4096 pixels. */
  private static final double LEVEL = 5e-6;

  /** Pixels around what is turned that its filter reads. */
  private static final int MARGIN = 4;

  private final FramingPath path;
  private final PictureShape clip;
  private final int width;
  private final int height;
  private Window last;
  private FrameScaler scaler;

  /**
   * @param clip the shape of the frames to draw, with even sides
   * @param width the film's width, even
   * @param height the film's height, even
   */
  public PathFramer(FramingPath path, PictureShape clip, int width, int height) {
    this.path = path;
    this.clip = clip;
    this.width = width;
    this.height = height;
  }

  /**
   * Draws one frame; every pixel of the target is set.
   *
   * @param time share of the shot's time, 0 to 1
   */
  public void draw(Frame source, Frame target, double time) {
    Window window = path.at(time, clip, (double) width / height);
    if (Math.abs(window.turn()) < LEVEL) {
      level(source, target, window);
    } else {
      turned(source, target, window);
    }
  }

  private void level(Frame source, Frame target, Window window) {
    if (!window.equals(last)) {
      Region seen = region(window.x(), window.y(), window.width(), window.height());
      scaler = scaler(seen, width, height);
      last = window;
    }
    scaler.draw(source, target);
  }

  /** First as large as it will be and upright, so that means are taken there, then turned. */
  private void turned(Frame source, Frame target, Window window) {
    double scale = width / window.width();
    int across = even(window.reachAcross() * scale) + 2 * MARGIN;
    int down = even(window.reachDown() * scale) + 2 * MARGIN;
    Region seen = region(window.x(), window.y(), across / scale, down / scale);
    Frame upright = new Frame(across, down);
    scaler(seen, across, down).draw(source, upright);
    Turning.draw(upright, target, window.turn());
  }

  private static int even(double value) {
    return (int) Math.ceil(value / 2) * 2;
  }

  /** A rectangle about a middle, in the clip's own pixels. */
  private Region region(double x, double y, double across, double down) {
    double aspect = clip.pixelAspect();
    return new Region((x - across / 2) / aspect, y - down / 2, across / aspect, down);
  }

  private FrameScaler scaler(Region seen, int toWidth, int toHeight) {
    return new FrameScaler(seen, clip.width(), clip.height(), toWidth, toHeight);
  }
}
