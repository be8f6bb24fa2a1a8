package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.latethistle.core.release.Encoding;
import app.latethistle.core.release.Quality;
import app.latethistle.core.time.FrameRate;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is told while a file is written, and what is left of one that is stopped. */
class OutputFileTest {
  private static final int FRAMES = 72;

  @TempDir private static Path folder;

  private static Path drawn;

  @BeforeAll
  static void draw() throws IOException {
    drawn = folder.resolve("drawn.mkv");
    String source = "testsrc2=s=320x180:r=24,trim=end_frame=" + FRAMES;
    Child.output(
        List.of("ffmpeg", "-v", "error", "-f", "lavfi", "-i", source, "-c:v", "ffv1", drawn + ""),
        120);
  }

  /** Keeps what it is told, and stops when it has heard of so many frames. */
  private static final class Kept implements MasterRender.Progress {
    private final List<Long> told = new ArrayList<>();
    private final long enough;

    Kept(long enough) {
      this.enough = enough;
    }

    @Override
    public void frames(long done) {
      told.add(done);
    }

    @Override
    public boolean isCancelled() {
      return !told.isEmpty() && told.get(told.size() - 1) >= enough;
    }
  }

  private static OutputFile as(Encoding encoding, Optional<Double> megabytes) {
    return new OutputFile(
        encoding, Quality.STANDARD, megabytes, FrameRate.FPS_24, FRAMES, Tags.NONE);
  }

  @ParameterizedTest
  @CsvSource({"WEBM_VP9, ", "MOV_422, ", "GIF, ", "MP4, 0.2"})
  void tellsHowFarItIs(Encoding encoding, Double megabytes) throws IOException {
    Kept kept = new Kept(Long.MAX_VALUE);
    Path file = folder.resolve("told" + encoding.suffix());
    as(encoding, Optional.ofNullable(megabytes))
        .write(Optional.of(drawn), Optional.empty(), file, kept);
    assertThat(kept.told).allMatch(frames -> frames >= 0 && frames <= FRAMES);
    if (megabytes == null) {
      assertThat(kept.told).isSorted();
    } else {
      assertThat(kept.told.get(0)).as("the first pass").isLessThanOrEqualTo(FRAMES / 2);
    }
    assertThat(kept.told.get(kept.told.size() - 1)).isBetween(FRAMES - 2L, (long) FRAMES);
    assertThat(Probe.probe(file).frames()).isEqualTo(FRAMES);
  }

  @Test
  void leavesNothingWhenItIsStopped() throws IOException {
    Path alone = Files.createDirectory(folder.resolve("alone"));
    Path file = alone.resolve("stopped.webm");
    Kept kept = new Kept(0);
    assertThatThrownBy(
            () ->
                as(Encoding.WEBM_VP9, Optional.empty())
                    .write(Optional.of(drawn), Optional.empty(), file, kept))
        .isInstanceOf(CancellationException.class);
    try (Stream<Path> left = Files.list(alone)) {
      assertThat(left).isEmpty();
    }
  }
}
