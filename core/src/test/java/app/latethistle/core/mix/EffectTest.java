package app.latethistle.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.sound.Bus;
import app.latethistle.core.sound.Equaliser;
import app.latethistle.core.sound.Fade;
import app.latethistle.core.sound.Room;
import app.latethistle.core.sound.Timing;
import app.latethistle.core.time.SampleRange;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What rooms, distances and filters make of a sound, and how sounds run. */
class EffectTest {
  private static final int RATE = 48_000;

  private static float[] mixed(Part part, float[] sound, SampleRange range) throws IOException {
    return mixed(List.of(part), sound, range);
  }

  private static float[] mixed(List<Part> parts, float[] sound, SampleRange range)
      throws IOException {
    Mix mix = new Mix(parts, 10 * RATE, 0);
    float[] out = new float[2 * (int) range.length()];
    int[] at = {0};
    try (Mixer mixer = new Mixer(mix, new Tones(Map.of("sound", sound)))) {
      mixer.mix(
          range,
          (stereo, frames) -> {
            System.arraycopy(stereo, 0, out, at[0], 2 * frames);
            at[0] += 2 * frames;
          });
    }
    return out;
  }

  private static Part part(long length, Course course, Effect effect) {
    return new Part(
        Bus.SOUNDS, "sound", SampleRange.ofLength(0, length), course, 0, Edges.NONE, effect);
  }

  private static float[] click() {
    float[] click = new float[2 * RATE];
    click[0] = 0.5f;
    click[1] = 0.5f;
    return click;
  }

  private static float[] heard(Effect effect) throws IOException {
    return mixed(part(RATE, new Course.Straight(0), effect), click(), new SampleRange(0, 6 * RATE));
  }

  private static double energy(float[] stereo, double from, double to) {
    double sum = 0;
    for (int i = (int) (from * RATE); i < to * RATE; i++) {
      sum += stereo[2 * i] * (double) stereo[2 * i] + stereo[2 * i + 1] * stereo[2 * i + 1];
    }
    return sum;
  }

  /** Echoes die away by 60 dB in the time that the room says (ISO 3382: from -5 to -25 dB). */
  @ParameterizedTest
  @EnumSource(
      value = Room.class,
      names = {"PARLOUR", "STAIRWELL", "CELLAR", "HALL", "NAVE"})
  void echoesDieAwayAsTheRoomHasIt(Room room) throws IOException {
    float[] echoes = heard(Effect.Placed.of(0, 0, room, Equaliser.NONE));
    double[] left = new double[600];
    for (int i = left.length - 1; i >= 0; i--) {
      left[i] =
          energy(echoes, i / 100.0, (i + 1) / 100.0) + (i + 1 < left.length ? left[i + 1] : 0);
    }
    double first = 0;
    double last = 0;
    double start = 10 * Math.log10(left[2]);
    for (int i = 2; i < left.length && left[i] > 0; i++) {
      double down = 10 * Math.log10(left[i]) - start;
      first = down > -5 ? i : first;
      last = down > -25 ? i : last;
    }
    double seconds = (last - first) / 100 * 3;
    assertThat(seconds).isBetween(0.7 * room.seconds(), 1.25 * room.seconds());
  }

  @Test
  void theStraightWayComesAtOnceAndSofterFromFar() throws IOException {
    float[] near = heard(Effect.none());
    assertThat(near[0]).isEqualTo(0.5f);
    for (int distance : new int[] {20, 60, 100}) {
      float[] far = heard(Effect.Placed.of(0, distance, Room.NONE, Equaliser.NONE));
      // Where nothing is dulled, at the lowest of it, the level is what the way leaves.
      double sum = 0;
      for (int i = 0; i < RATE; i++) {
        sum += far[2 * i];
      }
      assertThat(20 * Math.log10(sum / 0.5)).isCloseTo(StraightWay.level(distance), within(0.05));
    }
  }

  @Test
  void echoesStandOutMoreFromFar() throws IOException {
    double before = Double.MAX_VALUE;
    for (int distance : new int[] {0, 30, 60, 100}) {
      float[] heard = heard(Effect.Placed.of(0, distance, Room.HALL, Equaliser.NONE));
      double ratio = energy(heard, 0, 0.005) / energy(heard, 0.03, 3);
      assertThat(ratio).isLessThan(before);
      before = ratio;
    }
  }

  @ParameterizedTest
  @CsvSource({"-100", "-40", "0", "75", "100"})
  void aSoundIsAsLoudWhereverItLiesFromLeftToRight(int pan) throws IOException {
    float[] heard = heard(Effect.Placed.of(pan, 0, Room.NONE, Equaliser.NONE));
    assertThat(heard[0] * heard[0] + heard[1] * heard[1]).isCloseTo(0.5f, within(1e-4f));
    assertThat(Math.signum(heard[1] - heard[0])).isEqualTo(Math.signum((float) pan));
  }

  /** A filter's gain on a sine is what its formula says. */
  @ParameterizedTest
  @CsvSource({
    "LOW_CUT, 200, 0, 0.707, 100, -12.30",
    "LOW_CUT, 200, 0, 0.707, 200, -3.01",
    "HIGH_CUT, 1000, 0, 0.707, 1000, -3.01",
    "BELL, 1000, 6, 1, 1000, 6",
    "BELL, 1000, -9, 2, 1000, -9",
    "LOW_SHELF, 300, 6, 0.707, 40, 6",
    "HIGH_SHELF, 3000, -6, 0.707, 15000, -6"
  })
  void aFilterDoesWhatItsFormulaSays(
      Equaliser.Kind kind, double hertz, double gain, double q, double tone, double expected)
      throws IOException {
    Equaliser equaliser = new Equaliser(List.of(new Equaliser.Band(kind, hertz, gain, q)));
    float[] sine = Tones.sine(tone, 0.2, 0, 3 * RATE);
    float[] out =
        mixed(
            part(3L * RATE, new Course.Straight(0), Effect.Placed.of(0, 0, Room.NONE, equaliser)),
            sine,
            new SampleRange(RATE, 2 * RATE));
    double power = energy(out, 0, 1) / energy(sine, 1, 2);
    assertThat(10 * Math.log10(power)).isCloseTo(expected, within(0.12));
  }

  @Test
  void aRangeMadeAloneIsThatRangeOfTheWhole() throws IOException {
    float[] noise = Tones.noise(3, 4 * RATE, 2);
    Effect hall = Effect.Placed.of(20, 50, Room.HALL, Equaliser.NONE);
    Part part = part(4L * RATE, new Course.Straight(0), hall);
    float[] whole = mixed(part, noise, new SampleRange(0, 6 * RATE));
    float[] alone = mixed(part, noise, new SampleRange(100_001, 130_000));
    assertThat(alone).isEqualTo(Arrays.copyOfRange(whole, 2 * 100_001, 2 * 130_000));
  }

  @Test
  void soundsOfOneRoomAreHeardTogetherAsEachAlone() throws IOException {
    Equaliser bell = new Equaliser(List.of(new Equaliser.Band(Equaliser.Kind.BELL, 700, 6, 1.5)));
    List<Part> parts =
        List.of(
            part(RATE, new Course.Straight(0), Effect.Placed.of(-70, 40, Room.HALL, bell)),
            part(2L * RATE, new Course.Straight(0), Effect.Placed.of(30, 0, Room.HALL, bell))
                .shift(20_011),
            part(RATE, new Course.Straight(900), Effect.Placed.of(0, 80, Room.CELLAR, bell)),
            part(
                    RATE,
                    new Course.Straight(77),
                    Effect.Placed.of(100, 10, Room.HALL, Equaliser.NONE))
                .shift(70_000));
    float[] noise = Tones.noise(5, 3 * RATE, 2);
    for (int i = 0; i < noise.length; i++) {
      noise[i] *= 0.1f;
    }
    SampleRange range = new SampleRange(0, 6 * RATE);
    float[] together = mixed(parts, noise, range);
    float[] sum = new float[together.length];
    for (Part part : parts) {
      float[] alone = mixed(part, noise, range);
      for (int i = 0; i < sum.length; i++) {
        sum[i] += alone[i];
      }
    }
    for (int i = 0; i < sum.length; i++) {
      assertThat(together[i]).as("sample %d", i).isCloseTo(sum[i], within(2e-6f));
    }
    assertThat(energy(together, 0, 1)).isPositive();
  }

  @Test
  void whatARoomAddsIsHeardAfterTheSound() throws IOException {
    Part part =
        new Part(
            Bus.SOUNDS,
            "sound",
            SampleRange.ofLength(0, RATE),
            new Course.Straight(0),
            0,
            new Edges(Fade.NONE, new Fade(Fade.Shape.LINEAR, 4_800)),
            Effect.Placed.of(0, 0, Room.NAVE, Equaliser.NONE));
    float[] out = mixed(part, Tones.noise(1, 2 * RATE, 2), new SampleRange(0, 5 * RATE));
    assertThat(energy(out, 1.01, 1.5)).isPositive();
    assertThat(energy(out, 4.9, 5)).isZero();
    assertThat(part.heard().end()).isEqualTo(RATE + part.effect().tail());
  }

  /** A sine keeps its pitch when it is stretched: within 2 cents, its length to the sample. */
  @ParameterizedTest
  @CsvSource({
    "220, 50, 0",
    "220, 150, 0",
    "440, 200, 0",
    "997, 80, 0",
    "440, 100, 7",
    "330, 100, -12",
    "523, 130, 3.5"
  })
  void stretchKeepsPitchAndPitchKeepsLength(double hertz, int stretch, double pitch)
      throws IOException {
    Timing time = new Timing(false, stretch, pitch);
    long own = 2L * RATE;
    Part part =
        part(
            time.samples(own),
            new Course.Shaped(SampleRange.ofLength(0, own), time),
            Effect.none());
    float[] out =
        mixed(
            part,
            Tones.sine(hertz, 0.3, 0, 2 * RATE),
            new SampleRange(0, time.samples(own) + RATE));
    assertThat(energy(out, time.samples(own) / (double) RATE, time.samples(own) / RATE + 0.9))
        .isZero();
    double wanted = hertz * Math.pow(2, pitch / 12);
    double cents = 1200 * Math.log(frequency(out, time.samples(own)) / wanted) / Math.log(2);
    assertThat(cents).isCloseTo(0, within(2.0));
  }

  /** The frequency of a sine from where it crosses zero upwards, first to last. */
  private static double frequency(float[] stereo, long length) {
    int from = (int) length / 8;
    int to = (int) (length - length / 8);
    double first = -1;
    double last = -1;
    int count = 0;
    for (int i = from; i < to; i++) {
      float a = stereo[2 * i];
      float b = stereo[2 * i + 2];
      if (a < 0 && b >= 0) {
        double at = i + a / (double) (a - b);
        first = first < 0 ? at : first;
        last = at;
        count++;
      }
    }
    return (count - 1) * RATE / (last - first);
  }

  @Test
  void aSoundRunsBackwards() throws IOException {
    float[] ramp = new float[2 * 1_000];
    for (int i = 0; i < 1_000; i++) {
      ramp[2 * i] = i / 4_000f;
      ramp[2 * i + 1] = i / 4_000f;
    }
    Part part =
        part(
            500,
            new Course.Shaped(new SampleRange(100, 600), new Timing(true, 100, 0)),
            Effect.none());
    float[] out = mixed(part, ramp, new SampleRange(0, 600));
    assertThat(out[0]).isEqualTo(599 / 4_000f);
    assertThat(out[2 * 499]).isEqualTo(100 / 4_000f);
    assertThat(out[2 * 500]).isZero();
  }

  @Test
  void aLoopGoesOnWithoutAStep() throws IOException {
    // A sine whose loop is a whole number of waves: what is heard is one long sine.
    float[] sine = Tones.sine(480, 0.3, 0, RATE);
    Part part =
        part(5L * RATE, new Course.Looped(700, new SampleRange(4_000, 44_000)), Effect.none());
    float[] out = mixed(part, sine, new SampleRange(0, 5 * RATE));
    for (int i = 0; i < 5 * RATE; i++) {
      // Where two equal waves cross with equal power they are up to 3 dB louder.
      double wave = 0.3 * Math.sin(2 * Math.PI * 480 * (i + 700) / RATE);
      assertThat(Math.abs(out[2 * i]))
          .isLessThanOrEqualTo((float) (Math.abs(wave) * 1.4143 + 1e-4));
    }
    assertThat(energy(out, 4, 5)).isGreaterThan(0.9 * 0.09 * RATE);
  }
}
