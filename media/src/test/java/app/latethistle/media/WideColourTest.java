package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.render.PictureSource;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Charts that zscale brought into wide colours, and that ours brings back. */
class WideColourTest {
  private static final int WIDTH = 320;
  private static final int HEIGHT = 180;
  private static final String SDR = "zscale=pin=709:tin=709:min=709:rin=limited";
  private static final String PQ =
      SDR + ":p=2020:t=smpte2084:m=2020_ncl:r=limited:npl=203,format=yuv420p10le";

  @TempDir Path folder;

  private static String grey(int code) {
    return "color=s=320x180:rate=24:d=1,format=yuv420p,geq=lum=" + code + ":cb=128:cr=128";
  }

  @ParameterizedTest
  @CsvSource({"BT2020, 2020, 2020_10, 2020_ncl", "P3, smpte432, 709, 709"})
  void aChartComesBackWithItsColours(WideColour wide, String primaries, String transfer, String m)
      throws IOException {
    String chart = "testsrc2=s=320x180:rate=24,hue=s=0.5,gblur=1.5,format=yuv420p";
    String there =
        SDR + String.format(":p=%s:t=%s:m=%s:r=limited,format=yuv420p10le", primaries, transfer, m);
    Frame before = Ffmpeg.frame(chart, WIDTH, HEIGHT);
    Frame after = Ffmpeg.frame(chart + "," + there + "," + wide.filters(false), WIDTH, HEIGHT);
    int end = before.data().length;
    assertThat(Ffmpeg.psnr(before.data(), after.data(), 0, before.offset(1))).isGreaterThan(42);
    assertThat(Ffmpeg.psnr(before.data(), after.data(), before.offset(1), end)).isGreaterThan(38);
  }

  /** BT.2390: up to the knee, 88 of 203 cd/m2, all stays; that is code 170 of a BT.709 signal. */
  @ParameterizedTest
  @CsvSource({"16", "40", "80", "120", "150"})
  void whatIsUnderTheKneeStays(int code) throws IOException {
    Frame after =
        Ffmpeg.frame(grey(code) + "," + PQ + "," + WideColour.PQ.filters(false), WIDTH, HEIGHT);
    assertThat(after.data()[90 * WIDTH + 160] & 0xff).isCloseTo(code, within(2));
  }

  @Test
  void whatIsBrighterThanWhiteIsBroughtUnderIt() throws IOException {
    String pq = "format=yuv420p10le," + WideColour.PQ.filters(false);
    int last = 0;
    for (int nits : new int[] {100, 203, 400, 700, 1000}) {
      long code = Math.round(64 + 876 * WideColour.pq(nits));
      Frame seen =
          Ffmpeg.frame(
              "color=s=320x180:rate=24:d=1,format=yuv420p10le,geq=lum="
                  + code
                  + ":cb=512:cr=512,"
                  + pq,
              WIDTH,
              HEIGHT);
      int luma = seen.data()[90 * WIDTH + 160] & 0xff;
      assertThat(luma).as("%d cd/m2", nits).isGreaterThan(last);
      last = luma;
    }
    assertThat(last).as("1000 cd/m2 is white").isCloseTo(235, within(2));
  }

  @Test
  void aFileSaysItAndIsReadSo() throws IOException {
    Path file = folder.resolve("wide.mp4");
    Ffmpeg.run(
        "-f",
        "lavfi",
        "-i",
        grey(120) + "," + PQ,
        "-frames:v",
        "6",
        "-c:v",
        "libx264",
        "-color_primaries",
        "bt2020",
        "-color_trc",
        "smpte2084",
        "-colorspace",
        "bt2020nc",
        file.toString());
    MediaFacts facts = Probe.probe(file);
    assertThat(facts.wide()).contains(WideColour.PQ);
    try (PictureSource.Reader reader =
        ClipReader.open(file, facts, FrameRate.FPS_24, new FrameRange(0, 1), Optional.empty())) {
      assertThat(reader.next().data()[90 * WIDTH + 160] & 0xff).isCloseTo(120, within(2));
    }
  }
}
