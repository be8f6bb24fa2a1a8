package app.latethistle.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.film.Balance;
import app.latethistle.core.film.BusLevel;
import app.latethistle.core.film.Clocks;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.Films;
import app.latethistle.core.film.Following;
import app.latethistle.core.film.Landing;
import app.latethistle.core.film.MusicTurn;
import app.latethistle.core.film.Narration;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.SoundMaterial;
import app.latethistle.core.film.Tie;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Shape;
import app.latethistle.core.measure.Trail;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.signal.BandLevels;
import app.latethistle.core.signal.Loudness;
import app.latethistle.core.signal.LoudnessTrace;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.sound.DuckingRule;
import app.latethistle.core.sound.Manner;
import app.latethistle.core.sound.SteppingAside;
import app.latethistle.core.sound.VoiceCare;
import app.latethistle.core.time.SampleRange;
import java.io.IOException;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A film's mix: sounds land to the sample, the voice stands over the music as asked. */
class FilmMixTest {
  private static final int RATE = 48_000;
  private static final SampleRange LINE = new SampleRange(4 * RATE, 7 * RATE);

  private final Map<String, float[]> sounds = new HashMap<>();

  private Film film() {
    return Films.cut(
        List.of(
            Placement.of("s0", "a0", 0, Framing.FILL), Placement.of("s1", "a1", 0, Framing.FILL)),
        List.of(Tie.free(0), Tie.free(100), Tie.free(240)));
  }

  private static Resolved spoken(Film film) {
    Narration.Line line =
        new Narration.Line(
            "1",
            1,
            List.of(new Narration.Word("Night", new SampleRange(0, 40_000))),
            LINE.length(),
            new Narration.Start.At(LINE.start()));
    Clocks clocks =
        new Clocks(BeatGrid.EMPTY, new Narration(List.of(line)), () -> BandLevels.EMPTY);
    return Resolved.of(film, clocks, Films.resolved(film).rate(), Films.resolved(film).takes());
  }

  /** Music that swells, and a voice of syllables; another for each seed. */
  private void music(long seed) {
    Random random = new Random(seed);
    float[] song = new float[2 * 10 * RATE];
    float[] voice = new float[(int) LINE.length()];
    for (int i = 0; i < song.length / 2; i++) {
      double swell = 0.1 + 0.1 * Math.sin(i / 40_000.0 + seed);
      song[2 * i] = (float) (swell * random.nextGaussian());
      song[2 * i + 1] = (float) (swell * random.nextGaussian());
    }
    for (int i = 0; i < voice.length; i++) {
      double syllable = Math.max(0, Math.sin(2 * Math.PI * 3 * i / RATE));
      voice[i] = (float) (0.1 * syllable * Math.sin(2 * Math.PI * 300 * i / RATE));
    }
    sounds.put("song", song);
    sounds.put("line", voice);
  }

  private Mix mix(Resolved film) {
    Loudness.Meter meter = new Loudness.Meter();
    meter.add(sounds.get("song"), sounds.get("song").length / 2);
    double loudness = Loudness.ofMono(sounds.get("line"));
    return FilmMix.of(
        film,
        Shape.of(16, 9),
        Set.of(),
        Optional.of(new FilmMix.Song("song", meter::trace)),
        List.of(Optional.of(new FilmMix.Reading("line", List.of(), loudness))));
  }

  private float[] mixed(Mix mix, SampleRange range) throws IOException {
    float[] out = new float[2 * (int) range.length()];
    int[] at = {0};
    try (Mixer mixer = new Mixer(mix, new Tones(sounds))) {
      mixer.mix(
          range,
          (stereo, frames) -> {
            System.arraycopy(stereo, 0, out, at[0], 2 * frames);
            at[0] += 2 * frames;
          });
    }
    return out;
  }

  /** How far voice stands over music in a line, as a meter reads it off the stems. */
  private double over(Mix mix) throws IOException {
    double voice = Loudness.integrated(mixed(mix.only(EnumSet.of(Bus.VOICE)), LINE));
    double music = Loudness.integrated(mixed(mix.only(EnumSet.of(Bus.MUSIC)), LINE));
    return voice - music;
  }

  @ParameterizedTest
  @ValueSource(doubles = {6, 10, 15})
  void theVoiceStandsOverTheMusicAsFarAsAsked(double over) throws IOException {
    for (long seed = 1; seed < 4; seed++) {
      music(seed);
      Balance usual = Balance.USUAL;
      Film film =
          film().withBalance(usual.withRule(new DuckingRule(over, 250, 500, 1000, false, false)));
      Mix mix = mix(spoken(film));
      assertThat(over(mix)).isCloseTo(over, within(1.0));
      // Music is lowered by nothing where nobody speaks.
      SampleRange far = new SampleRange(0, 3 * RATE);
      assertThat(mixed(mix.only(EnumSet.of(Bus.MUSIC)), far))
          .isEqualTo(mixed(mix.withoutDucking().only(EnumSet.of(Bus.MUSIC)), far));
    }
  }

  @Test
  void musicThatIsSoftEnoughIsNotLowered() throws IOException {
    music(1);
    Film film =
        film().withBalance(Balance.USUAL.withLevel(Bus.MUSIC, new BusLevel(-40, false, List.of())));
    Ducking.Low low =
        FilmMix.ducking(
                spoken(film),
                Optional.of(new FilmMix.Song("song", () -> trace("song"))),
                List.of(Optional.of(new FilmMix.Reading("line", List.of(), -20))))
            .lines()
            .get(0);
    assertThat(low.gain()).isZero();
  }

  private LoudnessTrace trace(String name) {
    Loudness.Meter meter = new Loudness.Meter();
    meter.add(sounds.get(name), sounds.get(name).length / 2);
    return meter.trace();
  }

  @Test
  void whatIsSetByHandIsDone() throws IOException {
    music(2);
    Film film = film().withBalance(Balance.USUAL.withByHand(Map.of("1", -3.0)));
    Mix mix = mix(spoken(film));
    double open = over(mix.withoutDucking());
    assertThat(over(mix)).isCloseTo(open + 3, within(0.05));
  }

  @Test
  void onlyTheBandOfSpeechIsLoweredWhenAsked() throws IOException {
    sounds.put("song", Tones.sine(80, 0.3, 0, 10 * RATE));
    sounds.put("line", new float[(int) LINE.length()]);
    Arrays.fill(sounds.get("line"), 0, 10, 0.1f);
    Film film =
        film()
            .withBalance(
                Balance.USUAL
                    .withByHand(Map.of("1", -20.0))
                    .withRule(new DuckingRule(10, 250, 500, 1000, false, true)));
    SampleRange within = new SampleRange(5 * RATE, 6 * RATE);
    Mix mix = mix(spoken(film)).only(EnumSet.of(Bus.MUSIC));
    assertThat(peak(mixed(mix, within))).isCloseTo(0.3, within(0.01));
    sounds.put("song", Tones.sine(1_000, 0.3, 0, 10 * RATE));
    assertThat(peak(mixed(mix, within))).isCloseTo(0.03, within(0.003));
  }

  private static double peak(float[] samples) {
    double peak = 0;
    for (float sample : samples) {
      peak = Math.max(peak, Math.abs(sample));
    }
    return peak;
  }

  /** Clicks laid on a cut, a word and each other sound where they should, with no sample off. */
  @Test
  void soundsLandToTheSample() throws IOException {
    music(1);
    float[] click = new float[2 * RATE];
    click[2 * 12_345] = 0.5f;
    click[2 * 12_345 + 1] = 0.5f;
    sounds.put("click", click);
    sounds.put("song", new float[2 * RATE]);
    sounds.put("line", new float[(int) LINE.length()]);
    SoundMaterial what =
        new SoundMaterial.OfFile(
            "click", "click", new SampleRange(0, RATE), 12_345, Optional.empty());
    List<FilmSound> laid =
        List.of(
            new FilmSound("a", what, Landing.on(Tie.onCut("s1")), Manner.PLAIN),
            new FilmSound(
                "b", what, Landing.on(new Tie.OnWord("1", 0, Tie.Edge.END, 0)), Manner.PLAIN),
            new FilmSound(
                "c",
                what,
                new Landing(new Tie.OnItem(Tie.OnItem.Kind.SOUND, "a"), 7_777, Optional.empty()),
                Manner.PLAIN));
    float[] out = mixed(mix(spoken(film().withSounds(laid))), new SampleRange(0, 10 * RATE));
    Set<Integer> heard = new TreeSet<>();
    for (int i = 0; i < out.length / 2; i++) {
      if (Math.abs(out[2 * i]) > 0.1) {
        heard.add(i);
      }
    }
    assertThat(heard).containsExactly(200_000, 207_777, (int) LINE.start() + 40_000);
  }

  /** What is done to a voice leaves it as loud as it came; rumble under it goes. */
  @Test
  void aVoiceThatIsCaredForIsAsLoudAsBefore() {
    Random random = new Random(3);
    float[] voice = new float[4 * RATE];
    for (int i = 0; i < voice.length; i++) {
      double t = (double) i / RATE;
      double said =
          t % 1.0 < 0.6
              ? Math.sin(2 * Math.PI * 220 * t) + 0.5 * Math.sin(2 * Math.PI * 660 * t)
              : 0;
      voice[i] =
          (float)
              (0.15 * said * (0.4 + 0.6 * Math.sin(3 * t) * Math.sin(3 * t))
                  + 0.1 * Math.sin(2 * Math.PI * 28 * t)
                  + 0.004 * random.nextGaussian());
    }
    float[] cared = VoiceCaring.of(voice, new VoiceCare(true, 60, 80, 40, 40));
    assertThat(Loudness.ofMono(cared)).isCloseTo(Loudness.ofMono(voice), within(0.05));
    assertThat(tone(cared, 28)).isLessThan(tone(voice, 28) / 8);
    // Between words it is softer against the words than before.
    assertThat(level(cared, 0.7, 0.9) / level(cared, 0.2, 0.4))
        .isLessThan(0.4 * level(voice, 0.7, 0.9) / level(voice, 0.2, 0.4));
    assertThat(VoiceCaring.of(voice, VoiceCare.NONE)).isEqualTo(voice);
  }

  private static double tone(float[] samples, double hertz) {
    double re = 0;
    double im = 0;
    for (int i = 0; i < samples.length; i++) {
      re += samples[i] * Math.cos(2 * Math.PI * hertz * i / RATE);
      im += samples[i] * Math.sin(2 * Math.PI * hertz * i / RATE);
    }
    return Math.hypot(re, im);
  }

  private static double level(float[] samples, double from, double to) {
    double sum = 0;
    for (int i = (int) (from * RATE); i < to * RATE; i++) {
      sum += samples[i] * (double) samples[i];
    }
    return Math.sqrt(sum);
  }

  @Test
  void aMutedBusIsNotHeard() throws IOException {
    music(1);
    Film film =
        film().withBalance(Balance.USUAL.withLevel(Bus.MUSIC, new BusLevel(0, true, List.of())));
    assertThat(mix(spoken(film)).parts()).extracting(Part::bus).containsOnly(Bus.VOICE);
  }

  private static Balance turned(MusicTurn.Kind kind) {
    return Balance.USUAL.withTurns(
        List.of(new MusicTurn(kind, Tie.free(48), Tie.free(72)))); // 2 s to 3 s
  }

  private Mix music(Balance balance) {
    return mix(spoken(film().withBalance(balance))).only(EnumSet.of(Bus.MUSIC));
  }

  /** Silent from one moment to another, and whole with the very sample at which it is back. */
  @Test
  void musicStopsAndIsWholeAgainToTheSample() throws IOException {
    music(3);
    SampleRange all = new SampleRange(0, 5 * RATE);
    float[] plain = mixed(music(Balance.USUAL), all);
    float[] stopped = mixed(music(turned(MusicTurn.Kind.STOP)), all);
    assertThat(Arrays.copyOf(stopped, 2 * 2 * RATE)).isEqualTo(Arrays.copyOf(plain, 2 * 2 * RATE));
    float[] silent = Arrays.copyOfRange(stopped, 2 * 2 * RATE + 960, 2 * 3 * RATE - 480);
    assertThat(peak(silent)).isLessThan(1.0 / 32_768);
    assertThat(Arrays.copyOfRange(stopped, 2 * 3 * RATE, 2 * 4 * RATE))
        .isEqualTo(Arrays.copyOfRange(plain, 2 * 3 * RATE, 2 * 4 * RATE));
  }

  /** A turn that lies in another one, or at the film's end, is no music of its own. */
  @Test
  void musicIsHeardWhereItDoesNotStop() {
    Balance both =
        Balance.USUAL.withTurns(
            List.of(
                new MusicTurn(MusicTurn.Kind.STOP, Tie.free(48), Tie.free(72)),
                new MusicTurn(MusicTurn.Kind.STOP, Tie.free(54), Tie.free(60)),
                new MusicTurn(MusicTurn.Kind.MUFFLE, Tie.free(90), Tie.free(100)),
                new MusicTurn(MusicTurn.Kind.STOP, Tie.free(200), Tie.free(400))));
    assertThat(new MusicTurns(spoken(film().withBalance(both))).heard())
        .containsExactly(
            new SampleRange(0, 2 * RATE), new SampleRange(3 * RATE, 200 * (RATE / 24)));
    assertThat(new MusicTurns(spoken(film())).heard())
        .containsExactly(new SampleRange(0, 10 * RATE));
  }

  /** A high tone goes, a low one stays, and what comes after is as it was. */
  @Test
  void musicGrowsDullAndOpensAtOnce() throws IOException {
    sounds.put("line", new float[(int) LINE.length()]);
    SampleRange all = new SampleRange(0, 5 * RATE);
    for (double hertz : new double[] {100, 3_000}) {
      sounds.put("song", Tones.sine(hertz, 0.1, 0, 10 * RATE));
      float[] plain = mixed(music(Balance.USUAL), all);
      float[] dull = mixed(music(turned(MusicTurn.Kind.MUFFLE)), all);
      assertThat(level(dull, 2.0, 4.2) / level(plain, 2.0, 4.2)).isCloseTo(1, within(0.01));
      // Samples of both sides in turn: 5.8 is 2.9 s, where 491 Hz are left: -31.4 dB at 3 kHz.
      double end = level(dull, 5.75, 5.85) / level(plain, 5.75, 5.85);
      assertThat(20 * Math.log10(end)).isCloseTo(hertz < 1_000 ? 0 : -31.4, within(1.5));
      assertThat(Arrays.copyOfRange(dull, 2 * 3 * RATE, 2 * 4 * RATE))
          .isEqualTo(Arrays.copyOfRange(plain, 2 * 3 * RATE, 2 * 4 * RATE));
    }
  }

  /** A sound that asks for room gets it as it lands, however the voice stands. */
  @Test
  void musicStepsAsideForASoundThatAsks() {
    FilmSound hit =
        new FilmSound(
            "hit",
            new SoundMaterial.OfFile("line", "hit", new SampleRange(0, RATE), 0, Optional.empty()),
            Landing.on(Tie.free(48)),
            Manner.PLAIN);
    Film film =
        film()
            .withSounds(List.of(hit))
            .withBalance(
                Balance.USUAL.withAsked(
                    Map.of("hit", new SteppingAside(6, 500), "gone", new SteppingAside(9, 500))));
    LevelLine lid = FilmMix.ducking(Films.resolved(film), Optional.empty(), List.of()).lid();
    assertThat(lid.at(2 * RATE - RATE / 4)).isZero();
    assertThat(lid.at(2 * RATE)).isEqualTo(-6);
    assertThat(lid.at(2 * RATE + RATE / 2)).isEqualTo(-6);
    assertThat(lid.at(3 * RATE)).isZero();
  }

  /** What is asked for goes no deeper than the deeper of what lines and others ask. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void theLowerOfTwoLinesIsLowerEverywhere(long seed) {
    Random random = new Random(seed);
    LevelLine one = line(random);
    LevelLine other = line(random);
    LevelLine lower = one.lower(other);
    for (long at = 0; at < 100_000; at += 7) {
      assertThat(lower.at(at)).isCloseTo(Math.min(one.at(at), other.at(at)), within(0.01));
      assertThat(one.plus(other).at(at)).isCloseTo(one.at(at) + other.at(at), within(1e-9));
    }
  }

  private static LevelLine line(Random random) {
    return new LevelLine(
        random
            .longs(8, 0, 100_000)
            .distinct()
            .mapToObj(at -> new LevelLine.Point(at, -random.nextInt(30)))
            .toList());
  }

  /** Alone, a sound has the samples it adds to the film. */
  @Test
  void aSoundAloneIsWhatItAddsToTheFilm() throws IOException {
    music(1);
    FilmSound hit =
        new FilmSound(
            "hit",
            new SoundMaterial.OfFile("line", "hit", new SampleRange(0, RATE), 0, Optional.empty()),
            Landing.on(Tie.free(24)),
            Manner.PLAIN.withDistance(40));
    Resolved film = spoken(film().withSounds(List.of(hit)));
    SampleRange all = new SampleRange(0, 4 * RATE);
    float[] alone = mixed(FilmMix.alone(film, Shape.of(16, 9), Set.of(), "hit"), all);
    assertThat(alone).isEqualTo(mixed(mix(film).only(EnumSet.of(Bus.SOUNDS)), all));
    assertThat(peak(alone)).isPositive();
    assertThat(FilmMix.alone(film, Shape.of(16, 9), Set.of(), "other").parts()).isEmpty();
  }

  /** A sound that follows a place goes from left to right with it, as loud everywhere. */
  @Test
  void aSoundIsHeardFromThePlaceItFollows() throws IOException {
    float[] steady = new float[2 * 4 * RATE];
    Arrays.fill(steady, 0.1f);
    sounds.put("hum", steady);
    FilmSound hum =
        new FilmSound(
            "hum",
            new SoundMaterial.OfFile(
                "hum", "hum", new SampleRange(0, 4 * RATE), 0, Optional.empty()),
            Landing.on(Tie.free(0)),
            Manner.PLAIN.withPan(-100),
            Optional.of(
                new Following(
                    "a0",
                    new Trail(
                        0,
                        IntStream.rangeClosed(0, 96)
                            .mapToObj(i -> Trail.Spot.of(i / 96.0, 0.5))
                            .toList()))));
    Resolved film = Films.resolved(film().withSounds(List.of(hum)));
    Mix alone = FilmMix.alone(film, Shape.of(16, 9), Set.of(), "hum");
    float[] mixed = mixed(alone, new SampleRange(0, 4 * RATE));
    for (int at : new int[] {2_000, RATE, 2 * RATE - 7, 3 * RATE, 4 * RATE - 2_000}) {
      // A frame's place holds in its middle.
      double across = Math.min(1, (at - 1_000) / (4.0 * RATE));
      assertThat(mixed[2 * at])
          .isCloseTo((float) (0.1 * Math.sqrt(2) * Math.cos(across * Math.PI / 2)), within(1e-4f));
      assertThat(mixed[2 * at + 1])
          .isCloseTo((float) (0.1 * Math.sqrt(2) * Math.sin(across * Math.PI / 2)), within(1e-4f));
    }
    // Whatever block it is made in.
    SampleRange late = new SampleRange(70_001, 90_000);
    assertThat(mixed(alone, late)).isEqualTo(Arrays.copyOfRange(mixed, 2 * 70_001, 2 * 90_000));
  }
}
