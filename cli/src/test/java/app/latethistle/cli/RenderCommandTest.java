package app.latethistle.cli;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.media.Probe;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class RenderCommandTest {
  private static final Path DEMO = Path.of("..", "demo");

  @TempDir Path folder;
  private Path lamp;
  private String told;

  @BeforeEach
  void clips() throws IOException {
    lamp = Files.copy(clip("shot_040_take1"), folder.resolve("lamp.mp4"));
    Files.copy(clip("shot_080_take2"), folder.resolve("steeple.mp4"));
    Files.copy(DEMO.resolve("slow bellows.m4a"), folder.resolve("bellows.m4a"));
  }

  private static Path clip(String beginning) throws IOException {
    try (Stream<Path> files = Files.list(DEMO)) {
      return files
          .filter(f -> f.getFileName().toString().startsWith(beginning))
          .findFirst()
          .orElseThrow();
    }
  }

  private int render(String... arguments) {
    Terminal.Said said =
        Terminal.run(
            Stream.concat(Stream.of("render"), Arrays.stream(arguments)).toArray(String[]::new));
    told = said.err();
    return said.code();
  }

  /** Two shots of two seconds with a dissolve between them, to a song. */
  private String film() throws IOException {
    Path file = folder.resolve("film.json");
    Files.writeString(
        file,
        """
        {
          "lateThistleFilm": 1,
          "picture": {"width": 640, "height": 360},
          "rate": "24",
          "takes": [
            {"id": "lamp", "media": {"path": "lamp.mp4"}},
            {"id": "steeple", "media": {"path": "steeple.mp4"}}
          ],
          "song": {"media": {"path": "bellows.m4a"}, "beats": [0, 32000, 64000, 96000, 192000]},
          "outputs": [
            {"name": "wide", "width": 640, "height": 360},
            {"name": "upright", "width": 204, "height": 360, "start": 24, "end": 72}
          ],
          "film": {
            "placements": [{"id": "010", "take": "lamp"}, {"id": "020", "take": "steeple", "in": 12}],
            "joints": [
              {"at": {"tie": "free", "frame": 0}},
              {"at": {"tie": "beat", "beat": 3},
               "transition": {"kind": "DISSOLVE", "amount": 8}},
              {"at": {"tie": "beat", "beat": 4}}
            ]
          }
        }
        """);
    return file.toString();
  }

  @Test
  void drawsAFilmWithItsSound() throws IOException {
    Path out = folder.resolve("film.mp4");
    assertThat(render(film(), "--out", out.toString())).as(told).isZero();
    assertThat(told).contains("96 frames, picture and sound 4.000 s");
    assertThat(Probe.probe(out).sound()).isTrue();
    Path upright = folder.resolve("upright.mp4");
    assertThat(render(film(), "--output", "upright", "--out", upright.toString())).isZero();
    assertThat(told).contains("48 frames");
    assertThat(Probe.probe(upright).shape().orElseThrow().width()).isEqualTo(204);
  }

  /** A frame of a plain shot is the take's, as ffmpeg draws it. */
  @Test
  void drawsFramesAsPictures() throws IOException, InterruptedException {
    Path pictures = folder.resolve("pictures");
    assertThat(render(film(), "--frames", "30-44", "--png", pictures.toString())).isZero();
    try (Stream<Path> made = Files.list(pictures)) {
      assertThat(made.map(f -> f.getFileName().toString()).sorted())
          .hasSize(15)
          .startsWith("000030.png")
          .endsWith("000044.png");
    }
    Path theirs = folder.resolve("theirs.png");
    List<String> command =
        List.of(
            "ffmpeg",
            "-v",
            "error",
            "-i",
            lamp.toString(),
            "-vf",
            "fps=24,select=eq(n\\,30),scale=640:360:flags=lanczos",
            "-frames:v",
            "1",
            theirs.toString());
    assertThat(new ProcessBuilder(command).inheritIO().start().waitFor()).isZero();
    assertThat(psnr(pictures.resolve("000030.png"), theirs)).isGreaterThan(38);
    // In the dissolve it is not the take's any more.
    assertThat(psnr(pictures.resolve("000044.png"), pictures.resolve("000043.png")))
        .isGreaterThan(20)
        .isLessThan(60);
  }

  private static double psnr(Path one, Path other) throws IOException {
    BufferedImage a = ImageIO.read(one.toFile());
    BufferedImage b = ImageIO.read(other.toFile());
    double sum = 0;
    for (int y = 0; y < a.getHeight(); y++) {
      for (int x = 0; x < a.getWidth(); x++) {
        for (int shift = 0; shift <= 16; shift += 8) {
          double d = (a.getRGB(x, y) >> shift & 0xff) - (b.getRGB(x, y) >> shift & 0xff);
          sum += d * d;
        }
      }
    }
    return 10 * Math.log10(255 * 255 * 3.0 * a.getWidth() * a.getHeight() / sum);
  }

  @Test
  void saysWhatIsWrong() throws IOException {
    String good = film();
    assertThat(render(good)).isEqualTo(2);
    assertThat(told).contains("--out FILE.mp4");
    assertThat(render(good, "--output", "square", "--png", folder.toString())).isEqualTo(1);
    assertThat(told).contains("no output 'square'; it has wide, upright");
    assertThat(render(good, "--frames", "90-96", "--png", folder.toString())).isEqualTo(2);
    assertThat(told).contains("not within frames 0-95");
    String text = Files.readString(Path.of(good));
    Path bad = folder.resolve("bad.json");
    Files.writeString(bad, text.replace("\"amount\": 8", "\"amount\": -8"));
    assertThat(render(bad.toString(), "--png", folder.toString())).isEqualTo(1);
    assertThat(told).contains("bad.json: /film/joints/1/transition/amount");
    Files.writeString(bad, text.replace("steeple.mp4", "tower.mp4"));
    assertThat(render(bad.toString(), "--png", folder.toString())).isEqualTo(1);
    assertThat(told).contains("tower.mp4: there is no such file");
    Files.writeString(
        bad,
        text.replace(
            "\"path\": \"lamp.mp4\"",
            "\"path\": \"lamp.mp4\", \"sha256\": \"" + "a".repeat(64) + '"'));
    assertThat(render(bad.toString(), "--png", folder.toString())).isEqualTo(1);
    assertThat(told).contains("another file than the document was made with");
  }
}
