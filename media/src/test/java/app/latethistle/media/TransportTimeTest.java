package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.time.FrameRate;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class TransportTimeTest {
  @TempDir Path folder;

  private Path piece() throws IOException {
    Path piece = folder.resolve("piece.ts");
    try (VideoEncoder encoder = VideoEncoder.preview(piece, 64, 36, FrameRate.FPS_24)) {
      Frame frame = new Frame(64, 36);
      frame.black();
      for (int i = 0; i < 30; i++) {
        encoder.write(frame);
      }
      encoder.end();
      encoder.await();
    }
    return piece;
  }

  /** What ffprobe reads of a field of every packet. */
  private static List<Double> times(Path file, String field) throws IOException {
    Process process =
        new ProcessBuilder(
                "ffprobe",
                "-v",
                "error",
                "-show_entries",
                "packet=" + field,
                "-of",
                "csv=p=0",
                file.toString())
            .start();
    String text = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    return Stream.of(text.split("[\\s,]+")).filter(s -> !s.isEmpty()).map(Double::valueOf).toList();
  }

  @Test
  void aPieceIsPlayedWhereItIsPut() throws IOException {
    Path piece = piece();
    assertThat(times(piece, "pts_time")).hasSize(30);
    double start = times(piece, "pts_time").get(0);
    for (double later : new double[] {0, 2.5, 59.875, 7_201}) {
      byte[] moved = Files.readAllBytes(piece);
      TransportTime.shift(moved, Math.round(later * TransportTime.TICKS));
      Path there = folder.resolve("moved.ts");
      Files.write(there, moved);
      for (String field : List.of("pts_time", "dts_time")) {
        List<Double> times = times(there, field);
        assertThat(times).hasSize(30);
        for (int i = 0; i < times.size(); i++) {
          assertThat(times.get(i)).isCloseTo(start + later + i / 24.0, within(2e-5));
        }
      }
    }
  }

  @Test
  void thereAndBackIsTheSameBytes() throws IOException {
    byte[] piece = Files.readAllBytes(piece());
    byte[] moved = piece.clone();
    TransportTime.shift(moved, 8_000_000_000L);
    assertThat(moved).isNotEqualTo(piece);
    TransportTime.shift(moved, -8_000_000_000L);
    assertThat(moved).isEqualTo(piece);
  }

  @Test
  void whatIsNoStreamIsRefused() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> TransportTime.shift(new byte[188], 1))
        .withMessageContaining("byte 0");
  }
}
