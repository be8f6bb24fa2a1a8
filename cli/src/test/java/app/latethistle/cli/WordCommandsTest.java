package app.latethistle.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Titles and captions from a terminal. */
class WordCommandsTest {
  @TempDir Path folder;
  private String told;

  private int run(String... arguments) {
    Terminal.Said said = Terminal.run(arguments);
    told = said.all();
    return said.code();
  }

  private String title(String at, String file) {
    run(
        "title",
        "--text",
        "Night Post",
        "--design",
        "Soft main title",
        "--size",
        "640x360",
        "--at",
        at,
        "--out",
        folder.resolve(file).toString());
    return told;
  }

  @Test
  void aTitleIsDrawnAsItLandsAndAsItComes() throws IOException {
    title("0.2", "coming.png");
    title("1", "there.png");
    BufferedImage coming = ImageIO.read(folder.resolve("coming.png").toFile());
    BufferedImage there = ImageIO.read(folder.resolve("there.png").toFile());
    assertThat(there.getWidth()).isEqualTo(640);
    assertThat(ink(there)).isGreaterThan(2 * ink(coming)).isGreaterThan(3_000);
    assertThat(there.getRGB(0, 0) >>> 24).isZero();
  }

  private static int ink(BufferedImage picture) {
    int count = 0;
    for (int y = 0; y < picture.getHeight(); y++) {
      for (int x = 0; x < picture.getWidth(); x++) {
        count += picture.getRGB(x, y) >>> 24 > 200 ? 1 : 0;
      }
    }
    return count;
  }

  @Test
  void whatCannotBeDrawnIsSaid() {
    String out = folder.resolve("x.png").toString();
    assertThat(run("title", "--text", "x", "--design", "none", "--size", "64x36", "--out", out))
        .isNotZero();
    assertThat(told).contains("There is no design “none”").contains("Soft main title");
    run("title", "--text", "x", "--design", "Narrow card", "--size", "63x36", "--out", out);
    assertThat(told).contains("--size 63x36: give two even numbers");
    assertThat(title("90", "x.png")).contains("--at 90: this title is seen from 0 to");
  }

  @Test
  void spokenWordsBecomeCaptionsWithTheScriptsMarks() throws IOException {
    Path words = folder.resolve("words.csv");
    Files.writeString(
        words,
        """
        word,start_s,end_s,confidence
        then,0.50,0.80,1
        let,0.80,1.10,1
        it,1.10,1.30,1
        go,1.30,1.70,1
        whoever,3.00,3.60,1
        finds,3.60,4.00,1
        this,4.00,4.40,1
        knock,5.10,5.60,1
        twice,5.60,6.20,1
        """);
    Path script = folder.resolve("script.txt");
    Files.writeString(script, "Then let it go.\n\nWhoever finds this, knock twice.\n");
    Path out = folder.resolve("c.srt");
    assertThat(
            run(
                "captions",
                "--words",
                words.toString(),
                "--script",
                script.toString(),
                "--format",
                "srt",
                "--out",
                out.toString()))
        .isZero();
    assertThat(Files.readString(out))
        .isEqualTo(
            """
            1\r
            00:00:00,500 --> 00:00:01,708\r
            Then let it go.\r
            \r
            2\r
            00:00:03,000 --> 00:00:06,208\r
            Whoever finds this, knock twice.\r
            \r
            """);
    run("captions", "--words", words.toString(), "--format", "vtt", "--out", out.toString());
    assertThat(Files.readString(out))
        .startsWith("WEBVTT\n\n00:00:00.500 --> 00:00:01.708\nthen let");
    assertThat(told).contains("3 captions");
  }

  @Test
  void brokenTablesAreRefusedWithTheirRow() throws IOException {
    Path words = folder.resolve("words.csv");
    Files.writeString(words, "lake,1.0,soon\n");
    String out = folder.resolve("c.srt").toString();
    run("captions", "--words", words.toString(), "--format", "srt", "--out", out);
    assertThat(told).contains("words.csv, row 1: write a word, and its start and end in seconds");
    run("captions", "--words", words.toString(), "--format", "doc", "--out", out);
    assertThat(told).contains("'doc' is no form of captions");
    run("captions", "--words", "none.csv", "--format", "srt", "--out", out);
    assertThat(told).contains("none.csv: there is no such file.");
  }

  /** A title that fades in over ten frames to frame 30, and is gone at 60, in the very file. */
  @Test
  void aTitleLandsInTheRenderedFileAtItsFrame() throws IOException, InterruptedException {
    Path film = folder.resolve("film.json");
    Files.writeString(
        film,
        """
        {
          "lateThistleFilm": 1,
          "picture": {"width": 640, "height": 360},
          "rate": "24",
          "takes": [],
          "film": {
            "placements": [{"id": "010"}],
            "joints": [
              {"at": {"tie": "free", "frame": 0}},
              {"at": {"tie": "free", "frame": 72}}
            ],
            "titles": [
              {"id": "t", "words": {"text": "Night Post"},
               "lettering": {"face": {"family": "Alfa Slab One"}, "size": 300},
               "start": {"tie": "free", "frame": 30}, "frames": 30,
               "movement": {"in": {"kind": "FADE", "frames": 10}}}
            ]
          }
        }
        """);
    Path out = folder.resolve("film.mp4");
    assertThat(run("render", film.toString(), "--out", out.toString())).as(told).isZero();
    List<Double> light = light(out);
    assertThat(light).hasSize(72);
    assertThat(light.get(20)).isLessThan(0.1);
    for (int k = 21; k <= 30; k++) {
      assertThat(light.get(k)).as("frame %d", k).isGreaterThan(light.get(k - 1) + 2);
    }
    for (int k = 31; k < 60; k++) {
      assertThat(light.get(k)).as("frame %d", k).isCloseTo(light.get(30), within(0.3));
    }
    assertThat(light.get(60)).isLessThan(0.1);
  }

  /** The mean of each frame's luma over black, as ffmpeg decodes it. */
  private static List<Double> light(Path video) throws IOException, InterruptedException {
    Process ffmpeg =
        new ProcessBuilder(
                "ffmpeg",
                "-v",
                "error",
                "-i",
                video.toString(),
                "-f",
                "rawvideo",
                "-pix_fmt",
                "gray",
                "-")
            .redirectError(ProcessBuilder.Redirect.INHERIT)
            .start();
    byte[] frames = ffmpeg.getInputStream().readAllBytes();
    assertThat(ffmpeg.waitFor()).isZero();
    int size = 640 * 360;
    List<Double> light = new ArrayList<>();
    for (int at = 0; at + size <= frames.length; at += size) {
      long sum = 0;
      for (int i = at; i < at + size; i++) {
        sum += frames[i] & 0xff;
      }
      light.add((double) sum / size);
    }
    return light;
  }
}
