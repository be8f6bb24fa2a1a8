package app.latethistle.core.people;

import app.latethistle.core.look.Framing;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Framer;
import app.latethistle.core.picture.Rgb;
import app.latethistle.core.take.Box;
import app.latethistle.core.take.PictureShape;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Finds faces in a picture, from the front and from the side, which take up a twelfth of its longer
 * side or more. Thresholds are those that are published with the network.
 */
public final class FaceFinder {
  /** From this certainty on a face is told. */
  private static final double CERTAIN = 0.5;

  /** Boxes that share more than this of both are one face. */
  private static final double SAME = 0.4;

  /** Sides of boxes that places start from, in places: width and height in turn. */
  private static final double[] USUAL = {
    1.603231, 2.094468, 6.041143, 7.080126, 2.882459, 3.518061, 4.266906, 5.178857, 9.041765,
    10.66308
  };

  private static final int NUMBERS = 5;

  private FaceFinder() {}

  /** The faces in a picture, the most certain first. */
  public static List<SeenFace> in(Frame picture) {
    double scale = (double) FaceNet.SIDE / Math.max(picture.width(), picture.height());
    int width = side(picture.width() * scale);
    int height = side(picture.height() * scale);
    Planes answers = FaceNet.shipped().of(squared(picture, width, height));
    double across = (double) FaceNet.SIDE / width;
    double down = (double) FaceNet.SIDE / height;
    List<SeenFace> all = new ArrayList<>();
    for (SeenFace face : boxes(answers)) {
      Box box = face.place();
      Box inside =
          new Box(
              Math.max(0, box.left() * across),
              Math.max(0, box.top() * down),
              Math.min(1, box.right() * across),
              Math.min(1, box.bottom() * down));
      if (inside.left() < inside.right() && inside.top() < inside.bottom()) {
        all.add(new SeenFace(inside, face.certainty()));
      }
    }
    return apart(all);
  }

  private static int side(double length) {
    return Math.max(2, (int) Math.round(length / 2) * 2);
  }

  /** The picture at the upper left of a black square. */
  private static int[] squared(Frame picture, int width, int height) {
    Frame small = new Frame(width, height);
    PictureShape shape = PictureShape.of(picture.width(), picture.height());
    Framer.of(shape, width, height, Framing.FILL).draw(picture, small);
    int[] rgb = new int[width * height];
    Rgb.fromFrame(small, rgb);
    int[] square = new int[FaceNet.SIDE * FaceNet.SIDE];
    for (int y = 0; y < height; y++) {
      System.arraycopy(rgb, y * width, square, y * FaceNet.SIDE, width);
    }
    return square;
  }

  /** What the network answers, as boxes in parts of the square. */
  private static List<SeenFace> boxes(Planes answers) {
    List<SeenFace> all = new ArrayList<>();
    for (int i = 0; i < answers.data.length; i += NUMBERS) {
      double certainty = sigmoid(answers.data[i + 4]);
      if (certainty >= CERTAIN) {
        int place = i / answers.channels;
        int usual = i % answers.channels / NUMBERS;
        double x = place % answers.width + sigmoid(answers.data[i]);
        double y = place / answers.width + sigmoid(answers.data[i + 1]);
        double halfWidth = Math.exp(answers.data[i + 2]) * USUAL[2 * usual] / 2;
        double halfHeight = Math.exp(answers.data[i + 3]) * USUAL[2 * usual + 1] / 2;
        all.add(
            new SeenFace(
                new Box(
                    (x - halfWidth) / answers.width,
                    (y - halfHeight) / answers.height,
                    (x + halfWidth) / answers.width,
                    (y + halfHeight) / answers.height),
                certainty));
      }
    }
    return all;
  }

  private static double sigmoid(double value) {
    return 1 / (1 + Math.exp(-value));
  }

  /** The most certain of those that mean the same face. */
  private static List<SeenFace> apart(List<SeenFace> all) {
    List<SeenFace> kept = new ArrayList<>();
    all.stream()
        .sorted(Comparator.comparingDouble(SeenFace::certainty).reversed())
        .filter(face -> kept.stream().noneMatch(k -> k.place().overlap(face.place()) > SAME))
        .forEach(kept::add);
    return kept;
  }
}
