package app.latethistle.core.render;

import app.latethistle.core.look.Framing;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Framer;
import app.latethistle.core.picture.PathFramer;
import app.latethistle.core.take.PictureShape;

/**
 * Draws pictures of a take's shape as a piece of footage is framed. Not for use by two threads at
 * once.
 */
final class TakeFramer {
  private final Layer.Footage footage;
  private final Framer framer;
  private final PathFramer follower;
  private final Frame canvas;

  /**
   * @param bare whether what is laid over others brings no black bars with it
   * @param shape of the pictures
   * @param width of the film, even
   * @param height of the film, even
   */
  TakeFramer(Layer.Footage footage, boolean bare, PictureShape shape, int width, int height) {
    this.footage = footage;
    int w = width;
    int h = height;
    Framing framing = footage.framing();
    if (bare) {
      double wider = shape.aspect() * h / w;
      w = wider > 1 ? w : even((int) (w * wider));
      h = wider > 1 ? even((int) (h / wider)) : h;
      framing = Framing.FILL;
    }
    canvas = new Frame(w, h);
    if (framing.path().isPresent()) {
      follower = new PathFramer(framing.path().get(), shape, w, h);
      framer = null;
    } else {
      follower = null;
      framer = Framer.of(shape, w, h, framing);
    }
  }

  private static int even(int value) {
    return Math.max(2, value / 2 * 2);
  }

  /** Whether every frame of the footage is framed alike. */
  boolean still() {
    return follower == null;
  }

  /** A picture as frame k of the footage shows it; valid until the next call. */
  Frame draw(Frame picture, long k) {
    if (follower != null) {
      follower.draw(picture, canvas, footage.time(k));
    } else {
      framer.draw(picture, canvas);
    }
    return canvas;
  }
}
