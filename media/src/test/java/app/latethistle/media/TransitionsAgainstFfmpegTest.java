package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.look.TransitionManner;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.TransitionPainter;
import java.io.IOException;
import java.util.Arrays;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Our transitions held against those of ffmpeg's xfade filter, frame by frame. */
class TransitionsAgainstFfmpegTest {
  private static final int WIDTH = 318;
  private static final int HEIGHT = 178;
  private static final int FRAMES = 11;
  private static final String ONE = "mandelbrot=s=318x178:rate=25,gblur=2,hue=s=0.6";
  private static final String OTHER = "testsrc2=s=318x178:rate=25,gblur=4,hue=s=0.6";

  /** One picture, held. */
  private static String held(String source) {
    return source + ",trim=end_frame=1,loop=-1:1:0,setpts=N/25/TB,trim=end_frame=60,format=yuv420p";
  }

  /** All frames of ffmpeg's; it counts in its own pixels where black and white are 0 and 255. */
  private static byte[] theirs(String name, boolean rgb) throws IOException {
    String in =
        rgb ? ",scale=in_color_matrix=bt709:flags=accurate_rnd+full_chroma_int,format=gbrp" : "";
    String out =
        rgb
            ? ",scale=out_color_matrix=bt709:out_range=tv:flags=accurate_rnd+full_chroma_int,format=yuv420p"
            : "";
    return Ffmpeg.run(
        "-filter_complex",
        held(ONE)
            + in
            + "[a];"
            + held(OTHER)
            + in
            + "[b];[a][b]xfade=transition="
            + name
            + ":duration="
            + FRAMES / 25.0
            + ":offset=0"
            + out
            + ",trim=end_frame="
            + FRAMES
            + "[v]",
        "-map",
        "[v]",
        "-pix_fmt",
        "yuv420p",
        "-f",
        "rawvideo",
        "pipe:1");
  }

  @ParameterizedTest
  @CsvSource({
    "fade, DISSOLVE, 0, 0, 0, false",
    "fadeblack, THROUGH, 0, 0, 0, true",
    "fadewhite, THROUGH, 0, 0, 16777215, true",
    "wipeleft, WIPE, 180, 0, 0, false",
    "wiperight, WIPE, 0, 0, 0, false",
    "wipeup, WIPE, 270, 0, 0, false",
    "wipedown, WIPE, 90, 0, 0, false",
    "slideleft, PUSH, 180, 0, 0, false",
    "slideright, PUSH, 0, 0, 0, false",
    "slideup, PUSH, 270, 0, 0, false",
    "slidedown, PUSH, 90, 0, 0, false",
    "circleopen, CIRCLE, 0, 100, 0, false",
  })
  void areTheSameButForRounding(
      String name, TransitionKind kind, int angle, int softness, int colour, boolean rgb)
      throws IOException {
    Frame one = Ffmpeg.frame(held(ONE), WIDTH, HEIGHT);
    Frame other = Ffmpeg.frame(held(OTHER), WIDTH, HEIGHT);
    byte[] all = theirs(name, rgb);
    TransitionManner manner =
        TransitionManner.PLAIN.withAngle(angle).withSoftness(softness).withColour(colour);
    TransitionPainter painter = TransitionPainter.of(kind, manner, WIDTH, HEIGHT);
    Frame ours = new Frame(WIDTH, HEIGHT);
    int size = ours.data().length;
    assertThat(all.length).isEqualTo(FRAMES * size);
    // Its frame 0 has a line of the other picture, or of none, at an edge already.
    for (int k = 1; k < FRAMES; k++) {
      painter.draw(one, other, (double) k / FRAMES, ours);
      byte[] frame = Arrays.copyOfRange(all, k * size, (k + 1) * size);
      // It works at full chroma resolution, so its chroma at an edge is that of two scalings.
      double agree = Ffmpeg.psnr(ours.data(), frame, 0, WIDTH * HEIGHT);
      assertThat(agree).as("%s, frame %d", name, k).isGreaterThan(45);
    }
  }
}
