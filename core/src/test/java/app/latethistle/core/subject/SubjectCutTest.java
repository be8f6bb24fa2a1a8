package app.latethistle.core.subject;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.grade.ColourPicture;
import app.latethistle.core.look.Mask.Spot;
import app.latethistle.core.picture.Frame;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class SubjectCutTest {
  private static List<byte[]> cut(WalkingScene scene, Guide... guides) throws IOException {
    List<byte[]> found = new ArrayList<>();
    SubjectCut.cut(
        scene, List.of(guides), (n, opacity) -> found.add(opacity.data().clone()), s -> {});
    return found;
  }

  /** Figures whose outlines are known: 0.90 of both where marked, 0.80 three seconds later. */
  @Test
  void aFigureIsFollowedForThreeSeconds() throws IOException {
    WalkingScene scene = new WalkingScene(3, 73);
    List<byte[]> found = cut(scene, new Guide(0, scene.roughly(0)));
    assertThat(found).hasSize(73);
    assertThat(SubjectBench.overlap(found.get(0), scene.truth(0))).isGreaterThan(0.9);
    assertThat(SubjectBench.overlap(found.get(72), scene.truth(72))).isGreaterThan(0.8);
  }

  @Test
  void itIsFollowedBackFromALaterPictureToo() throws IOException {
    WalkingScene scene = new WalkingScene(6, 7);
    List<byte[]> found = cut(scene, new Guide(6, scene.roughly(6)));
    assertThat(found).hasSize(7);
    assertThat(SubjectBench.overlap(found.get(0), scene.truth(0))).isGreaterThan(0.9);
  }

  /** The demo's figure of seed 2 stands before a post of its own colour, which is taken for it. */
  @Test
  void aStrokeOnALaterPictureCorrectsThatAndTowardsThoseBefore() throws IOException {
    WalkingScene scene = new WalkingScene(2, 10);
    Guide first = new Guide(0, scene.roughly(0));
    List<byte[]> before = cut(scene, first);
    double[] post = differing(scene, before.get(9), 9);
    Spot spot =
        new Spot(
            (int) (1000 * post[0] / WalkingScene.WIDE), (int) (1000 * post[1] / WalkingScene.HIGH));

    List<byte[]> after = cut(scene, first, new Guide(9, List.of(Stroke.out(spot))));

    assertThat(SubjectBench.overlap(after.get(9), scene.truth(9)))
        .isGreaterThan(SubjectBench.overlap(before.get(9), scene.truth(9)) + 0.01);
    assertThat(SubjectBench.overlap(after.get(7), scene.truth(7)))
        .isGreaterThan(SubjectBench.overlap(before.get(7), scene.truth(7)));
    assertThat(after.get(0)).isEqualTo(before.get(0));
  }

  /** The middle of what is wrongly taken for the subject: its pixel farthest from all others. */
  private static double[] differing(WalkingScene scene, byte[] found, int number) {
    double[] truth = scene.truth(number);
    Silhouette wrong =
        Silhouette.of(
            WalkingScene.WIDE,
            WalkingScene.HIGH,
            i -> SubjectBench.opacity(found, i) > 0.5 && truth[i] < 0.5);
    float[] depth = wrong.depth();
    int deepest = 0;
    for (int i = 0; i < depth.length; i++) {
      deepest = depth[i] > depth[deepest] ? i : deepest;
    }
    return new double[] {deepest % WalkingScene.WIDE + 0.5, deepest / WalkingScene.WIDE + 0.5};
  }

  /** The soft edge is nearer to the truth than the small outline made large. */
  @Test
  void itsEdgeIsSoftAsInThePicture() {
    WalkingScene scene = new WalkingScene(9, 1);
    Frame frame = scene.frame(0);
    ColourPicture small = ColourPicture.of(frame).atMost(SubjectCut.SMALL);
    Silhouette found = FirstOutline.of(small, new Guide(0, scene.roughly(0)));
    byte[] soft = new SoftEdge(WalkingScene.WIDE, WalkingScene.HIGH).of(frame, found).data();
    double[] truth = scene.truth(0);
    double ofSoft = 0;
    double ofHard = 0;
    for (int i = 0; i < truth.length; i++) {
      int x = i % WalkingScene.WIDE * found.width() / WalkingScene.WIDE;
      int y = i / WalkingScene.WIDE * found.height() / WalkingScene.HIGH;
      ofSoft += Math.abs(SubjectBench.opacity(soft, i) - truth[i]);
      ofHard += Math.abs((found.has(y * found.width() + x) ? 1 : 0) - truth[i]);
    }
    assertThat(ofSoft).isLessThan(0.7 * ofHard);
    assertThat(soft[0]).isEqualTo((byte) 16);
  }

  @Test
  void progressGoesFromNothingToAll() throws IOException {
    WalkingScene scene = new WalkingScene(1, 4);
    List<Double> told = new ArrayList<>();
    SubjectCut.cut(scene, List.of(new Guide(1, scene.roughly(1))), (n, opacity) -> {}, told::add);
    assertThat(told).isSorted().first().isEqualTo(0.0);
    assertThat(told.get(told.size() - 1)).isEqualTo(1, within(1e-9));
  }

  @Test
  void whatCannotBeDoneIsSaid() {
    WalkingScene scene = new WalkingScene(1, 3);
    Stroke beside = Stroke.out(new Spot(10, 10));
    assertThatThrownBy(() -> cut(scene, new Guide(0, List.of(beside))))
        .hasMessageContaining("stroke over it, on picture 1");
    assertThatThrownBy(() -> cut(scene, new Guide(3, scene.roughly(0))))
        .hasMessage("There is no picture 4 in it; it has 3 frames.");
    assertThatThrownBy(() -> new Guide(0, List.of())).hasMessageContaining("1 to 100 strokes");
    assertThatThrownBy(() -> new Guide(-1, List.of(beside))).hasMessageContaining("-1");
    assertThatThrownBy(() -> new Stroke(Stroke.Kind.AROUND, List.of(new Spot(1, 1))))
        .hasMessageContaining("two corners");
    assertThatThrownBy(() -> new Stroke(Stroke.Kind.IN, List.of()))
        .hasMessageContaining("1 to 500 points");
  }
}
