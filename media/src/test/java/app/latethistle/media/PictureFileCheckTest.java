package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.check.Verdict;
import app.latethistle.core.release.Encoding;
import app.latethistle.core.release.Quality;
import app.latethistle.core.time.FrameRate;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Loops and zipped pictures are told whole, short and damaged apart. */
class PictureFileCheckTest {
  private static final int FRAMES = 12;

  @TempDir private static Path folder;

  private static Path drawn;

  @BeforeAll
  static void draw() throws IOException {
    drawn = folder.resolve("drawn.mkv");
    Child.output(
        List.of(
            "ffmpeg",
            "-nostdin",
            "-v",
            "error",
            "-y",
            "-f",
            "lavfi",
            "-i",
            "testsrc2=s=160x90:r=24:d=0.5",
            "-c:v",
            "ffv1",
            drawn.toString()),
        60);
  }

  private static Path made(Encoding encoding) throws IOException {
    Path file = folder.resolve("made" + encoding.suffix());
    new OutputFile(
            encoding, Quality.STANDARD, Optional.empty(), FrameRate.FPS_24, FRAMES, Tags.NONE)
        .write(Optional.of(drawn), Optional.empty(), file, MasterRender.Progress.NOBODY);
    return file;
  }

  private static String told(Path file, Encoding encoding, Verdict verdict) throws IOException {
    return PictureFileCheck.of(file, encoding, FRAMES).inWords(verdict);
  }

  @ParameterizedTest
  @EnumSource(names = {"GIF", "WEBP", "PNG"})
  void aWholeFileIsFine(Encoding encoding) throws IOException {
    Path file = made(encoding);
    assertThat(told(file, encoding, Verdict.FINE)).isEqualTo("reads whole; 12 pictures");
    assertThat(told(file, encoding, Verdict.MUST)).isEmpty();
  }

  @Test
  void aStillIsOnePicture() throws IOException {
    Path file = made(Encoding.STILL);
    assertThat(told(file, Encoding.STILL, Verdict.FINE)).isEqualTo("reads whole; 1 picture");
    assertThat(Probe.probe(file).kind()).isEqualTo(MediaFacts.Kind.STILL);
  }

  @ParameterizedTest
  @EnumSource(names = {"GIF", "WEBP", "PNG", "STILL"})
  void aFileThatIsCutOffIsNot(Encoding encoding) throws IOException {
    byte[] whole = Files.readAllBytes(made(encoding));
    Path cut = Files.write(folder.resolve("cut"), Arrays.copyOf(whole, whole.length / 2));
    assertThat(told(cut, encoding, Verdict.MUST)).isNotEmpty();
  }

  @Test
  void damagedPicturesInAZipAreFound() throws IOException {
    Path picture = folder.resolve("one.png");
    Child.output(
        List.of(
            "ffmpeg",
            "-nostdin",
            "-v",
            "error",
            "-y",
            "-i",
            drawn.toString(),
            "-frames:v",
            "1",
            picture.toString()),
        60);
    byte[] bytes = Files.readAllBytes(picture);
    bytes[bytes.length / 2] ^= 1;
    Files.write(picture, bytes);
    Path zip = folder.resolve("damaged.zip");
    try (ZipWriter writer = new ZipWriter(Files.newOutputStream(zip))) {
      writer.file("000000.png", picture);
    }
    assertThat(told(zip, Encoding.PNG, Verdict.MUST)).contains("000000.png is damaged");
  }

  @Test
  void tooFewPicturesAreTold() throws IOException {
    assertThat(PictureFileCheck.of(made(Encoding.PNG), Encoding.PNG, 13).inWords(Verdict.MUST))
        .isEqualTo("12 pictures, 13 were asked for");
  }
}
