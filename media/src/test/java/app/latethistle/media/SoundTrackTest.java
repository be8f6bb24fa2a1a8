package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.film.Run;
import app.latethistle.core.voice.Stretch;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SoundTrackTest {
  private static final int RATE = 48_000;

  @TempDir Path folder;
  private final DecodedSounds sounds = new DecodedSounds();

  private Path tone(String name, double hertz, double seconds, int channels) throws IOException {
    float[] samples = new float[((int) (seconds * RATE)) * channels];
    for (int i = 0; i < samples.length; i++) {
      samples[i] = (float) (0.1 * Math.sin(2 * Math.PI * hertz * (i / channels) / RATE));
    }
    Path file = folder.resolve(name);
    WaveFile.write(file, samples, channels, RATE);
    return file;
  }

  /** The loudest sample of the left channel between two times. */
  private static double peak(float[] film, double from, double to) {
    double peak = 0;
    for (int i = (int) (from * RATE); i < to * RATE; i++) {
      peak = Math.max(peak, Math.abs(film[2 * i]));
    }
    return peak;
  }

  private static Speech said(Path file, double at, double length, List<Stretch> cuts, double gain) {
    return new Speech(
        file, Container.WAV, cuts, Math.round(at * RATE), Math.round(length * RATE), gain);
  }

  private static double factor(double decibels) {
    return Math.pow(10, decibels / 20);
  }

  @Test
  void theSongGoesDownUnderALineAndComesUpAgain() throws IOException {
    Path song = tone("song.wav", 220, 8, 2);
    Path line = tone("silent.wav", 0, 2, 1);
    SoundTrack track =
        new SoundTrack(
            song,
            Container.WAV,
            0,
            List.of(),
            List.of(said(line, 3, 2, List.of(), 0)),
            8 * RATE,
            0);
    float[] film = track.samples(sounds);
    assertThat(film).hasSize(2 * 8 * RATE);
    assertThat(peak(film, 0.5, 2.7)).isCloseTo(0.1, within(0.002));
    assertThat(peak(film, 3.1, 4.9)).isCloseTo(0.1 * factor(-9), within(0.002));
    assertThat(peak(film, 5.6, 7.5)).isCloseTo(0.1, within(0.002));
  }

  @Test
  void aLineIsHeardWhereItIsAsLoudAndAsTightAsSaid() throws IOException {
    Path line = tone("line.wav", 300, 2, 1);
    List<Stretch> cuts = List.of(new Stretch(RATE, RATE + RATE / 2));
    Speech speech = said(line, 1, 1.5, cuts, 6);
    SoundTrack track = SoundTrack.spoken(List.of(speech), 4 * RATE);
    float[] film = track.samples(sounds);
    assertThat(peak(film, 0, 0.99)).isZero();
    assertThat(peak(film, 1.1, 2.4)).isCloseTo(0.1 * factor(6), within(0.005));
    assertThat(peak(film, 2.51, 4)).isZero();
    SoundTrack early = SoundTrack.spoken(List.of(said(line, -0.5, 2, List.of(), 0)), RATE);
    assertThat(peak(early.samples(sounds), 0, 0.5)).isCloseTo(0.1, within(0.002));
  }

  @Test
  void whatIsPlayedIsTheFilmsSoundFromItsFirstSampleOn() throws IOException {
    Path line = tone("line.wav", 300, 3, 1);
    SoundTrack track = SoundTrack.spoken(List.of(said(line, 0, 3, List.of(), 0)), 5 * RATE);
    track.encodeHls(folder.resolve("hls"), sounds);
    float[] played = SongDecoder.stereo(folder.resolve("hls/sound.mp4"), Container.MP4);
    float[] film = track.samples(sounds);
    assertThat(played).hasSize(film.length);
    // 16 bits a sample, decoded by ffmpeg.
    assertThat(IntStream.range(0, film.length).mapToDouble(i -> Math.abs(played[i] - film[i])))
        .allMatch(off -> off <= 1.0 / 32768);
  }

  @Test
  void aFilmThatChangesIsMixedAgainWithoutDecodingAgain() throws IOException {
    Path line = tone("line.wav", 300, 1, 1);
    Speech first = said(line, 0, 1, List.of(), 0);
    float[] before = SoundTrack.spoken(List.of(first), 3 * RATE).samples(sounds);
    Files.delete(line);
    Speech later = said(line, 1, 1, List.of(), 0);
    float[] after = SoundTrack.spoken(List.of(later), 3 * RATE).samples(sounds);
    assertThat(peak(before, 0.1, 0.9)).isEqualTo(peak(after, 1.1, 1.9)).isPositive();
  }

  @Test
  void itsNameChangesWithWhatIsHeard() throws IOException {
    Path line = tone("line.wav", 300, 1, 1);
    String silent = SoundTrack.spoken(List.of(), RATE).key();
    String spoken = SoundTrack.spoken(List.of(said(line, 0, 1, List.of(), 0)), RATE).key();
    String later = SoundTrack.spoken(List.of(said(line, 0.1, 1, List.of(), 0)), RATE).key();
    assertThat(List.of(silent, spoken, later)).doesNotHaveDuplicates();
    assertThat(silent).matches("[0-9a-f]{32}");
  }

  private static ClipPart heard(Path clip, Run run, double in, double at, long lead, long tail) {
    return new ClipPart(
        clip,
        Container.WAV,
        run,
        Math.round(in * RATE),
        4 * RATE,
        Math.round(at * RATE),
        RATE,
        lead,
        tail,
        0);
  }

  private float[] film(ClipPart part) throws IOException {
    return new SoundTrack(null, null, 0, List.of(part), List.of(), 4 * RATE, 0).samples(sounds);
  }

  @Test
  void aClipIsHeardWithItsPictureBeforeAndAfterIt() throws IOException {
    Path clip = tone("clip.wav", 400, 4, 2);
    float[] film = film(heard(clip, Run.PLAIN, 1, 1.5, RATE / 4, RATE / 2));
    assertThat(peak(film, 0, 1.249)).isZero();
    assertThat(peak(film, 1.26, 2.99)).isCloseTo(0.1, within(0.002));
    assertThat(peak(film, 3.001, 4)).isZero();
  }

  @Test
  void aQuickClipSoundsHigherAndAHeldOneNotAtAll() throws IOException {
    Path clip = tone("clip.wav", 400, 4, 2);
    assertThat(crossings(film(heard(clip, Run.PLAIN, 0, 1, 0, 0)))).isBetween(397, 402);
    assertThat(crossings(film(heard(clip, Run.at(200), 0, 1, 0, 0)))).isBetween(797, 802);
    Run held = Run.PLAIN.withWay(Run.Way.HOLD);
    assertThat(peak(film(heard(clip, held, 0, 1, 0, 0)), 0, 4)).isZero();
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
