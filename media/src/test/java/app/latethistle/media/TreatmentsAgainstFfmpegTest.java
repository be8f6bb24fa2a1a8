package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.TreatmentPainter;
import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Our treatments held against ffmpeg's own filters that do the same. */
class TreatmentsAgainstFfmpegTest {
  private static final int WIDTH = 400;
  private static final int HEIGHT = 200;
  private static final String SCENE =
      "mandelbrot=s=400x200:rate=25,gblur=1,hue=s=0.6,format=yuv420p";

  private static Frame ours(TreatmentKind kind, List<Double> values) throws IOException {
    Frame from = Ffmpeg.frame(SCENE, WIDTH, HEIGHT);
    Frame into = new Frame(WIDTH, HEIGHT);
    TreatmentPainter.of(kind, WIDTH, HEIGHT)
        .draw(from, into, new TreatmentPainter.Setting(values, 0, 1));
    return into;
  }

  /**
   * Sizes are in thousandths of 200 pixels.
   *
   * @param least agreement of luma in decibels: gblur and unsharp reckon their Gaussian otherwise
   *     (a recursion; (1, 2, 1) three times, which has a variance of 1.5 pixels); the others are
   *     the same but for rounding
   */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "gblur=sigma=3:steps=6       | BLUR    | 15     | 45",
        "gblur=sigma=8:steps=6       | BLUR    | 40     | 45",
        "gblur=sigma=0.8:steps=6     | BLUR    | 4      | 40",
        "hflip                       | MIRROR  | 0      | 90",
        "vflip                       | MIRROR  | 1      | 90",
        "pixelize=w=16:h=16          | MOSAIC  | 80     | 48",
        "pixelize=w=50:h=50          | MOSAIC  | 250    | 48",
        "unsharp=7:7:1.0:3:3:0       | SHARPEN | 100,6.1 | 38",
      })
  void areTheSame(String filter, TreatmentKind kind, String values, double least)
      throws IOException {
    Frame theirs = Ffmpeg.frame(SCENE + "," + filter.strip() + ",format=yuv420p", WIDTH, HEIGHT);
    Frame ours =
        ours(kind, List.of(values.strip().split(",")).stream().map(Double::valueOf).toList());
    double agree = Ffmpeg.psnr(ours.data(), theirs.data(), 0, WIDTH * HEIGHT);
    System.out.printf("%s: %.1f dB%n", filter.strip(), agree);
    assertThat(agree).as(filter).isGreaterThan(least);
  }

  /** It shifts planes of RGB; ours go there and back with the same matrices. */
  @ParameterizedTest
  @CsvSource({"0, 6, 0", "90, 0, 6", "180, -6, 0"})
  void planesMoveAsTheyDoThere(double angle, int right, int down) throws IOException {
    Frame theirs =
        Ffmpeg.frame(
            SCENE
                + ",scale=in_color_matrix=bt709:flags=neighbor+accurate_rnd+full_chroma_int,"
                + "format=gbrp,rgbashift=rh="
                + right
                + ":rv="
                + down
                + ":bh="
                + -right
                + ":bv="
                + -down
                + ",scale=out_color_matrix=bt709:out_range=tv:flags=area+accurate_rnd+full_chroma_int,format=yuv420p",
            WIDTH,
            HEIGHT);
    Frame ours = ours(TreatmentKind.PLANES, List.of(30.0, angle));
    double agree = Ffmpeg.psnr(ours.data(), theirs.data(), 0, WIDTH * HEIGHT);
    System.out.printf("rgbashift %.0f: %.1f dB%n", angle, agree);
    assertThat(agree).isGreaterThan(40);
  }

  /** Its signals R'G'B' multiplied, chroma too; 60 hundredths of a stop are 2^0.25 of a signal. */
  @Test
  void lightIsMultipliedAsItIsThere() throws IOException {
    Frame theirs =
        Ffmpeg.frame(
            SCENE
                + ",scale=in_color_matrix=bt709:flags=neighbor+accurate_rnd+full_chroma_int,"
                + "format=gbrp,lutrgb=r=val*0.8409:g=val*0.8409:b=val*0.7071,"
                + "scale=out_color_matrix=bt709:out_range=tv"
                + ":flags=area+accurate_rnd+full_chroma_int,format=yuv420p",
            WIDTH,
            HEIGHT);
    Frame ours = ours(TreatmentKind.LEVEL, List.of(-60.0, -60.0, -120.0));
    double luma = Ffmpeg.psnr(ours.data(), theirs.data(), 0, WIDTH * HEIGHT);
    double all = Ffmpeg.psnr(ours.data(), theirs.data(), WIDTH * HEIGHT, ours.data().length);
    System.out.printf("lutrgb: %.1f dB, chroma %.1f dB%n", luma, all);
    assertThat(luma).isGreaterThan(45);
    assertThat(all).isGreaterThan(40);
  }
}
