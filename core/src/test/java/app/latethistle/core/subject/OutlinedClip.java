package app.latethistle.core.subject;

import app.latethistle.core.look.Mask.Spot;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.repair.Clip;
import java.awt.Polygon;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.zip.GZIPInputStream;

/**
 * Three seconds of a clip of Debian's opencv-doc, hand-held or with things moved by hand, with the
 * outline of what is shown drawn by hand on the first picture and on the last.
 */
record OutlinedClip(
    String name, String file, int from, List<Integer> first, List<Integer> last, Stroke through)
    implements Clip {
  private static final int WIDE = 640;
  private static final int HIGH = 480;
  private static final int FRAMES = 73;
  private static final String FOLDER = "/usr/share/doc/opencv-doc/opencv4/html/";

  static List<OutlinedClip> all() {
    return List.of(
        new OutlinedClip(
            "a box of biscuits that is turned",
            "box.mp4.gz",
            /* from= */ 1,
            List.of(299, 101, 374, 18, 591, 67, 556, 190, 540, 238, 299, 161),
            List.of(183, 104, 307, 28, 537, 91, 530, 138, 447, 275, 197, 181, 186, 125),
            Stroke.in(new Spot(510, 260), new Spot(680, 140), new Spot(820, 400))),
        new OutlinedClip(
            "the same box, turned back",
            "box.mp4.gz",
            /* from= */ 6,
            List.of(128, 138, 222, 57, 478, 78, 473, 150, 403, 276, 146, 206),
            List.of(197, 192, 294, 114, 515, 168, 509, 225, 461, 356, 201, 270),
            Stroke.in(new Spot(312, 312), new Spot(656, 250), new Spot(625, 460))),
        new OutlinedClip(
            "a cup and the hand that turns it",
            "cup.mp4.gz",
            /* from= */ 1,
            List.of(
                313, 126, 361, 119, 424, 124, 423, 157, 419, 160, 418, 176, 460, 171, 501, 186, 550,
                197, 602, 197, 640, 187, 640, 284, 602, 284, 550, 293, 511, 288, 465, 280, 420, 296,
                419, 377, 410, 387, 374, 390, 335, 379, 329, 335, 320, 160, 314, 160),
            List.of(
                358, 95, 368, 83, 393, 90, 428, 110, 457, 138, 438, 170, 459, 180, 499, 198, 539,
                214, 580, 216, 640, 206, 640, 324, 570, 323, 509, 319, 469, 308, 438, 296, 403, 288,
                358, 286, 338, 311, 307, 349, 267, 330, 242, 304, 272, 251, 353, 123, 348, 115),
            Stroke.in(
                new Spot(570, 290), new Spot(580, 700), new Spot(640, 500), new Spot(980, 500))));
  }

  /** Its overlaps, by a box about the outline and a stroke through it. */
  SubjectBench.Found found() throws IOException {
    Polygon outline = polygon(first);
    Spot one = spot(outline.getBounds().getMinX() - 6, outline.getBounds().getMinY() - 6);
    Spot other = spot(outline.getBounds().getMaxX() + 6, outline.getBounds().getMaxY() + 6);
    List<Double> overlaps = new ArrayList<>();
    Map<Integer, List<Integer>> outlines = Map.of(0, first, FRAMES - 1, last);
    SubjectCut.cut(
        this,
        List.of(new Guide(0, List.of(Stroke.around(one, other), through))),
        (number, opacity) -> {
          if (outlines.containsKey(number)) {
            overlaps.add(
                SubjectBench.overlap(opacity.data(), inside(polygon(outlines.get(number)))));
          }
        },
        share -> {});
    return new SubjectBench.Found(overlaps.get(0), overlaps.get(1), Double.NaN);
  }

  private static Spot spot(double x, double y) {
    return new Spot(
        (int) (1000 * Math.max(0, Math.min(WIDE, x)) / WIDE),
        (int) (1000 * Math.max(0, Math.min(HIGH, y)) / HIGH));
  }

  private static Polygon polygon(List<Integer> points) {
    Polygon polygon = new Polygon();
    for (int i = 0; i < points.size(); i += 2) {
      polygon.addPoint(points.get(i), points.get(i + 1));
    }
    return polygon;
  }

  private static double[] inside(Polygon polygon) {
    double[] inside = new double[WIDE * HIGH];
    for (int i = 0; i < inside.length; i++) {
      inside[i] = polygon.contains(i % WIDE + 0.5, i / WIDE + 0.5) ? 1 : 0;
    }
    return inside;
  }

  @Override
  public int width() {
    return WIDE;
  }

  @Override
  public int height() {
    return HIGH;
  }

  @Override
  public void each(Taker taker) throws IOException {
    Path unpacked = Files.createTempFile("outlined", ".mp4");
    try (InputStream packed = new GZIPInputStream(Files.newInputStream(Path.of(FOLDER + file)))) {
      Files.copy(packed, unpacked, StandardCopyOption.REPLACE_EXISTING);
    }
    String read = "ffmpeg -v quiet -ss %d -i %s -an -r 24 -frames:v %d -f rawvideo pipe:1";
    Process process = new ProcessBuilder(read.formatted(from, unpacked, FRAMES).split(" ")).start();
    try (InputStream in = process.getInputStream()) {
      for (int i = 0; i < FRAMES; i++) {
        byte[] data = in.readNBytes(Frame.size(WIDE, HIGH));
        if (data.length < Frame.size(WIDE, HIGH)) {
          throw new IOException(FOLDER + file + " gave " + i + " pictures.");
        }
        taker.take(i, new Frame(WIDE, HIGH, data));
      }
    } finally {
      Files.delete(unpacked);
    }
  }
}
