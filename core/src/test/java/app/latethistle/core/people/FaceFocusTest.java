package app.latethistle.core.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import app.latethistle.core.measure.FocusFinder;
import app.latethistle.core.take.Box;
import java.util.List;
import org.junit.jupiter.api.Test;

class FaceFocusTest {
  private static SeenFace face(double x, double y, double side) {
    return new SeenFace(new Box(x - side / 2, y - side / 2, x + side / 2, y + side / 2), 0.8);
  }

  private static FocusFinder.Found focus(List<List<SeenFace>> pictures) {
    return FaceFocus.of(pictures).orElseThrow();
  }

  @Test
  void staysOnAFaceThatStays() {
    List<SeenFace> one = List.of(face(0.3, 0.4, 0.2));
    FocusFinder.Found found = focus(List.of(one, one, one));
    assertThat(found.places()).hasSize(1);
    assertThat(found.places().get(0).x()).isCloseTo(0.3, offset(1e-9));
    assertThat(found.places().get(0).y()).isCloseTo(0.4, offset(1e-9));
    assertThat(found.across()).isCloseTo(0.3, offset(1e-9));
  }

  @Test
  void goesWithAFaceThatGoes() {
    FocusFinder.Found found =
        focus(
            List.of(
                List.of(face(0.2, 0.5, 0.1)),
                List.of(face(0.5, 0.5, 0.1)),
                List.of(face(0.8, 0.5, 0.1))));
    assertThat(found.places()).extracting(p -> Math.round(10 * p.x())).containsExactly(2L, 5L, 8L);
  }

  @Test
  void holdsAllWhoAreAsNear() {
    List<SeenFace> two = List.of(face(0.3, 0.5, 0.2), face(0.7, 0.5, 0.15), face(0.95, 0.2, 0.04));
    FocusFinder.Found found = focus(List.of(two, two, two));
    assertThat(found.places().get(0).x()).isCloseTo((0.15 + 0.8125) / 2, offset(1e-9));
    assertThat(found.across()).isCloseTo(0.8125 - 0.15, offset(1e-9));
  }

  @Test
  void isAskedOfMostPictures() {
    List<SeenFace> one = List.of(face(0.3, 0.4, 0.2));
    assertThat(FaceFocus.of(List.of(one, List.of(), List.of()))).isEmpty();
    assertThat(FaceFocus.of(List.of(one, List.of(), one))).isPresent();
    assertThat(FaceFocus.of(List.of(List.of(), List.of(), List.of()))).isEmpty();
  }
}
