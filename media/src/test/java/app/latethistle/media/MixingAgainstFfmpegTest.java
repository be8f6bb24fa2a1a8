package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.look.LiePath;
import app.latethistle.core.look.Mixing;
import app.latethistle.core.picture.Cutout;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Overlaying;
import java.io.IOException;
import java.util.Locale;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How layers mix, turn and are placed, held against ffmpeg's blend, rotate and overlay filters. */
class MixingAgainstFfmpegTest {
  private static final int WIDTH = 320;
  private static final int HEIGHT = 180;
  private static final String UNDER = "mandelbrot=s=320x180:rate=1:start_scale=0.4";
  private static final String OVER = "testsrc2=s=320x180:r=1,gblur=3";
  private static final String TO_RGB = ",scale=in_color_matrix=bt709:flags=neighbor,format=gbrp";
  private static final String TO_YUV =
      ",scale=out_color_matrix=bt709:out_range=tv:flags=area+accurate_rnd,format=yuv420p";

  private static Frame drawn(LiePath.Moment lie, Overlaying.Manner manner) throws IOException {
    Frame target = Ffmpeg.frame(UNDER + TO_RGB + TO_YUV, WIDTH, HEIGHT);
    Frame over = Ffmpeg.frame(OVER + TO_RGB + TO_YUV, WIDTH, HEIGHT);
    new Overlaying(WIDTH, HEIGHT).draw(Cutout.whole(over), lie, manner, target);
    return target;
  }

  private static double psnr(Frame ours, Frame theirs) {
    return Ffmpeg.psnr(ours.data(), theirs.data(), 0, WIDTH * HEIGHT);
  }

  @ParameterizedTest
  @CsvSource({
    "ADD, addition",
    "MULTIPLY, multiply",
    "SCREEN, screen",
    "DARKEN, darken",
    "LIGHTEN, lighten",
    "OVERLAY, overlay"
  })
  void mixesAsTheirsDoes(Mixing mixing, String mode) throws IOException {
    String both = UNDER + TO_RGB + TO_YUV + TO_RGB + "[a];" + OVER + TO_RGB + TO_YUV + TO_RGB;
    // Theirs asks of its first picture where it is dark; the other kinds know no order.
    Frame theirs = Ffmpeg.frame(both + "[b];[a][b]blend=all_mode=" + mode + TO_YUV, WIDTH, HEIGHT);
    Frame ours =
        drawn(
            new LiePath.Moment(1, 1, 0.5, 0.5, 0),
            new Overlaying.Manner(true, mixing, /* wrap= */ 0));
    assertThat(psnr(ours, theirs)).isGreaterThan(42);
  }

  @ParameterizedTest
  @CsvSource({"0.4, 0.5, 0.5, 0.3", "0.5, 0.25, 0.6, 0", "0.6, 0.7, 0.4, -0.8"})
  void liesWhereTheirsDoes(double size, double x, double y, double turn) throws IOException {
    int w = (int) (WIDTH * size);
    int h = (int) (HEIGHT * size);
    int side = 320;
    String over =
        String.format(
            Locale.ROOT,
            "%s%s%s,scale=%d:%d:flags=lanczos,format=yuva444p,"
                + "pad=%d:%d:(ow-iw)/2:(oh-ih)/2:color=black@0,rotate=%f:c=black@0",
            OVER,
            TO_RGB,
            TO_YUV,
            w,
            h,
            side,
            side,
            turn);
    String filter =
        String.format(
            Locale.ROOT,
            "%s%s%s[a];%s[b];[a][b]overlay=%d:%d%s",
            UNDER,
            TO_RGB,
            TO_YUV,
            over,
            Math.round(x * WIDTH - side / 2.0),
            Math.round(y * HEIGHT - side / 2.0),
            ",format=yuv420p");
    Frame theirs = Ffmpeg.frame(filter, WIDTH, HEIGHT);
    Frame ours =
        drawn(
            new LiePath.Moment(1, size, x, y, turn),
            new Overlaying.Manner(false, Mixing.NORMAL, /* wrap= */ 0));
    assertThat(psnr(ours, theirs)).isGreaterThan(34);
  }
}
