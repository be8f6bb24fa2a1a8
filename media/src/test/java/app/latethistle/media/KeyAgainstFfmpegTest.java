package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.look.Key;
import app.latethistle.core.picture.Backing;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Keyer;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Our key held against ffmpeg's chromakey, each at the best of some settings, on a picture of
 * ffmpeg's own, cut out by a known opacity and laid before a backing: even, uneven with noise, and
 * compressed. The picture has much green in it, so a green backing is the hard case: an even one is
 * where theirs is as good as ours.
 */
class KeyAgainstFfmpegTest {
  private static final int WIDTH = 320;
  private static final int HEIGHT = 180;

  /** A blob with soft edges and a bar, as an expression of ffmpeg's geq filter, 0 to 255. */
  private static final String OPACITY =
      "clip(128+24*max(max(42-hypot(X-170,Y-70),(1-hypot((X-170)/70,(Y-180)/80))*60),"
          + "5-abs(X-Y-90)),0,255)";

  @TempDir Path folder;

  /** Lays a cut-out before a backing; the filter after that is what happens to the file. */
  private Path composite(String backing, String after, String... encoding) throws IOException {
    Path file = folder.resolve("before.mkv");
    String[] head = {
      "-filter_complex",
      "mandelbrot=s=320x180:rate=1:start_scale=0.4,trim=end_frame=1,hue=s=0.25,format=rgb24[f];"
          + "color=black:s=320x180:r=1,trim=end_frame=1,format=gray,geq=lum='"
          + OPACITY
          + "'[m];color="
          + backing
          + ":s=320x180:r=1,trim=end_frame=1,format=rgb24"
          + after
          + "[b];[f][m]alphamerge[c];[b][c]overlay=format=rgb,"
          + "scale=out_color_matrix=bt709:out_range=tv:flags=area+accurate_rnd+full_chroma_int,"
          + "format=yuv420p[v]",
      "-map",
      "[v]"
    };
    String[] all = new String[head.length + encoding.length + 1];
    System.arraycopy(head, 0, all, 0, head.length);
    System.arraycopy(encoding, 0, all, head.length, encoding.length);
    all[all.length - 1] = file.toString();
    Ffmpeg.run(all);
    return file;
  }

  private static byte[] raw(Path file, String filter, String format) throws IOException {
    return Ffmpeg.run(
        "-i",
        file.toString(),
        "-vf",
        filter,
        "-frames:v",
        "1",
        "-pix_fmt",
        format,
        "-f",
        "rawvideo",
        "pipe:1");
  }

  private static double error(byte[] opacity, byte[] known) {
    double sum = 0;
    for (int i = 0; i < known.length; i++) {
      sum += Math.abs((opacity[i] & 0xff) - (known[i] & 0xff)) / 255.0;
    }
    return sum / known.length;
  }

  /**
   * @param most the mean absolute error that is allowed
   * @param against of theirs that ours may have
   */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "0x20a83c |                                            | -c:v ffv1             | 0.03 | 1.15",
        "0x2850d0 |                                            | -c:v ffv1             | 0.03 | 1",
        "0x20a83c | ,vignette=a=0.5,noise=alls=10:allf=t       | -c:v ffv1             | 0.06 | 1",
        "0x20a83c | ,vignette=a=0.4                            | -c:v libx264 -crf 30  | 0.06 | 1",
        "0x2850d0 | ,vignette=a=0.4,noise=alls=6:allf=t        | -c:v libx264 -crf 26  | 0.06 | 1",
      })
  void isNearerToTheTruth(
      String backing, String after, String encoding, double most, double against)
      throws IOException {
    Path file = composite(backing, after == null ? "" : after, encoding.split(" "));
    byte[] known =
        Ffmpeg.run(
            "-f",
            "lavfi",
            "-i",
            "color=black:s=320x180:r=1,format=gray,geq=lum='" + OPACITY + "'",
            "-frames:v",
            "1",
            "-pix_fmt",
            "gray",
            "-f",
            "rawvideo",
            "pipe:1");
    Frame frame = new Frame(WIDTH, HEIGHT, raw(file, "null", "yuv420p"));
    int found = Backing.of(frame).orElseThrow();
    double ours = 1;
    for (int tolerance : List.of(5, 15, 30, 45)) {
      for (int softness : List.of(10, 20, 35, 50, 65)) {
        Key key = new Key(found, tolerance, softness, 100, 0);
        Keyer keyer = new Keyer(List.of(key), WIDTH, HEIGHT);
        keyer.draw(frame);
        ours = Math.min(ours, error(keyer.opacity(), known));
      }
    }
    double theirs = 1;
    for (double similarity : List.of(0.03, 0.06, 0.1, 0.15, 0.2, 0.3)) {
      for (double blend : List.of(0.0, 0.05, 0.1, 0.2, 0.3)) {
        String key =
            String.format(
                Locale.ROOT,
                "format=yuva420p,chromakey=0x%06x:%.3f:%.3f,alphaextract",
                found,
                similarity,
                blend);
        theirs = Math.min(theirs, error(raw(file, key, "gray"), known));
      }
    }
    System.out.printf("key %s%s: ours %.4f, chromakey %.4f%n", backing, after, ours, theirs);
    assertThat(ours).isLessThan(most).isLessThan(against * theirs);
    Files.delete(file);
  }
}
