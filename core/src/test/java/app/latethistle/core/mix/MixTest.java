package app.latethistle.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.film.Run;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.sound.Equaliser;
import app.latethistle.core.sound.Room;
import app.latethistle.core.time.SampleRange;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What a mix's keys tell apart: all that can be heard of a range, and nothing else. */
class MixTest {
  private static final SampleRange HEARD = new SampleRange(48_000, 60_000);

  private static final Part SONG =
      new Part(Bus.MUSIC, "song", new SampleRange(0, 96_000), new Course.Straight(500), -3);
  private static final Run RUN = new Run(Run.Way.FORWARD, 50, 100, Run.Between.NEAREST);
  private static final Part CLIP =
      new Part(
          Bus.CLIPS,
          "clip",
          new SampleRange(50_000, 70_000),
          new Course.Running(RUN, 100, 40_000, 0, 20_000),
          0);
  private static final Part LINE =
      new Part(
          Bus.VOICE,
          "line",
          new SampleRange(52_000, 58_000),
          new Course.Tightened(List.of(new SampleRange(10, 20))),
          2);
  private static final Mix MIX = new Mix(List.of(SONG, CLIP, LINE), 96_000, 12_000);

  private static Mix with(Part old, UnaryOperator<Part> change) {
    List<Part> parts = new ArrayList<>(MIX.parts());
    parts.replaceAll(p -> p.equals(old) ? change.apply(p) : p);
    return new Mix(parts, MIX.length(), MIX.fade());
  }

  private static Mix.Faders faders(LevelLine music, LevelLine lid) {
    return new Mix.Faders(Map.of(Bus.MUSIC, music), lid, false);
  }

  private static Part running(Course course) {
    return new Part(CLIP.bus(), CLIP.media(), CLIP.at(), course, CLIP.gain());
  }

  private static Mix course(Course course) {
    return with(CLIP, p -> running(course));
  }

  static Map<String, Mix> otherMixes() {
    Map<String, Mix> other = new LinkedHashMap<>();
    other.put("gain", with(SONG, p -> new Part(p.bus(), p.media(), p.at(), p.course(), -3.5)));
    other.put(
        "crossing",
        with(
            CLIP,
            p ->
                new Part(
                    p.bus(),
                    p.media(),
                    p.at(),
                    p.course(),
                    p.gain(),
                    Edges.crossing(5_000, 0),
                    Effect.none())));
    other.put(
        "room",
        with(
            CLIP,
            p ->
                new Part(
                    p.bus(),
                    p.media(),
                    p.at(),
                    p.course(),
                    p.gain(),
                    p.edges(),
                    new Effect.Placed(0, 0, Room.HALL, Equaliser.NONE))));
    other.put("another level", MIX.with(faders(LevelLine.level(-1), LevelLine.FLAT)));
    other.put(
        "a line that slopes there",
        MIX.with(
            faders(
                new LevelLine(List.of(new LevelLine.Point(0, 0), new LevelLine.Point(90_000, -20))),
                LevelLine.FLAT)));
    other.put(
        "music lowered there",
        MIX.with(
            faders(
                LevelLine.FLAT,
                new LevelLine(
                    List.of(
                        new LevelLine.Point(50_000, 0),
                        new LevelLine.Point(51_000, -9),
                        new LevelLine.Point(58_000, -9),
                        new LevelLine.Point(59_000, 0))))));
    other.put("file", with(SONG, p -> new Part(p.bus(), "other", p.at(), p.course(), -3)));
    other.put("bus", with(CLIP, p -> new Part(Bus.SOUNDS, p.media(), p.at(), p.course(), 0)));
    other.put(
        "in", with(SONG, p -> new Part(p.bus(), p.media(), p.at(), new Course.Straight(501), -3)));
    other.put(
        "later",
        with(CLIP, p -> new Part(p.bus(), p.media(), p.at().shift(1), p.course(), p.gain())));
    other.put(
        "begins before, sounds later",
        with(SONG, p -> new Part(p.bus(), p.media(), p.at().shift(-1), p.course(), p.gain())));
    other.put("clip's in", course(new Course.Running(RUN, 101, 40_000, 0, 20_000)));
    other.put("material", course(new Course.Running(RUN, 100, 41_000, 0, 20_000)));
    other.put("lead", course(new Course.Running(RUN, 100, 40_000, 9, 20_000)));
    other.put("picture", course(new Course.Running(RUN, 100, 40_000, 0, 20_001)));
    other.put(
        "from",
        course(
            new Course.Running(
                new Run(Run.Way.FORWARD, 51, 100, Run.Between.NEAREST), 100, 40_000, 0, 20_000)));
    other.put(
        "to",
        course(
            new Course.Running(
                new Run(Run.Way.FORWARD, 50, 101, Run.Between.NEAREST), 100, 40_000, 0, 20_000)));
    other.put(
        "way",
        course(
            new Course.Running(
                new Run(Run.Way.REVERSE, 50, 100, Run.Between.NEAREST), 100, 40_000, 0, 20_000)));
    other.put(
        "since",
        course(
            new Course.Running(
                new Run(Run.Way.FORWARD, 50, 100, Run.Between.NEAREST, 20_000, 3),
                100,
                40_000,
                0,
                20_000)));
    other.put(
        "what is left out of a line",
        with(
            LINE,
            p ->
                new Part(
                    p.bus(),
                    p.media(),
                    p.at(),
                    new Course.Tightened(List.of(new SampleRange(10, 21))),
                    2)));
    other.put("no line", new Mix(List.of(SONG, CLIP), MIX.length(), MIX.fade()));
    // It begins within what the limiter hears.
    other.put("a fade that begins in it", new Mix(MIX.parts(), 70_000, 12_000));
    other.put("an end within it", new Mix(MIX.parts(), 59_000, 0));
    return other;
  }

  static List<String> others() {
    return List.copyOf(otherMixes().keySet());
  }

  @ParameterizedTest
  @MethodSource("others")
  void aKeyChangesWith(String what) {
    assertThat(otherMixes().get(what).key(HEARD)).isNotEqualTo(MIX.key(HEARD));
  }

  @Test
  void whatCannotBeHeardChangesNothing() {
    // A fade and an end that are past what the limiter hears.
    assertThat(new Mix(MIX.parts(), 120_000, 24_000).key(HEARD)).isEqualTo(MIX.key(HEARD));
    assertThat(new Mix(MIX.parts(), 96_000, 0).key(HEARD)).isEqualTo(MIX.key(HEARD));
    // A clip that begins past what the limiter hears, or ended before.
    List<Part> more = new ArrayList<>(MIX.parts());
    Course straight = new Course.Straight(0);
    more.add(
        new Part(Bus.SOUNDS, "late", new SampleRange(60_000 + Mix.REACH, 90_000), straight, 0));
    more.add(new Part(Bus.SOUNDS, "early", new SampleRange(0, 48_000 - Mix.REACH), straight, 0));
    assertThat(new Mix(more, MIX.length(), MIX.fade()).key(HEARD)).isEqualTo(MIX.key(HEARD));
    // A line that is level there, whatever it does elsewhere.
    LevelLine before =
        new LevelLine(List.of(new LevelLine.Point(100, -20), new LevelLine.Point(9_000, 0)));
    assertThat(MIX.with(faders(before, LevelLine.FLAT)).key(HEARD)).isEqualTo(MIX.key(HEARD));
    assertThat(MIX.with(faders(LevelLine.FLAT, before)).key(HEARD)).isEqualTo(MIX.key(HEARD));
    // How a picture without a run of its own is parted matters; what it is blended from does not.
    assertThat(
            course(
                    new Course.Running(
                        new Run(Run.Way.FORWARD, 50, 100, Run.Between.BLENDED),
                        100,
                        40_000,
                        0,
                        20_000))
                .key(HEARD))
        .isEqualTo(MIX.key(HEARD));
  }

  @Test
  void theSameSoundElsewhereHasTheSameKey() {
    List<Part> later =
        MIX.parts().stream()
            .map(p -> new Part(p.bus(), p.media(), p.at().shift(5_000), p.course(), p.gain()))
            .toList();
    assertThat(new Mix(later, 101_000, 12_000).key(HEARD.shift(5_000))).isEqualTo(MIX.key(HEARD));
  }

  @Test
  void namesItsFilesOnce() {
    List<Part> twice = List.of(SONG, CLIP, CLIP, LINE);
    assertThat(new Mix(twice, 10, 0).media()).containsExactly("song", "clip", "line");
    assertThat(Mix.silence(10).media()).isEmpty();
    assertThat(Mix.silence(10).length()).isEqualTo(10);
  }

  @Test
  void linesAreMadeAsLoudAsOneAnother() {
    assertThat(Part.voiceGain(-23)).isCloseTo(6, within(1e-9));
    assertThat(Part.voiceGain(-10)).isCloseTo(-7, within(1e-9));
    // A very soft one is raised by 15 dB and no more, and silence not at all.
    assertThat(Part.voiceGain(-60)).isEqualTo(15);
    assertThat(Part.voiceGain(Double.NEGATIVE_INFINITY)).isZero();
  }

  @Test
  void theEndsOfAClipRiseAndFall() {
    float[] ones = new float[20_000];
    Arrays.fill(ones, 1);
    Edges.crossing(0, 0).apply(ones, 1, 0, 20_000, 20_000);
    assertThat(ones[0]).isCloseTo(0.5f / 240, within(1e-6f));
    assertThat(ones[119]).isCloseTo(119.5f / 240, within(1e-6f));
    assertThat(ones[240]).isEqualTo(1);
    assertThat(ones[19_999]).isCloseTo(0.5f / 240, within(1e-6f));
    Arrays.fill(ones, 1);
    Edges.NONE.apply(ones, 1, 0, 20_000, 20_000);
    assertThat(ones[0]).isEqualTo(1);
    // Two that cross are together as loud as each.
    float[] rising = new float[4_000];
    float[] falling = new float[4_000];
    Arrays.fill(rising, 1);
    Arrays.fill(falling, 1);
    Edges.crossing(4_000, 0).apply(rising, 1, 0, 3_000, 9_000);
    Edges.crossing(0, 4_000).apply(falling, 1, 5_000, 3_000, 9_000);
    for (int i = 0; i < 3_000; i += 100) {
      assertThat(rising[i] * rising[i] + falling[i] * falling[i]).isCloseTo(1, within(1e-5f));
    }
  }
}
