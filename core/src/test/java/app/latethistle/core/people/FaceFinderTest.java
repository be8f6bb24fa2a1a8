package app.latethistle.core.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.take.Box;
import java.awt.Color;
import java.awt.geom.Point2D;
import java.io.File;
import java.io.IOException;
import java.util.List;
import java.util.Random;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Faces in painted pictures and in a photograph. */
class FaceFinderTest {
  private static final Color LIGHT = new Color(0xe0b08c);
  private static final Color BROWN = new Color(0xb5825c);

  private static Box round(Point2D at, double r, Frame frame) {
    return new Box(
        (at.getX() - r) / frame.width(),
        (at.getY() - r) / frame.height(),
        (at.getX() + r) / frame.width(),
        (at.getY() + r) / frame.height());
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void findsEachOfTwoFaces(long seed) {
    Random random = new Random(seed);
    Point2D left = new Point2D.Double(110 + random.nextInt(120), 130 + random.nextInt(120));
    Point2D right = new Point2D.Double(420 + random.nextInt(120), 130 + random.nextInt(120));
    double r = 60 + random.nextInt(30);
    Frame frame = new PaintedFaces(640, 360).face(left, r, LIGHT).face(right, r, BROWN).frame();
    List<SeenFace> found = FaceFinder.in(frame);
    assertThat(found).hasSize(2);
    for (Point2D at : List.of(left, right)) {
      assertThat(found)
          .anySatisfy(
              face -> assertThat(face.place().overlap(round(at, r, frame))).isGreaterThan(0.5));
    }
  }

  @Test
  void findsOneInAnUprightPicture() {
    Point2D at = new Point2D.Double(180, 400);
    Frame frame = new PaintedFaces(360, 640).face(at, 80, LIGHT).frame();
    assertThat(FaceFinder.in(frame))
        .singleElement()
        .satisfies(
            face -> assertThat(face.place().overlap(round(at, 80, frame))).isGreaterThan(0.5));
  }

  @Test
  void tellsAFaceAtTheEdgeWithinThePicture() {
    Frame frame = new PaintedFaces(640, 360).face(new Point2D.Double(600, 180), 90, LIGHT).frame();
    assertThat(FaceFinder.in(frame))
        .singleElement()
        .satisfies(face -> assertThat(face.place().right()).isEqualTo(1));
  }

  @Test
  void findsNoneInAWall() {
    assertThat(FaceFinder.in(new PaintedFaces(640, 360).frame())).isEmpty();
  }

  /**
   * Where OpenCV 4.6 finds it in the same photograph: {@code
   * CascadeClassifier("haarcascade_frontalface_alt2.xml").detectMultiScale(grey, 1.1, 6)} says x
   * 175, y 65, 99 by 99 of 512 by 512.
   */
  @Test
  void findsTheFaceOfAPhotographWhereOpenCvDoes() throws IOException {
    File photograph = new File("/usr/lib/python3/dist-packages/skimage/data/astronaut.png");
    assumeTrue(photograph.exists(), "Debian's python3-skimage is not here");
    Frame frame = PaintedFaces.frameOf(ImageIO.read(photograph));
    Box opencv = new Box(175 / 512.0, 65 / 512.0, 274 / 512.0, 164 / 512.0);
    assertThat(FaceFinder.in(frame))
        .singleElement()
        .satisfies(face -> assertThat(face.place().overlap(opencv)).isGreaterThan(0.5));
  }
}
