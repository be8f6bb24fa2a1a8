package app.latethistle.standins.services;

import app.latethistle.core.story.CameraMove;
import app.latethistle.core.story.ServiceProfile;
import java.awt.image.BufferedImage;
import java.util.Optional;

/**
 * What a service is asked for.
 *
 * @param prompt what to paint
 * @param seed the same seed and prompt give the same file
 * @param shape of the picture, such as "16:9"
 * @param seconds of a clip
 * @param move asked for; the service may do another
 * @param strength of the move, 1 to 3
 * @param picture to start from, if any
 * @param pictures how many are wanted of a service that makes stills
 * @param times how much larger than the service's own size, 1 to 4
 * @param firstSeconds of the clip that this one goes on from, or 0
 */
public record Order(
    ServiceProfile service,
    String prompt,
    long seed,
    String shape,
    double seconds,
    CameraMove move,
    int strength,
    Optional<BufferedImage> picture,
    int pictures,
    int times,
    double firstSeconds) {

  /** The width of what comes back, in pixels. */
  public int width() {
    return side(true);
  }

  /** The height of what comes back, in pixels. */
  public int height() {
    return side(false);
  }

  private int side(boolean across) {
    double aspect = ServiceProfile.aspect(shape);
    double shorter = (double) service.height() * times;
    double side = across ? shorter * Math.max(1, aspect) : shorter * Math.max(1, 1 / aspect);
    return (int) Math.round(side / 2) * 2;
  }
}
