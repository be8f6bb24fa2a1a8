package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.look.Framing;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Framer;
import app.latethistle.core.take.PictureShape;
import java.io.IOException;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Our scaling held against ffmpeg's bicubic (swscale), on its own test picture. */
class FramerAgainstFfmpegTest {
  private static Frame frame(String filter, int width, int height) throws IOException {
    byte[] data =
        Ffmpeg.run(
            "-f",
            "lavfi",
            "-i",
            filter,
            "-frames:v",
            "1",
            "-pix_fmt",
            "yuv420p",
            "-f",
            "rawvideo",
            "pipe:1");
    return new Frame(width, height, data);
  }

  private static double psnr(byte[] a, byte[] b, int from, int to) {
    double sum = 0;
    for (int i = from; i < to; i++) {
      int d = (a[i] & 255) - (b[i] & 255);
      sum += d * d;
    }
    return 10 * Math.log10(255 * 255 / Math.max(1e-9, sum / (to - from)));
  }

  @ParameterizedTest
  @CsvSource({
    "1280, 720, 1920, 1080",
    "1920, 1080, 1280, 720",
    "1920, 1080, 640, 360",
    "1024, 576, 1920, 1080",
  })
  void isFfmpegsBicubicButForRounding(int fromW, int fromH, int toW, int toH) throws IOException {
    // A still, smooth picture with edges. Errors of a code everywhere would make 48 dB.
    String picture = "mandelbrot=s=" + fromW + "x" + fromH + ",format=yuv420p,gblur=1";
    Frame source = frame(picture, fromW, fromH);
    Frame theirs =
        frame(
            picture
                + ",scale="
                + toW
                + ":"
                + toH
                + ":flags=bicubic+accurate_rnd"
                + ":param0=0:param1=0.5"
                // Chroma at the left of each pair and between two rows, as films have it.
                + ":in_h_chr_pos=0:in_v_chr_pos=128:out_h_chr_pos=0:out_v_chr_pos=128",
            toW,
            toH);
    Frame ours = new Frame(toW, toH);
    Framer.of(PictureShape.of(fromW, fromH), toW, toH, Framing.FILL).draw(source, ours);
    int chroma = ours.offset(1);
    assertThat(psnr(ours.data(), theirs.data(), 0, chroma)).isGreaterThan(54);
    assertThat(psnr(ours.data(), theirs.data(), chroma, ours.data().length)).isGreaterThan(50);
  }
}
