package app.latethistle.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.film.Run;
import app.latethistle.core.look.EndFade;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.sound.Equaliser;
import app.latethistle.core.sound.Room;
import app.latethistle.core.sound.Timing;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.voice.Tightening;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class MixerTest {
  private static final int RATE = 48_000;

  private static float[] mixed(Mix mix, SoundSource source, SampleRange range) throws IOException {
    float[] out = new float[2 * (int) range.length()];
    int[] at = {0};
    try (Mixer mixer = new Mixer(mix, source)) {
      mixer.mix(
          range,
          (stereo, frames) -> {
            System.arraycopy(stereo, 0, out, at[0], 2 * frames);
            at[0] += 2 * frames;
          });
    }
    assertThat(at[0]).isEqualTo(out.length);
    return out;
  }

  private static float[] mixed(Mix mix, SoundSource source) throws IOException {
    return mixed(mix, source, new SampleRange(0, mix.length()));
  }

  private static Part part(Bus bus, String media, long at, long length, Course course) {
    Edges edges = bus == Bus.CLIPS ? Edges.crossing(0, 0) : Edges.NONE;
    return new Part(bus, media, SampleRange.ofLength(at, length), course, -3, edges, Effect.none());
  }

  /** A song, clips that run in some ways, lines with rests left out, in any order. */
  private static Mix mix(Random random, Map<String, float[]> sounds) {
    long length = (long) RATE + random.nextInt(2 * RATE);
    List<Part> parts = new ArrayList<>();
    sounds.put("song", Tones.noise(random.nextLong(), 2 * RATE, 2));
    parts.add(part(Bus.MUSIC, "song", 0, length, new Course.Straight(random.nextInt(RATE))));
    for (int i = 0; i < 3; i++) {
      String clip = "clip" + i;
      int material = RATE / 2 + random.nextInt(RATE);
      sounds.put(clip, Tones.noise(random.nextLong(), material, 2));
      long picture = 4_000L + random.nextInt(RATE);
      long lead = random.nextInt(4_000) - 1_000L;
      long tail = random.nextInt(4_000) - 1_000L;
      Run run =
          new Run(
              List.of(Run.Way.values()).get(random.nextInt(3)),
              25 + random.nextInt(376),
              25 + random.nextInt(376),
              Run.Between.NEAREST);
      parts.add(
          part(
              Bus.CLIPS,
              clip,
              random.nextInt(2 * RATE) - 5_000,
              Math.max(1, lead + picture + tail),
              new Course.Running(run, random.nextInt(9_000), material, lead, picture)));
    }
    for (int i = 0; i < 3; i++) {
      String line = "line" + i;
      int samples = RATE / 3 + random.nextInt(RATE / 2);
      sounds.put(line, Tones.noise(random.nextLong(), samples, 1));
      long cut = 3_000L + random.nextInt(5_000);
      List<SampleRange> cuts =
          random.nextBoolean() ? List.of() : List.of(SampleRange.ofLength(cut, 2_000));
      long heard = samples - 2_000L * cuts.size();
      long at = random.nextInt(2 * RATE) - 3_000L;
      parts.add(part(Bus.VOICE, line, at, heard, new Course.Tightened(cuts)));
    }
    return new Mix(parts, length, random.nextInt(RATE / 2), Level.AS_MIXED, faders(random, length));
  }

  /** Lines of levels that go up and down, and a lid. */
  private static Mix.Faders faders(Random random, long length) {
    Map<Bus, LevelLine> lines = new HashMap<>();
    for (Bus bus : Bus.values()) {
      lines.put(bus, line(random, length));
    }
    return new Mix.Faders(lines, line(random, length), false);
  }

  private static LevelLine line(Random random, long length) {
    return new LevelLine(
        random
            .longs(random.nextInt(4), 0, length)
            .distinct()
            .mapToObj(at -> new LevelLine.Point(at, random.nextInt(18) - 15))
            .toList());
  }

  /** The same, written out in one go over the whole film, with nothing made in blocks. */
  private static float[] plainly(Mix mix, Map<String, float[]> sounds) {
    float[] film = new float[2 * (int) mix.length()];
    for (Part part : mix.parts()) {
      float[] alone = new float[film.length];
      if (part.bus() == Bus.VOICE) {
        float[] line =
            new Tightening(((Course.Tightened) part.course()).cuts())
                .apply(sounds.get(part.media()), 1);
        for (int i = 0; i < line.length; i++) {
          put(alone, part.at().start() + i, Math.pow(10, part.gain() / 20), line[i], line[i]);
        }
      } else {
        add(alone, part, sounds.get(part.media()));
      }
      for (int i = 0; i < film.length; i++) {
        double gain = mix.faders().line(part.bus()).at(i / 2);
        gain += part.bus().ducks() ? mix.faders().lid().at(i / 2) : 0;
        film[i] += (float) (alone[i] * Math.pow(10, gain / 20));
      }
    }
    for (int i = 0; i < film.length; i++) {
      film[i] *= (float) EndFade.gain(i / 2, mix.length(), mix.fade());
    }
    return film;
  }

  private static void add(float[] film, Part part, float[] sound) {
    double gain = Math.pow(10, part.gain() / 20);
    long length = part.at().length();
    for (long k = 0; k < length; k++) {
      if (part.course() instanceof Course.Straight straight) {
        int at = 2 * (int) (straight.in() + k);
        if (at + 1 < sound.length) {
          put(film, part.at().start() + k, gain, sound[at], sound[at + 1]);
        }
      } else if (part.course() instanceof Course.Running r) {
        double place = r.run().position(r.in(), r.material(), k - r.lead(), r.picture());
        if (place >= 0 && place < Math.min(r.material(), sound.length / 2) - 1) {
          double edge = Math.min(1, (k + 0.5) / 240.0) * Math.min(1, (length - k - 0.5) / 240.0);
          int at = 2 * (int) place;
          double rest = place - (int) place;
          put(
              film,
              part.at().start() + k,
              gain * edge,
              sound[at] * (1 - rest) + sound[at + 2] * rest,
              sound[at + 1] * (1 - rest) + sound[at + 3] * rest);
        }
      }
    }
  }

  private static void put(float[] film, long at, double gain, double left, double right) {
    if (at >= 0 && 2 * at < film.length) {
      film[2 * (int) at] += (float) (gain * left);
      film[2 * (int) at + 1] += (float) (gain * right);
    }
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void blocksAreWhatTheWholeWouldBe(long seed) throws IOException {
    Map<String, float[]> sounds = new HashMap<>();
    Mix mix = mix(new Random(seed), sounds);
    float[] ours = mixed(mix, new Tones(sounds));
    float[] plain = plainly(mix, sounds);
    for (int i = 0; i < plain.length; i++) {
      assertThat(ours[i]).as("sample %d", i).isCloseTo(plain[i], within(2e-6f));
    }
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void aPartMadeAloneIsThatPartOfTheWhole(long seed) throws IOException {
    Random random = new Random(seed);
    Map<String, float[]> sounds = new HashMap<>();
    Mix mix = mix(random, sounds);
    // Loud enough that the limiter works in places.
    List<Part> loud =
        mix.parts().stream()
            .map(p -> new Part(p.bus(), p.media(), p.at(), p.course(), 30, p.edges(), p.effect()))
            .toList();
    Mix louder = new Mix(loud, mix.length(), mix.fade(), mix.level(), mix.faders());
    float[] whole = mixed(louder, new Tones(sounds));
    for (int i = 0; i < 4; i++) {
      long from = random.nextLong(mix.length() - 1);
      long to = from + 1 + random.nextLong(Math.min(30_000, mix.length() - from));
      float[] alone = mixed(louder, new Tones(sounds), new SampleRange(from, to));
      assertThat(alone).isEqualTo(Arrays.copyOfRange(whole, 2 * (int) from, 2 * (int) to));
    }
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void aKeyChangesWithWhatIsHeardAndNotWithWhere(long seed) throws IOException {
    Random random = new Random(seed);
    Map<String, float[]> sounds = new HashMap<>();
    Mix mix = mix(random, sounds);
    SampleRange range = SampleRange.ofLength(random.nextInt(20_000), 20_000);
    // Another mix has the same key only where it has the same samples.
    List<Part> parts = new ArrayList<>(mix.parts());
    int changed = random.nextInt(parts.size());
    Part old = parts.get(changed);
    parts.set(
        changed,
        random.nextBoolean()
            ? new Part(
                old.bus(),
                old.media(),
                old.at(),
                old.course(),
                old.gain() - 6,
                old.edges(),
                old.effect())
            : old.shift(777));
    Mix other = new Mix(parts, mix.length(), mix.fade(), mix.level(), mix.faders());
    if (mix.key(range).equals(other.key(range))) {
      assertThat(mixed(other, new Tones(sounds), range))
          .isEqualTo(mixed(mix, new Tones(sounds), range));
    }
    // Everything later by the same time: the same sound, under the same name.
    Mix later =
        new Mix(
            mix.parts().stream().map(p -> p.shift(7_000)).toList(),
            mix.length() + 7_000,
            mix.fade(),
            mix.level(),
            mix.faders().shift(7_000));
    SampleRange inside = SampleRange.ofLength(15_000, 9_000);
    if (mix.key(inside).equals(later.key(inside.shift(7_000)))) {
      assertThat(mixed(later, new Tones(sounds), inside.shift(7_000)))
          .isEqualTo(mixed(mix, new Tones(sounds), inside));
    } else {
      // Only what begins before the film may tell them apart: it is cut off there.
      assertThat(mix.parts()).anyMatch(p -> p.at().start() < 0);
    }
  }

  /** Says which sounds are open. */
  private record Counted(SoundSource source, List<String> open, List<String> ever)
      implements SoundSource {
    @Override
    public Sound open(String media, int channels) throws IOException {
      Sound sound = source.open(media, channels);
      open.add(media);
      ever.add(media);
      return new Sound() {
        @Override
        public int channels() {
          return sound.channels();
        }

        @Override
        public long length() {
          return sound.length();
        }

        @Override
        public void read(long from, float[] target, int frames) throws IOException {
          sound.read(from, target, frames);
        }

        @Override
        public void close() throws IOException {
          assertThat(open.remove(media)).isTrue();
          sound.close();
        }
      };
    }
  }

  @Test
  void holdsOpenOnlyWhatSoundsAndOpensItOnce() throws IOException {
    Map<String, float[]> sounds = new HashMap<>();
    List<Part> parts = new ArrayList<>();
    for (int i = 0; i < 20; i++) {
      sounds.put("c" + i, Tones.noise(i, RATE, 2));
      parts.add(part(Bus.CLIPS, "c" + i, (long) i * RATE, RATE, new Course.Straight(0)));
    }
    Counted counted =
        new Counted(
            new Tones(sounds),
            Collections.synchronizedList(new ArrayList<>()),
            Collections.synchronizedList(new ArrayList<>()));
    int[] most = {0};
    try (Mixer mixer = new Mixer(new Mix(parts, 20L * RATE, 0), counted)) {
      mixer.mix(
          new SampleRange(0, 20L * RATE),
          (stereo, frames) -> most[0] = Math.max(most[0], counted.open().size()));
      assertThat(counted.open()).as("the last one").hasSizeBetween(1, 2);
    }
    assertThat(most[0])
        .as("of a block, what it reaches, and the one before")
        .isLessThanOrEqualTo(4);
    assertThat(counted.ever()).hasSize(20).doesNotHaveDuplicates();
    assertThat(counted.open()).isEmpty();
  }

  /** Heard straight and by walls, it is stretched once for both. */
  @Test
  void whatIsWorkedOnWholeIsOpenedOnceForARoomToo() throws IOException {
    Counted counted =
        new Counted(
            new Tones(Map.of("door", Tones.noise(1, RATE, 2))),
            Collections.synchronizedList(new ArrayList<>()),
            Collections.synchronizedList(new ArrayList<>()));
    Part door =
        new Part(
            Bus.SOUNDS,
            "door",
            SampleRange.ofLength(0, RATE),
            new Course.Shaped(SampleRange.ofLength(0, RATE), new Timing(true, 100, 2)),
            0,
            Edges.NONE,
            Effect.Placed.of(0, 30, Room.NAVE, Equaliser.NONE));
    try (Mixer mixer = new Mixer(new Mix(List.of(door), 20L * RATE, 0), counted)) {
      mixer.mix(new SampleRange(0, 20L * RATE), (stereo, frames) -> {});
    }
    assertThat(counted.ever()).containsExactly("door");
    assertThat(counted.open()).isEmpty();
  }

  @Test
  void nothingIsHeardOutsideTheFilm() throws IOException {
    Map<String, float[]> sounds = Map.of("song", Tones.sine(440, 0.5, 90, 2 * RATE));
    Part song = part(Bus.MUSIC, "song", 0, 2L * RATE, new Course.Straight(0));
    float[] out =
        mixed(
            new Mix(List.of(song), RATE, 0), new Tones(sounds), new SampleRange(-100, RATE + 100));
    for (int i = 0; i < 100; i++) {
      assertThat(out[2 * i]).isZero();
      assertThat(out[out.length - 1 - i]).isZero();
    }
    assertThat(out[200]).isNotZero();
    assertThat(out[2 * (RATE + 99)]).isNotZero();
  }
}
