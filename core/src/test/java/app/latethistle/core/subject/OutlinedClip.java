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
 * Three seconds of a clip of Debian's opencv-doc or python3-imageio, hand-held or with things that
 * move, 640 wide, with the outline of what is shown drawn by hand on the first picture and on the
 * last.
 */
record OutlinedClip(
    String name,
    String file,
    int height,
    int from,
    List<Integer> first,
    List<Integer> last,
    List<Stroke> strokes)
    implements Clip {
  private static final int WIDE = 640;
  private static final int FRAMES = 73;
  private static final String OPENCV = "/usr/share/doc/opencv-doc/opencv4/html/";
  private static final String BOX = OPENCV + "box.mp4.gz";
  private static final String CUP = OPENCV + "cup.mp4.gz";
  private static final String BIRD =
      "/usr/lib/python3/dist-packages/imageio/resources/images/cockatoo.mp4";

  static List<OutlinedClip> all() {
    return List.of(
        new OutlinedClip(
            "a box of biscuits that is turned",
            BOX,
            /* height= */ 480,
            /* from= */ 1,
            List.of(299, 101, 374, 18, 591, 67, 556, 190, 540, 238, 299, 161),
            List.of(183, 104, 307, 28, 537, 91, 530, 138, 447, 275, 197, 181, 186, 125),
            List.of(Stroke.in(new Spot(510, 260), new Spot(680, 140), new Spot(820, 400)))),
        new OutlinedClip(
            "the same box, turned back",
            BOX,
            /* height= */ 480,
            /* from= */ 6,
            List.of(128, 138, 222, 57, 478, 78, 473, 150, 403, 276, 146, 206),
            List.of(197, 192, 294, 114, 515, 168, 509, 225, 461, 356, 201, 270),
            List.of(Stroke.in(new Spot(312, 312), new Spot(656, 250), new Spot(625, 460)))),
        new OutlinedClip(
            "a cup and the hand that turns it",
            CUP,
            /* height= */ 480,
            /* from= */ 1,
            List.of(
                313, 126, 361, 119, 424, 124, 423, 157, 419, 160, 418, 176, 460, 171, 501, 186, 550,
                197, 602, 197, 640, 187, 640, 284, 602, 284, 550, 293, 511, 288, 465, 280, 420, 296,
                419, 377, 410, 387, 374, 390, 335, 379, 329, 335, 320, 160, 314, 160),
            List.of(
                358, 95, 368, 83, 393, 90, 428, 110, 457, 138, 438, 170, 459, 180, 499, 198, 539,
                214, 580, 216, 640, 206, 640, 324, 570, 323, 509, 319, 469, 308, 438, 296, 403, 288,
                358, 286, 338, 311, 307, 349, 267, 330, 242, 304, 272, 251, 353, 123, 348, 115),
            List.of(
                Stroke.in(
                    new Spot(570, 290),
                    new Spot(580, 700),
                    new Spot(640, 500),
                    new Spot(980, 500)))),
        new OutlinedClip(
            "a cockatoo that walks away and turns",
            BIRD,
            /* height= */ 360,
            /* from= */ 10,
            List.of(
                128, 360, 130, 335, 148, 318, 150, 300, 146, 270, 142, 240, 155, 220, 158, 190, 163,
                160, 168, 135, 180, 118, 189, 92, 205, 80, 232, 66, 245, 45, 270, 33, 290, 15, 311,
                0, 431, 0, 448, 18, 458, 40, 462, 72, 460, 95, 455, 115, 443, 138, 440, 150, 445,
                185, 446, 235, 438, 270, 440, 290, 444, 315, 465, 335, 475, 360),
            List.of(
                170, 360, 172, 342, 190, 315, 207, 300, 228, 282, 245, 262, 275, 253, 303, 247, 305,
                238, 287, 236, 300, 222, 318, 215, 322, 192, 330, 168, 342, 148, 355, 118, 375, 97,
                400, 81, 440, 76, 462, 64, 482, 61, 510, 67, 535, 80, 555, 100, 560, 120, 560, 145,
                550, 163, 543, 167, 553, 185, 556, 205, 550, 230, 538, 248, 525, 254, 498, 255, 497,
                265, 490, 282, 478, 290, 462, 303, 456, 310, 462, 340, 465, 360),
            List.of(
                Stroke.in(
                    new Spot(580, 140), new Spot(420, 400), new Spot(600, 600), new Spot(450, 900)),
                Stroke.out(new Spot(400, 20), new Spot(450, 30)))));
  }

  /** Its overlaps, by a box about the outline and its strokes. */
  SubjectBench.Found found() throws IOException {
    Polygon outline = polygon(first);
    Spot one = spot(outline.getBounds().getMinX() - 6, outline.getBounds().getMinY() - 6);
    Spot other = spot(outline.getBounds().getMaxX() + 6, outline.getBounds().getMaxY() + 6);
    List<Double> overlaps = new ArrayList<>();
    Map<Integer, List<Integer>> outlines = Map.of(0, first, FRAMES - 1, last);
    List<Stroke> drawn = new ArrayList<>(strokes);
    drawn.add(0, Stroke.around(one, other));
    SubjectCut.cut(
        this,
        List.of(new Guide(0, drawn)),
        (number, opacity) -> {
          if (outlines.containsKey(number)) {
            overlaps.add(
                SubjectBench.overlap(opacity.data(), inside(polygon(outlines.get(number)))));
          }
        },
        share -> {});
    return new SubjectBench.Found(overlaps.get(0), overlaps.get(1), Double.NaN);
  }

  private Spot spot(double x, double y) {
    return new Spot(
        (int) (1000 * Math.max(0, Math.min(WIDE, x)) / WIDE),
        (int) (1000 * Math.max(0, Math.min(height, y)) / height));
  }

  private static Polygon polygon(List<Integer> points) {
    Polygon polygon = new Polygon();
    for (int i = 0; i < points.size(); i += 2) {
      polygon.addPoint(points.get(i), points.get(i + 1));
    }
    return polygon;
  }

  private double[] inside(Polygon polygon) {
    double[] inside = new double[WIDE * height];
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
  public void each(Taker taker) throws IOException {
    Path unpacked = Files.createTempFile("outlined", ".mp4");
    try (InputStream in = opened()) {
      Files.copy(in, unpacked, StandardCopyOption.REPLACE_EXISTING);
    }
    // It is read from its beginning: the bird's file cannot be entered in the middle.
    String read =
        "ffmpeg -v quiet -i %s -ss %d -an -r 24 -frames:v %d -s %dx%d -pix_fmt yuv420p"
            + " -f rawvideo pipe:1";
    Process process =
        new ProcessBuilder(read.formatted(unpacked, from, FRAMES, WIDE, height).split(" ")).start();
    try (InputStream in = process.getInputStream()) {
      for (int i = 0; i < FRAMES; i++) {
        byte[] data = in.readNBytes(Frame.size(WIDE, height));
        if (data.length < Frame.size(WIDE, height)) {
          throw new IOException(file + " gave " + i + " pictures.");
        }
        taker.take(i, new Frame(WIDE, height, data));
      }
    } finally {
      Files.delete(unpacked);
    }
  }

  private InputStream opened() throws IOException {
    InputStream stored = Files.newInputStream(Path.of(file));
    return file.endsWith(".gz") ? new GZIPInputStream(stored) : stored;
  }
}
