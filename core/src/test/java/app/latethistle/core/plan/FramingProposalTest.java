package app.latethistle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.View;
import app.latethistle.core.story.CameraMove;
import app.latethistle.core.take.PictureShape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FramingProposalTest {
  private static final double FILM = 16 / 9.0;
  private static final PictureShape WIDE = PictureShape.of(1920, 1080);

  private static FramingPath path(CameraMove move, double seconds, PictureShape clip) {
    return FramingProposal.of(move, seconds, clip, FILM).orElseThrow();
  }

  @ParameterizedTest
  @CsvSource({"0.5, 1060", "2, 1060", "4, 1090", "6, 1120", "20, 1120"})
  void aPushInGainsMoreInLongerShots(double seconds, int size) {
    assertThat(path(CameraMove.PUSH_IN, seconds, WIDE).first()).isEqualTo(View.WHOLE);
    assertThat(path(CameraMove.PUSH_IN, seconds, WIDE).last().size()).isEqualTo(size);
    assertThat(path(CameraMove.PULL_OUT, seconds, WIDE).first().size()).isEqualTo(size);
    assertThat(path(CameraMove.PULL_OUT, seconds, WIDE).last()).isEqualTo(View.WHOLE);
  }

  /** A panorama of 3 to 1 has (3 - 16/9) / 3 of its width to go over, half of it to each side. */
  @Test
  void aPanGoesAsFarAsThePictureAllows() {
    FramingPath right = path(CameraMove.PAN_RIGHT, 3, PictureShape.of(3000, 1000));
    assertThat(right.first().size()).isEqualTo(1000);
    assertThat(right.first().right()).isEqualTo(-2037);
    assertThat(right.last().right()).isEqualTo(2037);
    assertThat(path(CameraMove.PAN_LEFT, 3, PictureShape.of(3000, 1000)).first().right())
        .isEqualTo(2037);
    FramingPath up = path(CameraMove.TILT_UP, 3, PictureShape.of(1000, 1000));
    assertThat(up.first().down()).isPositive();
    assertThat(up.last().down()).isEqualTo(-up.first().down());
  }

  @Test
  void aTakeOfTheFilmsShapeIsEnlargedToBePannedOver() {
    FramingPath pan = path(CameraMove.PAN_RIGHT, 3, WIDE);
    assertThat(pan.first().size()).isEqualTo(1120);
    assertThat(pan.last().right()).isEqualTo(535);
  }

  @ParameterizedTest
  @CsvSource({"STILL", "ORBIT", "FOLLOW"})
  void whatAPictureCannotDoIsNotProposed(CameraMove move) {
    assertThat(FramingProposal.of(move, 3, WIDE, FILM)).isEmpty();
  }
}
