package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.repair.Clip;
import app.latethistle.core.repair.Mending;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * What is put right in a take, held against ffmpeg's own filters for the same on pictures of the
 * demo, spoiled by ffmpeg: how near each comes to the pictures as they were. The constants of ours
 * were chosen on other clips.
 */
class MendingAgainstFfmpegTest {
  private static final int WIDE = 480;
  private static final int HIGH = 270;
  private static final int FRAMES = 24;
  private static final int SIZE = Frame.size(WIDE, HIGH);
  private static final String RAW = "-f rawvideo -pix_fmt yuv420p -s 480x270 -r 24";

  @TempDir Path folder;
  private byte[] real;

  @BeforeEach
  void take() throws IOException {
    Path clip;
    try (Stream<Path> demo = Files.list(Path.of("..", "demo"))) {
      clip =
          demo.filter(p -> p.getFileName().toString().startsWith("shot_070_take1"))
              .findFirst()
              .orElseThrow();
    }
    real =
        Ffmpeg.run(
            "-ss",
            "1",
            "-i",
            clip.toString(),
            "-vf",
            "scale=480:270,format=yuv420p",
            "-frames:v",
            Integer.toString(FRAMES),
            "-f",
            "rawvideo",
            "pipe:1");
  }

  /** Pictures that ffmpeg has changed. */
  private byte[] filtered(byte[] pictures, String filter) throws IOException {
    return through(pictures, "-vf " + filter);
  }

  private byte[] through(byte[] pictures, String how) throws IOException {
    Path from = folder.resolve("from.yuv");
    Files.write(from, pictures);
    List<String> arguments = new ArrayList<>(List.of(RAW.split(" ")));
    arguments.addAll(List.of("-i", from.toString()));
    arguments.addAll(List.of(how.split(" ")));
    arguments.addAll(List.of("-f", "rawvideo", "-pix_fmt", "yuv420p", "pipe:1"));
    return Ffmpeg.run(arguments.toArray(String[]::new));
  }

  private byte[] compressed(String codec) throws IOException {
    Path from = folder.resolve("from.yuv");
    Path to = folder.resolve("hard.nut");
    Files.write(from, real);
    List<String> arguments = new ArrayList<>(List.of(RAW.split(" ")));
    arguments.addAll(List.of("-i", from.toString()));
    arguments.addAll(List.of(codec.split(" ")));
    arguments.add(to.toString());
    Ffmpeg.run(arguments.toArray(String[]::new));
    return Ffmpeg.run("-i", to.toString(), "-f", "rawvideo", "-pix_fmt", "yuv420p", "pipe:1");
  }

  private static byte[] mended(Mending mending, byte[] pictures) throws IOException {
    ByteArrayOutputStream made = new ByteArrayOutputStream();
    mending.mend(
        new Clip() {
          @Override
          public int width() {
            return WIDE;
          }

          @Override
          public int height() {
            return HIGH;
          }

          @Override
          public void each(Taker taker) throws IOException {
            for (int i = 0; i < pictures.length / SIZE; i++) {
              byte[] one = Arrays.copyOfRange(pictures, i * SIZE, (i + 1) * SIZE);
              taker.take(i, new Frame(WIDE, HIGH, one));
            }
          }
        },
        (number, frame) -> made.write(frame.data()),
        share -> {});
    return made.toByteArray();
  }

  /** The mean over pictures of how near their luma is, in decibels. */
  private double near(String what, byte[] pictures) {
    double sum = 0;
    for (int i = 0; i < FRAMES; i++) {
      byte[] one = Arrays.copyOfRange(pictures, i * SIZE, i * SIZE + WIDE * HIGH);
      byte[] as = Arrays.copyOfRange(real, i * SIZE, i * SIZE + WIDE * HIGH);
      sum += Ffmpeg.psnr(one, as, 0, WIDE * HIGH);
    }
    System.out.printf("%s: %.2f dB%n", what, sum / FRAMES);
    return sum / FRAMES;
  }

  @Test
  void noise() throws IOException {
    byte[] noisy = filtered(real, "noise=alls=12:allf=t");
    double ours = near("ours", mended(Mending.withoutNoise(1), noisy));
    assertThat(ours).isGreaterThan(near("noisy", noisy) + 6);
    for (String filter :
        List.of("hqdn3d=8:6:12:9", "vaguedenoiser=6", "fftdnoiz=6:prev=1:next=1")) {
      assertThat(ours).as(filter).isGreaterThan(near(filter, filtered(noisy, filter)));
    }
  }

  @Test
  void blocks() throws IOException {
    for (String codec : List.of("-c:v mpeg2video -q:v 16 -g 12", "-c:v mpeg4 -q:v 14")) {
      byte[] hard = compressed(codec);
      double ours = near("ours", mended(Mending.withoutBlocks(1), hard));
      assertThat(ours).isGreaterThan(near(codec, hard));
      for (String filter : List.of("deblock", "pp7=8")) {
        assertThat(ours).as(filter).isGreaterThan(near(filter, filtered(hard, filter)));
      }
    }
  }

  @Test
  void light() throws IOException {
    byte[] flickers = filtered(real, "eq=gamma='if(lt(mod(n,4),2),1.2,0.85)':eval=frame");
    double ours = near("ours", mended(Mending.evenLight(List.of(), 24), flickers));
    assertThat(ours).isGreaterThan(near("flickers", flickers) + 6);
    for (String filter : List.of("deflicker", "deflicker=size=15")) {
      assertThat(ours).as(filter).isGreaterThan(near(filter, filtered(flickers, filter)));
    }
  }

  @Test
  void repeats() throws IOException {
    byte[] twelve = filtered(real, "fps=12,fps=24");
    byte[] mixed = filtered(real, "fps=12,framerate=fps=24");
    double ours = near("ours", padded(mended(Mending.withoutRepeats(24), twelve)));
    assertThat(ours).isGreaterThan(near("twelve", padded(twelve)) + 0.5);
    System.out.printf("mixed by ffmpeg: %.2f dB%n", near("mixed", padded(mixed)));
  }

  /** As many pictures as there were; the last stays. */
  private static byte[] padded(byte[] pictures) {
    byte[] all = Arrays.copyOf(pictures, FRAMES * SIZE);
    for (int i = pictures.length / SIZE; i < FRAMES; i++) {
      System.arraycopy(all, (i - 1) * SIZE, all, i * SIZE, SIZE);
    }
    return all;
  }
}
