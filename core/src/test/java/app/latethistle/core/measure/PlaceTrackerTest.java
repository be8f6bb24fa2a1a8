package app.latethistle.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.time.FrameRange;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Patterned discs that go over a patterned ground, whose middles are known between pixels. */
class PlaceTrackerTest {
  private static final int FRAMES = 73;
  private static final int MARKED = 24;
  private static final int WIDTH = Scene.WIDTH;
  private static final int HEIGHT = Scene.HEIGHT;
  private static final FrameRange ALL = new FrameRange(0, FRAMES);
  private static final byte[] COVER = new Scene(7).seen(Travel.NONE);

  /** A disc that sways to the right, grows and turns, over a ground that pans to the left. */
  private static final class Going implements PlaceTracker.Pictures {
    private final Scene thing;
    private final Scene ground;
    private final Random noise;
    private final double reach;
    private FrameRange covered = new FrameRange(0, 0);

    Going(long seed) {
      thing = new Scene(seed);
      ground = new Scene(seed + 1000);
      noise = new Random(seed);
      reach = 22 + noise.nextInt(8);
    }

    Travel at(long frame) {
      double t = frame / (FRAMES - 1.0);
      return new Travel(
          -0.25 + 0.5 * t, 0.08 * Math.sin(6 * t), 0.9 + 0.35 * t, 14 * Math.sin(3 * t));
    }

    double x(long frame) {
      return 0.5 + at(frame).right();
    }

    double y(long frame) {
      return 0.5 + at(frame).down() * WIDTH / HEIGHT;
    }

    @Override
    public byte[] luma(long frame) {
      Travel at = at(frame);
      byte[] over = thing.seen(at);
      byte[] picture = ground.seen(new Travel(-0.002 * (double) frame, 0, 1, 0));
      double across = x(frame) * WIDTH;
      double down = y(frame) * HEIGHT;
      for (int i = 0; i < picture.length; i++) {
        double far = Math.hypot(i % WIDTH + 0.5 - across, i / WIDTH + 0.5 - down);
        double share = Math.max(0, Math.min(1, reach * at.zoom() - far + 0.5));
        int value = (int) Math.round((over[i] & 0xff) * share + (picture[i] & 0xff) * (1 - share));
        if (covered.contains(frame) && far < 2 * reach) {
          value = COVER[i] & 0xff;
        }
        picture[i] =
            (byte) Math.max(0, Math.min(255, Math.round(value + 2 * noise.nextGaussian())));
      }
      return picture;
    }

    Trail followed() throws IOException {
      return new PlaceTracker(this, WIDTH, HEIGHT).follow(MARKED, x(MARKED), y(MARKED), ALL);
    }

    /** How far the trail is from where the disc's middle is, in pixels. */
    double off(Trail trail, long frame) {
      Trail.Place place = trail.at((double) frame);
      return Math.hypot((place.x() - x(frame)) * WIDTH, (place.y() - y(frame)) * HEIGHT);
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void aThingIsFollowedBothWaysBetweenPixels(long seed) throws IOException {
    Going going = new Going(seed);
    Trail trail = going.followed();
    assertThat(trail.from()).isZero();
    assertThat(trail.end()).isEqualTo(FRAMES);
    List<Double> off = new ArrayList<>();
    for (long k = 0; k < FRAMES; k++) {
      off.add(going.off(trail, k));
    }
    assertThat(off).as("pixels of %d", WIDTH).allSatisfy(o -> assertThat(o).isLessThan(1.2));
    assertThat(off.stream().mapToDouble(o -> o).average().orElseThrow()).isLessThan(0.5);
  }

  @ParameterizedTest
  @ValueSource(longs = {11})
  void whatIsHiddenForAMomentIsFoundAgain(long seed) throws IOException {
    Going going = new Going(seed);
    going.covered = new FrameRange(40, 48);
    Trail trail = going.followed();
    assertThat(trail.end()).isEqualTo(FRAMES);
    assertThat(going.off(trail, 39)).isLessThan(1.5);
    assertThat(going.off(trail, 44)).as("straight on").isLessThan(4);
    assertThat(going.off(trail, FRAMES - 1)).isLessThan(2);
  }

  @ParameterizedTest
  @ValueSource(longs = {21})
  void whatIsGoneIsGivenUpWhereItWasSeenLast(long seed) throws IOException {
    Going going = new Going(seed);
    going.covered = new FrameRange(50, FRAMES);
    Trail trail = going.followed();
    assertThat(trail.end()).isBetween(48L, 51L);
    assertThat(trail.at(FRAMES).x()).isCloseTo(going.x(49), within(0.01));
  }

  @Test
  void aPlaceWithoutDetailIsNotFollowed() throws IOException {
    Trail trail = new PlaceTracker(k -> Scene.plain(90), WIDTH, HEIGHT).follow(10, 0.5, 0.5, ALL);
    assertThat(trail).isEqualTo(new Trail(10, List.of(Trail.Spot.of(0.5, 0.5))));
  }

  /** What lies off by chance weighs nothing, and a bend stays a bend. */
  @Test
  void aWayIsSmoothedAndKeepsItsBends() {
    double[] way = new double[60];
    double[] seen = new double[60];
    Random random = new Random(5);
    for (int i = 0; i < way.length; i++) {
      way[i] = 100 * Math.sin(i / 9.0);
      seen[i] = way[i] + 0.3 * random.nextGaussian() + (i % 23 == 7 ? 40 : 0);
    }
    double[] smooth = Loess.of(seen);
    for (int i = 0; i < way.length; i++) {
      assertThat(smooth[i]).as("value %d", i).isCloseTo(way[i], within(0.8));
    }
    assertThat(Loess.of(new double[] {3, 9})).containsExactly(3, 9);
  }

  @Test
  void aTrailGoesStraightBetweenItsSpotsAndStaysAtItsEnds() {
    Trail trail = new Trail(5, List.of(Trail.Spot.of(0.1, 0.5), Trail.Spot.of(0.3, 0.4)));
    assertThat(trail.at(5.5)).isEqualTo(new Trail.Place(0.2, 0.45));
    assertThat(trail.at(0)).isEqualTo(trail.at(5));
    assertThat(trail.at(99).x()).isEqualTo(0.3);
    assertThatThrownBy(() -> new Trail(0, List.of())).hasMessageContaining("1 to 2400 frames");
    assertThatThrownBy(() -> Trail.Spot.of(3, 0)).hasMessageContaining("in the picture or near");
  }
}
