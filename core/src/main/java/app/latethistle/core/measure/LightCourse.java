package app.latethistle.core.measure;

import java.util.ArrayList;
import java.util.List;

/**
 * How the light changes through some frames of a take, whatever moves in them. Each frame is held
 * against a key frame at the same places of the scene, which follow the camera, and the median of
 * their changes counts; so light is not mistaken for a thing that comes in, as long as that is
 * smaller than what stays. When too little is seen in both, the frame before becomes the key, as in
 * Z. Farbman and D. Lischinski, "Tonal stabilization of video", ACM Trans. Graphics 30(4), 2011,
 * whose anchors are frames too.
 */
public final class LightCourse {
  private final CameraTrack camera = new CameraTrack();
  private final int width;
  private final int height;
  private final List<double[]> courses = new ArrayList<>();
  private ColourCells key;
  private double[] ofKey = new double[3];
  private ColourCells last;
  private Travel sinceKey = Travel.NONE;

  /**
   * @param width of the frames that are looked at, about 320, even
   * @param height even
   */
  public LightCourse(int width, int height) {
    this.width = width;
    this.height = height;
  }

  /**
   * Takes the next frame; limited range.
   *
   * @param luma row by row
   * @param blue Cb, half as wide and high
   * @param red Cr
   */
  public void add(byte[] luma, byte[] blue, byte[] red) {
    camera.add(Gray.of(width, height, luma));
    ColourCells now = new ColourCells(width, height, luma, blue, red);
    if (key == null) {
      key = now;
      courses.add(ofKey);
    } else {
      courses.add(course(now));
    }
    last = now;
  }

  private double[] course(ColourCells now) {
    CameraTrack.Step step = camera.steps().get(camera.steps().size() - 1);
    Travel moved = step.sure() ? step.travel() : Travel.NONE;
    sinceKey = sinceKey.then(moved);
    double[] change = now.since(key, sinceKey);
    if (change == null) {
      key = last;
      ofKey = courses.get(courses.size() - 1);
      sinceKey = moved;
      change = now.since(key, sinceKey);
    }
    if (change == null) {
      // Another picture, or too dark to tell: its light counts as the one before's.
      key = now;
      sinceKey = Travel.NONE;
      return ofKey;
    }
    return new double[] {ofKey[0] + change[0], ofKey[1] + change[1], ofKey[2] + change[2]};
  }

  /** The light of each frame against the middle of all. */
  public List<Light> lights() {
    double[] middle = new double[3];
    for (int c = 0; c < 3; c++) {
      int channel = c;
      double[] sorted = courses.stream().mapToDouble(course -> course[channel]).sorted().toArray();
      middle[c] = sorted.length == 0 ? 0 : sorted[sorted.length / 2];
    }
    return courses.stream()
        .map(
            course ->
                Light.of(
                    Math.exp(course[0] - middle[0]),
                    Math.exp(course[1] - middle[1]),
                    Math.exp(course[2] - middle[2])))
        .toList();
  }
}
