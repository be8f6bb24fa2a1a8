package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.grade.Counts;
import app.latethistle.core.grade.Scopes;
import java.io.IOException;
import org.junit.jupiter.api.Test;

/** The same bins as ffmpeg's waveform and vectorscope filters, in which a sample adds one code. */
class ScopesAgainstFfmpegTest {
  private static final int WIDTH = 320;
  private static final int HEIGHT = 180;
  private static final String SCENE =
      "testsrc2=s=320x180:rate=25,noise=alls=12:all_seed=3,hue=s=0.7,format=yuv420p";

  /** One code of a count, of the 255 that the filters draw as full. */
  private static final String ONE = "intensity=0.004";

  @Test
  void theWaveformOfLumaHasTheSameCounts() throws IOException {
    Counts ours = Scopes.of(Ffmpeg.frame(SCENE, WIDTH, HEIGHT)).luma();
    byte[] theirs =
        Ffmpeg.picture(SCENE + ",extractplanes=y,waveform=mode=column:mirror=1:" + ONE, "gray");
    for (int x = 0; x < WIDTH; x++) {
      for (int y = 0; y < 256; y++) {
        int their = theirs[(255 - y) * WIDTH + x] & 0xff;
        assertThat(ours.at(x, y)).as("column %d, level %d", x, y).isEqualTo(their);
      }
    }
  }

  @Test
  void theVectorscopeHasTheSameCounts() throws IOException {
    Counts ours = Scopes.of(Ffmpeg.frame(SCENE, WIDTH, HEIGHT)).vectors();
    byte[] theirs = Ffmpeg.picture(SCENE + ",vectorscope=mode=gray:" + ONE, "yuv444p");
    int seen = 0;
    for (int x = 0; x < 256; x++) {
      for (int y = 0; y < 256; y++) {
        int their = theirs[(255 - y) * 256 + x] & 0xff;
        int our = Math.min(255, ours.at(x, y));
        assertThat(our).as("Cb %d, Cr %d", x, y).isEqualTo(their);
        seen += our > 0 ? 1 : 0;
      }
    }
    assertThat(seen).isGreaterThan(200);
  }
}
