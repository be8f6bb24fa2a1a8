package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.film.Run;
import app.latethistle.core.look.Framing;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Framer;
import app.latethistle.core.render.Compositor;
import app.latethistle.core.render.Layer;
import app.latethistle.core.render.PictureSource;
import app.latethistle.core.render.Program;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * A frame of the preview, from a clip's light copy, is the master's frame made as small: at least
 * 38 dB, and the mean of each plane within a code. Every clip of the demo is a case.
 */
class PreviewAgreesTest {
  private static final FrameRate RATE = FrameRate.FPS_24;
  private static final long FRAME = 30;

  @TempDir Path folder;

  static List<Path> clips() throws IOException {
    try (Stream<Path> files = Files.list(Path.of("..", "demo"))) {
      return files
          .filter(f -> f.toString().matches(".*\\.(mp4|mov|webm)"))
          .filter(f -> f.toString().contains("take1"))
          .sorted()
          .toList();
    }
  }

  @ParameterizedTest
  @MethodSource("clips")
  void aFrameOfThePreviewIsTheMastersFrameMadeSmall(Path clip) throws IOException {
    MediaFacts facts = Probe.probe(clip);
    Path copy = folder.resolve("copy");
    ProxyFile.make(clip, facts, RATE, copy, done -> {});
    ProxyFile proxy = ProxyFile.open(copy, ProxyFile.shapeOf(facts.shape().orElseThrow()));
    Frame small = frame(facts, 640, 360, (media, frames, wish) -> proxy.reader(frames));
    Frame large =
        frame(
            facts,
            1920,
            1080,
            new Originals(
                Map.of("clip", new Originals.Original(clip, facts)),
                RATE,
                Originals.NO_TABLES,
                ShippedFaces.all()));
    Frame scaled = new Frame(640, 360);
    Framer.of(PictureShape.of(1920, 1080), 640, 360, Framing.FILL).draw(large, scaled);
    assertThat(psnr(small, scaled)).isGreaterThan(38);
    for (int plane = 0; plane < 3; plane++) {
      assertThat(Math.abs(mean(small, plane) - mean(scaled, plane))).isLessThan(1);
    }
  }

  private static Frame frame(MediaFacts facts, int width, int height, PictureSource source)
      throws IOException {
    FrameRange range = new FrameRange(0, 60);
    Layer shot = new Layer.Footage("clip", facts.framesAt(RATE), 0, Run.PLAIN, 60, Framing.FILL);
    Program program =
        new Program(
            new Layer.Sequence(List.of(new Layer.Part(range, shot))), 60, RATE, width, height);
    Frame kept = new Frame(width, height);
    new Compositor(program, source)
        .draw(
            new FrameRange(FRAME, FRAME + 1),
            drawn -> System.arraycopy(drawn.data(), 0, kept.data(), 0, kept.data().length));
    return kept;
  }

  private static double psnr(Frame a, Frame b) {
    double sum = 0;
    for (int i = 0; i < a.data().length; i++) {
      double d = (a.data()[i] & 255) - (b.data()[i] & 255);
      sum += d * d;
    }
    return 10 * Math.log10(255.0 * 255.0 * a.data().length / Math.max(1e-9, sum));
  }

  private static double mean(Frame frame, int plane) {
    int from = frame.offset(plane);
    int to = plane == 2 ? frame.data().length : frame.offset(plane + 1);
    double sum = 0;
    for (int i = from; i < to; i++) {
      sum += frame.data()[i] & 255;
    }
    return sum / (to - from);
  }
}
