package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.film.Run;
import app.latethistle.core.mix.Course;
import app.latethistle.core.mix.Ducking;
import app.latethistle.core.mix.Edges;
import app.latethistle.core.mix.Effect;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.mix.Mixer;
import app.latethistle.core.mix.Part;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.sound.DuckingRule;
import app.latethistle.core.time.SampleRange;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.function.LongUnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The film's sound from files, and as it is played. */
class FilmSoundTest {
  private static final int RATE = 48_000;

  @TempDir Path folder;
  private SoundFiles sounds;

  @BeforeEach
  void make() throws IOException {
    Path decoded = Files.createDirectories(folder.resolve("decoded"));
    sounds =
        new SoundFiles(decoded, media -> new SoundFiles.File(folder.resolve(media), Container.WAV));
  }

  private String tone(String name, double hertz, double seconds, int channels) throws IOException {
    float[] samples = new float[((int) (seconds * RATE)) * channels];
    for (int i = 0; i < samples.length; i++) {
      samples[i] = (float) (0.1 * Math.sin(2 * Math.PI * hertz * (i / channels) / RATE));
    }
    WaveFile.write(folder.resolve(name), samples, channels, RATE);
    return name;
  }

  /** The loudest sample of the left channel between two times. */
  private static double peak(float[] film, double from, double to) {
    double peak = 0;
    for (int i = (int) (from * RATE); i < to * RATE; i++) {
      peak = Math.max(peak, Math.abs(film[2 * i]));
    }
    return peak;
  }

  private static SampleRange seconds(double from, double length) {
    return SampleRange.ofLength(Math.round(from * RATE), Math.round(length * RATE));
  }

  private static Part said(
      String file, double at, double length, List<SampleRange> cuts, double gain) {
    return new Part(Bus.VOICE, file, seconds(at, length), new Course.Tightened(cuts), gain);
  }

  private static Mix spoken(double length, Part... parts) {
    return new Mix(List.of(parts), Math.round(length * RATE), 0);
  }

  private float[] samples(Mix mix) throws IOException {
    float[] film = new float[2 * (int) mix.length()];
    int[] at = {0};
    try (Mixer mixer = new Mixer(mix, sounds)) {
      mixer.mix(
          new SampleRange(0, mix.length()),
          (stereo, frames) -> {
            System.arraycopy(stereo, 0, film, at[0], 2 * frames);
            at[0] += 2 * frames;
          });
    }
    return film;
  }

  private static double factor(double decibels) {
    return Math.pow(10, decibels / 20);
  }

  @Test
  void theSongGoesDownUnderALineAndComesUpAgain() throws IOException {
    Part song =
        new Part(Bus.MUSIC, tone("song.wav", 220, 8, 2), seconds(0, 8), new Course.Straight(0), 0);
    Ducking ducking =
        Ducking.of(
            DuckingRule.USUAL,
            Map.of(),
            List.of(new Ducking.Need("line", seconds(3, 2), -9)),
            LongUnaryOperator.identity());
    Mix mix = spoken(8, song, said(tone("silent.wav", 0, 2, 1), 3, 2, List.of(), 0));
    float[] film = samples(mix.with(new Mix.Faders(Map.of(), ducking.lid(), false)));
    assertThat(peak(film, 0.5, 2.7)).isCloseTo(0.1, within(0.002));
    assertThat(peak(film, 3.1, 4.9)).isCloseTo(0.1 * factor(-9), within(0.002));
    assertThat(peak(film, 5.6, 7.5)).isCloseTo(0.1, within(0.002));
  }

  @Test
  void aLineIsHeardWhereItIsAsLoudAndAsTightAsSaid() throws IOException {
    String line = tone("line.wav", 300, 2, 1);
    List<SampleRange> cuts = List.of(new SampleRange(RATE, RATE + RATE / 2));
    float[] film = samples(spoken(4, said(line, 1, 1.5, cuts, 6)));
    assertThat(peak(film, 0, 0.99)).isZero();
    assertThat(peak(film, 1.1, 2.4)).isCloseTo(0.1 * factor(6), within(0.005));
    assertThat(peak(film, 2.51, 4)).isZero();
    float[] early = samples(spoken(1, said(line, -0.5, 2, List.of(), 0)));
    assertThat(peak(early, 0, 0.5)).isCloseTo(0.1, within(0.002));
  }

  /** Parts as a player gets them: one after the other behind what says how to decode. */
  @Test
  void whatIsPlayedIsTheFilmsSoundFromItsFirstSampleOn() throws IOException {
    String line = tone("line.wav", 300, 9, 1);
    Mix mix = spoken(10, said(line, 0, 9, List.of(), 0));
    ByteArrayOutputStream stream = new ByteArrayOutputStream();
    for (long at = 0; at < mix.length(); at += SoundEncoder.PART) {
      Path part = folder.resolve("part" + at + ".mp4");
      SampleRange range = new SampleRange(at, Math.min(mix.length(), at + SoundEncoder.PART));
      SoundEncoder.part(mix, range, sounds, part);
      FragmentedMp4 parted = FragmentedMp4.of(Files.readAllBytes(part));
      if (at == 0) {
        stream.write(parted.init());
      }
      stream.write(parted.later(at));
    }
    Path whole = folder.resolve("whole.mp4");
    Files.write(whole, stream.toByteArray());
    float[] played = SongDecoder.stereo(whole, Container.MP4);
    float[] film = samples(mix);
    assertThat(played).hasSize(film.length);
    for (int i = 0; i < film.length; i++) {
      // 16 bits a sample, decoded by ffmpeg.
      assertThat(Math.abs(played[i] - film[i])).isLessThanOrEqualTo(1f / 32768);
    }
    try (Stream<Path> left = Files.list(folder)) {
      assertThat(left).noneMatch(p -> p.toString().endsWith(".part"));
    }
  }

  @Test
  void aFilmThatChangesIsMixedAgainWithoutDecodingAgain() throws IOException {
    String line = tone("line.wav", 300, 1, 1);
    float[] before = samples(spoken(3, said(line, 0, 1, List.of(), 0)));
    Files.delete(folder.resolve(line));
    float[] after = samples(spoken(3, said(line, 1, 1, List.of(), 0)));
    assertThat(peak(before, 0.1, 0.9)).isEqualTo(peak(after, 1.1, 1.9)).isPositive();
  }

  @Test
  void aFileThatIsNoSoundIsRefusedAndNothingIsKept() throws IOException {
    Files.writeString(folder.resolve("text.wav"), "no sound at all");
    assertThatExceptionOfType(RefusedMedia.class)
        .isThrownBy(() -> samples(spoken(1, said("text.wav", 0, 1, List.of(), 0))));
    try (Stream<Path> left = Files.list(folder.resolve("decoded"))) {
      assertThat(left).isEmpty();
    }
  }

  private static Part heard(String clip, Run run, double in, double at, long lead, long tail) {
    long start = Math.round(at * RATE) - lead;
    return new Part(
        Bus.CLIPS,
        clip,
        SampleRange.ofLength(start, lead + RATE + tail),
        new Course.Running(run, Math.round(in * RATE), 4 * RATE, lead, RATE),
        0,
        Edges.crossing(0, 0),
        Effect.none());
  }

  @Test
  void aClipIsHeardWithItsPictureBeforeAndAfterIt() throws IOException {
    String clip = tone("clip.wav", 400, 4, 2);
    float[] film = samples(spoken(4, heard(clip, Run.PLAIN, 1, 1.5, RATE / 4, RATE / 2)));
    assertThat(peak(film, 0, 1.249)).isZero();
    assertThat(peak(film, 1.26, 2.99)).isCloseTo(0.1, within(0.002));
    assertThat(peak(film, 3.001, 4)).isZero();
  }

  @Test
  void aQuickClipSoundsHigher() throws IOException {
    String clip = tone("clip.wav", 400, 4, 2);
    assertThat(crossings(samples(spoken(4, heard(clip, Run.PLAIN, 0, 1, 0, 0)))))
        .isBetween(397, 402);
    assertThat(crossings(samples(spoken(4, heard(clip, Run.at(200), 0, 1, 0, 0)))))
        .isBetween(797, 802);
  }

  /** How often the left channel goes up through zero. */
  private static int crossings(float[] film) {
    int count = 0;
    for (int i = 2; i < film.length; i += 2) {
      count += film[i - 2] < 0 && film[i] >= 0 ? 1 : 0;
    }
    return count;
  }
}
