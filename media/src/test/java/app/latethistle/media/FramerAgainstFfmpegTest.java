package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.look.Framing;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Framer;
import app.latethistle.core.take.PictureShape;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Our scaling held against ffmpeg's filters (swscale), and both against what is ideal. */
class FramerAgainstFfmpegTest {
  @ParameterizedTest
  @CsvSource({
    "1280, 720, 1920, 1080",
    "1920, 1080, 1280, 720",
    "1920, 1080, 640, 360",
    "1024, 576, 1920, 1080",
  })
  void isFfmpegsLanczosButForRounding(int fromW, int fromH, int toW, int toH) throws IOException {
    // A still, smooth picture with edges. Errors of a code everywhere would make 48 dB.
    String picture = "mandelbrot=s=" + fromW + "x" + fromH + ",format=yuv420p,gblur=1";
    Frame source = Ffmpeg.frame(picture, fromW, fromH);
    Frame theirs =
        Ffmpeg.frame(
            picture
                + ",scale="
                + toW
                + ":"
                + toH
                + ":flags=lanczos+accurate_rnd"
                // Chroma at the left of each pair and between two rows, as films have it.
                + ":in_h_chr_pos=0:in_v_chr_pos=128:out_h_chr_pos=0:out_v_chr_pos=128",
            toW,
            toH);
    Frame ours = new Frame(toW, toH);
    Framer.of(PictureShape.of(fromW, fromH), toW, toH, Framing.FILL).draw(source, ours);
    int chroma = ours.offset(1);
    assertThat(Ffmpeg.psnr(ours.data(), theirs.data(), 0, chroma)).isGreaterThan(54);
    assertThat(Ffmpeg.psnr(ours.data(), theirs.data(), chroma, ours.data().length))
        .isGreaterThan(50);
  }

  /** A zone plate: rings that are finer farther out, up to so many 360ths of the height. */
  private static byte[] plate(int width, int height, double finest) {
    byte[] luma = new byte[width * height * 3 / 2];
    Arrays.fill(luma, width * height, luma.length, (byte) 128);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        // Places as shares of the height, so that every size has the same rings.
        double u = (x + 0.5 - width / 2.0) / height;
        double v = (y + 0.5 - height / 2.0) / height;
        double far = u * u + v * v;
        double rings = far * 360 / finest;
        // Past the finest ring it is flat, for there a picture of that size could hold no finer
        // one.
        double strength = Math.max(0, Math.min(1, (0.25 - far) * 20));
        double wave = strength * Math.cos(2 * Math.PI * rings);
        luma[y * width + x] = (byte) Math.round(126 + 100 * wave);
      }
    }
    return luma;
  }

  /**
   * Against what the rings are at the new size, ours is within 1.3 dB of ffmpeg's best, its spline.
   */
  @ParameterizedTest
  @CsvSource({
    "640, 360, 960, 540",
    "640, 360, 1280, 720",
    "640, 360, 704, 396",
    "1280, 720, 960, 540"
  })
  void isAsTrueToAZonePlateAsFfmpegsBest(int fromW, int fromH, int toW, int toH)
      throws IOException {
    Path file = Files.createTempFile("plate", ".yuv");
    try {
      byte[] from = plate(fromW, fromH, 3.2);
      byte[] ideal = plate(toW, toH, 3.2);
      Files.write(file, from);
      double best = 0;
      for (String flags : new String[] {"bicubic", "lanczos", "spline", "area", "bilinear"}) {
        byte[] theirs =
            Ffmpeg.run(
                "-f",
                "rawvideo",
                "-pix_fmt",
                "yuv420p",
                "-s",
                fromW + "x" + fromH,
                "-i",
                file.toString(),
                "-vf",
                "scale=" + toW + ":" + toH + ":flags=" + flags + "+accurate_rnd",
                "-f",
                "rawvideo",
                "pipe:1");
        best = Math.max(best, Ffmpeg.psnr(theirs, ideal, 0, toW * toH));
      }
      Frame ours = new Frame(toW, toH);
      Framer.of(PictureShape.of(fromW, fromH), toW, toH, Framing.FILL)
          .draw(new Frame(fromW, fromH, from), ours);
      assertThat(Ffmpeg.psnr(ours.data(), ideal, 0, toW * toH)).isGreaterThan(best - 1.3);
    } finally {
      Files.delete(file);
    }
  }
}
