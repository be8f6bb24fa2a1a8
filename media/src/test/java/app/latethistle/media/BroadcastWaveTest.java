package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.mix.Course;
import app.latethistle.core.mix.Ducking;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.mix.Part;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.sound.DuckingRule;
import app.latethistle.core.time.SampleRange;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.function.LongUnaryOperator;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Mixes and stems as files; they are read back by ffmpeg. */
class BroadcastWaveTest {
  private static final int RATE = 48_000;
  private static final LocalDateTime MADE = LocalDateTime.of(2026, 2, 3, 4, 5, 6);

  @TempDir Path folder;
  private SoundFiles sounds;
  private Mix mix;

  @BeforeEach
  void mix() throws IOException {
    Path music = tone("music.wav", 220, 2);
    Path voice = tone("voice.wav", 700, 1);
    sounds =
        new SoundFiles(
            Files.createDirectory(folder.resolve("decoded")),
            name -> new SoundFiles.File(folder.resolve(name), Container.WAV));
    SampleRange line = new SampleRange(2 * RATE, 4 * RATE);
    Ducking ducking =
        Ducking.of(
            DuckingRule.USUAL,
            Map.of(),
            List.of(new Ducking.Need("1", line, -12)),
            LongUnaryOperator.identity());
    mix =
        new Mix(
                List.of(
                    new Part(
                        Bus.MUSIC,
                        music.getFileName().toString(),
                        new SampleRange(0, 6 * RATE),
                        new Course.Straight(0),
                        0),
                    new Part(
                        Bus.VOICE,
                        voice.getFileName().toString(),
                        line,
                        new Course.Straight(0),
                        12)),
                6 * RATE,
                0)
            .with(new Mix.Faders(Map.of(), ducking.lid(), false));
  }

  private Path tone(String name, double hertz, int channels) throws IOException {
    float[] samples = new float[6 * RATE * channels];
    for (int i = 0; i < samples.length; i++) {
      samples[i] = (float) (0.4 * Math.sin(2 * Math.PI * hertz * (i / channels) / RATE));
    }
    Path file = folder.resolve(name);
    WaveFile.write(file, samples, channels, RATE);
    return file;
  }

  @Test
  void saysWhatItIsAndHowLoud() throws IOException {
    Path file = folder.resolve("mix.wav");
    SoundMeasure measure = new MixFiles(mix, sounds, "Night Post", MADE).whole(file);
    ByteBuffer head = ByteBuffer.wrap(Files.readAllBytes(file)).order(ByteOrder.LITTLE_ENDIAN);
    assertThat(text(head, 12, 4)).isEqualTo("bext");
    assertThat(text(head, 20, 19)).isEqualTo("Night Post: the mix");
    assertThat(text(head, 20 + 320, 18)).isEqualTo("2026-02-0304:05:06");
    assertThat(head.getLong(20 + 338)).isZero();
    assertThat((int) head.getShort(20 + 346)).isEqualTo(2);
    assertThat(head.getShort(20 + 412) / 100.0).isCloseTo(measure.integrated(), within(0.006));
    assertThat(SoundMeasure.of(file, Container.WAV).integrated())
        .isCloseTo(measure.integrated(), within(0.01));
    assertThat(SongDecoder.stereo(file, Container.WAV)).hasSize(2 * 6 * RATE);
    assertThat(Probe.probe(file).seconds()).isEqualTo(6);
  }

  private static String text(ByteBuffer bytes, int at, int length) {
    byte[] text = new byte[length];
    bytes.get(at, text);
    return new String(text, StandardCharsets.US_ASCII);
  }

  /** The stems together are the mix, to the last of its 24 bits. */
  @Test
  void stemsSumToTheMix() throws IOException {
    Path whole = folder.resolve("mix.wav");
    MixFiles files = new MixFiles(mix, sounds, "Night Post", MADE);
    files.whole(whole);
    List<Path> stems = files.stems(folder.resolve("stems"));
    assertThat(stems)
        .extracting(f -> f.getFileName().toString())
        .containsExactly("music.wav", "voice.wav", "music without ducking.wav");
    float[] together = SongDecoder.stereo(whole, Container.WAV);
    float[] music = SongDecoder.stereo(stems.get(0), Container.WAV);
    float[] voice = SongDecoder.stereo(stems.get(1), Container.WAV);
    for (int i = 0; i < together.length; i++) {
      assertThat(music[i] + voice[i]).isCloseTo(together[i], within(3e-7f));
    }
    // It is loud enough that the limiter works, and music is lower only where somebody speaks.
    float[] free = SongDecoder.stereo(stems.get(2), Container.WAV);
    assertThat(level(music, 0.5, 1.5)).isCloseTo(level(free, 0.5, 1.5), within(1e-6));
    assertThat(level(music, 2.5, 3.5)).isLessThan(level(free, 2.5, 3.5) / 3);
  }

  private static double level(float[] stereo, double from, double to) {
    double sum = 0;
    for (int i = (int) (2 * from * RATE); i < 2 * to * RATE; i++) {
      sum += stereo[i] * (double) stereo[i];
    }
    return Math.sqrt(sum);
  }
}
