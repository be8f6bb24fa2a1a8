package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.check.FileChecks;
import app.latethistle.core.check.Verdict;
import app.latethistle.core.film.Run;
import app.latethistle.core.look.EndFade;
import app.latethistle.core.look.Framing;
import app.latethistle.core.mix.Course;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.mix.Part;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.release.Quality;
import app.latethistle.core.render.Layer;
import app.latethistle.core.render.Program;
import app.latethistle.core.render.Segmentation;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class MasterRenderTest {
  private static final int FLASH_EVERY = 31;
  private static final MasterRender.Progress ON =
      new MasterRender.Progress() {
        @Override
        public void frames(long done) {}

        @Override
        public boolean isCancelled() {
          return false;
        }
      };

  @TempDir Path folder;

  /** Grey, with one white picture in every 31. */
  private Path flashes(FrameRate rate, int count) throws IOException {
    Path file = folder.resolve("flash.mp4");
    Frame frame = new Frame(160, 90);
    try (StandInEncoder encoder = StandInEncoder.open(file, 160, 90, rate)) {
      for (int n = 0; n < count; n++) {
        frame.black();
        byte luma = (byte) (n % FLASH_EVERY == 0 ? 235 : 60);
        Arrays.fill(frame.data(), 0, frame.offset(1), luma);
        encoder.write(frame);
      }
      encoder.finish();
    }
    return file;
  }

  /** Silence, with a click at the first sample of every white picture. */
  private Path clicks(FrameRate rate, int count) throws IOException {
    float[] stereo = new float[(int) rate.sampleOf(count) * 2];
    for (int n = 0; n < count; n += FLASH_EVERY) {
      int at = (int) rate.sampleOf(n);
      for (int k = 0; k < 480; k++) {
        float value = (float) (0.8 * Math.sin(k * 0.4) * Math.exp(-k / 90.0));
        stereo[2 * (at + k)] = value;
        stereo[2 * (at + k) + 1] = value;
      }
    }
    Path file = folder.resolve("click.m4a");
    StandInEncoder.sound(file, stereo);
    return file;
  }

  private static Program program(FrameRate rate, long length, long fade) {
    Layer shot = new Layer.Footage("flash", length, 0, Run.PLAIN, length, Framing.FILL);
    Layer cut = new Layer.Sequence(List.of(new Layer.Part(new FrameRange(0, length), shot)));
    Layer root = fade == 0 ? cut : new Layer.Faded(cut, new EndFade(fade), length);
    return new Program(root, length, rate, 320, 180);
  }

  private MasterRender render(Program program, Path clip) throws IOException {
    Map<String, Originals.Original> files =
        Map.of("flash", new Originals.Original(clip, Probe.probe(clip)));
    return new MasterRender(
        program,
        new Originals(files, program.rate(), Originals.NO_TABLES, ShippedFaces.all()),
        Optional.of(Quality.STANDARD),
        folder.resolve("segments"));
  }

  private Mix sound(Path song, FrameRate rate, long frames) {
    long length = rate.sampleOf(frames);
    return song == null
        ? Mix.silence(length)
        : new Mix(
            List.of(
                new Part(
                    Bus.MUSIC,
                    song.toString(),
                    new SampleRange(0, length),
                    new Course.Straight(0),
                    0)),
            length,
            0);
  }

  private SoundFiles sounds() {
    return new SoundFiles(folder, media -> new SoundFiles.File(Path.of(media), Container.MP4));
  }

  @ParameterizedTest
  @ValueSource(strings = {"24", "24000/1001", "25", "30000/1001"})
  void flashAndClickComeTogether(String written) throws IOException {
    FrameRate rate = FrameRate.parse(written);
    int count = 160;
    Path master = folder.resolve("master.mp4");
    render(program(rate, count, 0), flashes(rate, count))
        .render(sound(clicks(rate, count), rate, count), sounds(), master, ON);

    List<Integer> flashed = new ArrayList<>();
    List<byte[]> pictures = Ffmpeg.luma(master, 320, 180);
    assertThat(pictures).hasSize(count);
    for (int n = 0; n < count; n++) {
      if ((pictures.get(n)[90 * 320 + 160] & 255) > 150) {
        flashed.add(n);
      }
    }
    assertThat(flashed).containsExactly(0, 31, 62, 93, 124, 155);

    float[] heard = heard(master);
    for (int flash : flashed) {
      long expected = rate.sampleOf(flash);
      // The song and the master are each encoded once as AAC; a click smears by some samples.
      assertThat((double) onset(heard, expected))
          .isCloseTo((double) expected, within(0.010 * Samples.RATE));
    }
    assertThat(checked(master, count, List.of()).inWords(Verdict.MUST)).isEmpty();
  }

  private static float[] heard(Path master) throws IOException {
    byte[] bytes =
        Ffmpeg.run(
            "-i", master.toString(), "-vn", "-ac", "1", "-ar", "48000", "-f", "f32le", "pipe:1");
    float[] samples = new float[bytes.length / 4];
    ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN).asFloatBuffer().get(samples);
    return samples;
  }

  /** The first sample over a third of the loudest within 100 ms of where a click should be. */
  private static long onset(float[] heard, long around) {
    int from = (int) Math.max(0, around - 4800);
    int to = (int) Math.min(heard.length, around + 4800);
    float loudest = 0;
    for (int i = from; i < to; i++) {
      loudest = Math.max(loudest, Math.abs(heard[i]));
    }
    assertThat(loudest).isGreaterThan(0.2f);
    for (int i = from; i < to; i++) {
      if (Math.abs(heard[i]) > loudest / 3) {
        return i;
      }
    }
    throw new AssertionError("no click");
  }

  @Test
  void writesTheFileTheWorldPlays() throws IOException {
    FrameRate rate = FrameRate.FPS_24;
    Path master = folder.resolve("master.mp4");
    render(program(rate, 60, 0), flashes(rate, 60))
        .render(sound(null, rate, 60), sounds(), master, ON);
    String said = probe(master);
    assertThat(said)
        .contains("codec_name=h264", "profile=High", "pix_fmt=yuv420p", "color_range=tv")
        .contains("color_space=bt709", "color_transfer=bt709", "color_primaries=bt709")
        .contains("codec_name=aac", "sample_rate=48000", "nb_frames=60", "r_frame_rate=24/1");
    String head =
        new String(Files.readAllBytes(master), java.nio.charset.StandardCharsets.ISO_8859_1);
    assertThat(head.indexOf("moov")).as("index before media").isLessThan(head.indexOf("mdat"));
  }

  private static String probe(Path file) throws IOException {
    Process process =
        new ProcessBuilder("ffprobe", "-v", "error", "-show_streams", file.toString())
            .redirectError(ProcessBuilder.Redirect.INHERIT)
            .start();
    return new String(
        process.getInputStream().readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
  }

  @Test
  void goesOnWhereItStoppedAndEndsTheSame() throws IOException {
    FrameRate rate = FrameRate.FPS_24;
    Path clip = flashes(rate, 500);
    Program program = program(rate, 500, 24);
    Path master = folder.resolve("master.mp4");
    MasterRender.Progress untilOneIsKept =
        new MasterRender.Progress() {
          @Override
          public void frames(long now) {}

          @Override
          public boolean isCancelled() {
            return !segments().isEmpty();
          }
        };
    assertThatExceptionOfType(CancellationException.class)
        .isThrownBy(
            () ->
                render(program, clip)
                    .render(sound(null, rate, 500), sounds(), master, untilOneIsKept));
    assertThat(master).doesNotExist();
    List<Path> kept = segments();
    assertThat(kept).isNotEmpty().hasSizeLessThan(Segmentation.MASTER.of(program).size());
    FileTime old = Files.getLastModifiedTime(kept.get(0));

    render(program, clip).render(sound(null, rate, 500), sounds(), master, ON);
    assertThat(Files.getLastModifiedTime(kept.get(0))).isEqualTo(old);
    assertThat(checked(master, 500, program.plannedBlack()).inWords(Verdict.MUST)).isEmpty();

    byte[] resumed = Files.readAllBytes(master);
    for (Path segment : segments()) {
      Files.delete(segment);
    }
    Path whole = folder.resolve("whole.mp4");
    render(program, clip).render(sound(null, rate, 500), sounds(), whole, ON);
    assertThat(Files.readAllBytes(whole)).isEqualTo(resumed);
  }

  private List<Path> segments() {
    Path kept = folder.resolve("segments");
    if (!Files.exists(kept)) {
      return List.of();
    }
    try (Stream<Path> all = Files.list(kept)) {
      return all.filter(p -> p.toString().endsWith(".mp4")).sorted().toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Test
  void theCheckFindsMissingFramesAndUnplannedBlack() throws IOException {
    Path master = folder.resolve("bad.mp4");
    Ffmpeg.run(
        "-f",
        "lavfi",
        "-i",
        "color=gray:s=160x90:r=24:d=2",
        "-f",
        "lavfi",
        "-i",
        "color=black:s=160x90:r=24:d=1",
        "-f",
        "lavfi",
        "-i",
        "color=gray:s=160x90:r=24:d=2",
        "-f",
        "lavfi",
        "-i",
        "sine=d=5",
        "-filter_complex",
        "[0][1][2]concat=n=3[v]",
        "-map",
        "[v]",
        "-map",
        "3",
        "-c:v",
        "libx264",
        "-c:a",
        "aac",
        master.toString());
    assertThat(checked(master, 121, List.of(new FrameRange(108, 120))).inWords(Verdict.MUST))
        .contains("120 frames, not 121")
        .contains("black for 1.0 s");
    List<FrameRange> gap = List.of(new FrameRange(40, 72));
    assertThat(checked(master, 120, gap).inWords(Verdict.MUST)).isEmpty();

    Path torn = folder.resolve("torn.mp4");
    byte[] bytes = Files.readAllBytes(master);
    Arrays.fill(bytes, bytes.length / 2, bytes.length / 2 + 400, (byte) 0x55);
    Files.write(torn, bytes);
    assertThat(checked(torn, 120, gap).inWords(Verdict.MUST))
        .contains("the file does not decode whole: ");
  }

  private static FileCheck checked(Path file, long frames, List<FrameRange> black)
      throws IOException {
    return FileCheck.of(
        file, new FileChecks.Wanted(Optional.of(frames), black, List.of(), Optional.empty(), -1));
  }
}
