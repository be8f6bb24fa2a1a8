package app.latethistle.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.film.Run;
import app.latethistle.core.time.SampleRange;
import java.util.ArrayList;
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
                    p.bus(), p.media(), p.at(), p.course(), p.gain(), new Crossing(5_000, 0))));
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
    other.put(
        "a line's length, which lowers the music",
        with(
            LINE,
            p -> new Part(p.bus(), p.media(), new SampleRange(52_000, 58_001), p.course(), 2)));
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
        new Part(Bus.SOUNDS, "late", new SampleRange(60_000 + Limiter.REACH, 90_000), straight, 0));
    more.add(
        new Part(Bus.SOUNDS, "early", new SampleRange(0, 48_000 - Limiter.REACH), straight, 0));
    assertThat(new Mix(more, MIX.length(), MIX.fade()).key(HEARD)).isEqualTo(MIX.key(HEARD));
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
  void speechIsWhereLinesAre() {
    Part before =
        new Part(Bus.VOICE, "x", new SampleRange(-500, 200), new Course.Tightened(List.of()), 0);
    Part empty =
        new Part(Bus.VOICE, "y", new SampleRange(9, 9), new Course.Tightened(List.of()), 0);
    assertThat(new Mix(List.of(SONG, before, empty, LINE), 96_000, 0).speech())
        .containsExactly(new SampleRange(0, 200), LINE.at());
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
  void theEndsOfAClipRiseAndFallAndThoseOfOthersDoNot() {
    assertThat(CLIP.factor(0.5, 50_000)).isCloseTo(0.5 / 240, within(1e-12));
    assertThat(CLIP.factor(0.5, 50_119)).isCloseTo(0.25, within(1e-12));
    assertThat(CLIP.factor(0.5, 50_239)).isEqualTo(0.5);
    assertThat(CLIP.factor(0.5, 60_000)).isEqualTo(0.5);
    assertThat(CLIP.factor(0.5, 69_999)).isCloseTo(0.5 / 240, within(1e-12));
    assertThat(SONG.factor(0.5, 0)).isEqualTo(0.5);
    assertThat(CLIP.level()).isEqualTo(1);
    assertThat(new Part(Bus.CLIPS, "c", HEARD, new Course.Straight(0), -20).level())
        .isCloseTo(0.1, within(1e-12));
  }
}
