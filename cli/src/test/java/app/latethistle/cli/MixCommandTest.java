package app.latethistle.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.media.Container;
import app.latethistle.media.SongDecoder;
import app.latethistle.media.WaveFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A film's sounds from a terminal. */
class MixCommandTest {
  private static final int RATE = 48_000;

  /** The sample of the sound's file at which it clicks. */
  private static final int CLICK = 9_000;

  @TempDir Path folder;
  private String told;

  @BeforeEach
  void files() throws IOException {
    try (Stream<Path> demo = Files.list(Path.of("..", "demo"))) {
      Path clip =
          demo.filter(f -> f.getFileName().toString().startsWith("shot_040_take1"))
              .findFirst()
              .orElseThrow();
      Files.copy(clip, folder.resolve("lamp.mp4"));
    }
    float[] click = new float[RATE];
    for (int i = 0; i < 400; i++) {
      click[CLICK + i] = (float) (0.7 * Math.exp(-i / 60.0) * Math.cos(i * 0.4));
    }
    WaveFile.write(folder.resolve("click.wav"), click, 1, RATE);
  }

  private int run(String... arguments) {
    Terminal.Said said = Terminal.run(arguments);
    told = said.all();
    return said.code();
  }

  /** Two shots; a click on the cut between them, and one again a second later. */
  private String film(String media) throws IOException {
    Path file = folder.resolve("film.json");
    Files.writeString(
        file,
        """
        {
          "lateThistleFilm": 1,
          "title": "Two lamps",
          "picture": {"width": 320, "height": 180},
          "rate": "24",
          "takes": [{"id": "lamp", "media": {"path": "lamp.mp4"}, "sound": false}],
          "film": {
            "placements": [
              {"id": "010", "take": "lamp"},
              {"id": "020", "take": "lamp", "in": 12}
            ],
            "joints": [
              {"at": {"tie": "free", "frame": 0}},
              {"at": {"tie": "free", "frame": 31}},
              {"at": {"tie": "free", "frame": 96}}
            ],
            "sounds": [
              {"id": "a", "media": {"path": "%s"}, "name": "click", "length": 48000,
               "lands": %d, "start": {"tie": "cut", "item": "020"},
               "heard": {"repeat": {"times": 2, "every": 48000}}}
            ]
          }
        }
        """
            .formatted(media, CLICK));
    return file.toString();
  }

  /** Samples at which something is louder than anything in the hundredth of a second before. */
  private static int first(float[] stereo, int from) {
    for (int i = from; i < stereo.length / 2; i++) {
      if (Math.abs(stereo[2 * i]) > 0.2) {
        return i;
      }
    }
    return -1;
  }

  @Test
  void aSoundLandsOnItsCutToTheSampleAndInTheDeliveredFileWithinAMillisecond() throws IOException {
    Path wave = folder.resolve("mix.wav");
    assertThat(run("mix", film("click.wav"), "--out", wave.toString())).as(told).isZero();
    float[] mix = SongDecoder.stereo(wave, Container.WAV);
    assertThat(mix).hasSize(2 * 4 * RATE);
    int cut = 31 * 2_000;
    assertThat(first(mix, 0)).isEqualTo(cut);
    assertThat(first(mix, cut + 5_000)).isEqualTo(cut + RATE);
    Path out = folder.resolve("film.mp4");
    assertThat(run("render", film("click.wav"), "--out", out.toString())).as(told).isZero();
    float[] delivered = SongDecoder.stereo(out, Container.MP4);
    assertThat(first(delivered, 0)).isCloseTo(cut, within(48));
  }

  @Test
  void leavesAsLoudAsIsAskedWithItsStems() throws IOException {
    Path wave = folder.resolve("mix.wav");
    Path stems = folder.resolve("stems");
    String film = film("click.wav");
    assertThat(
            run(
                "mix",
                film,
                "--out",
                wave.toString(),
                "--stems",
                stems.toString(),
                "--loudness",
                "-30",
                "--peak",
                "-2"))
        .as(told)
        .isZero();
    assertThat(told).contains("-30.0 LUFS").contains("sounds.wav");
    assertThat(SongDecoder.stereo(stems.resolve("sounds.wav"), Container.WAV))
        .hasSize(2 * 4 * RATE);
    assertThat(run("loudness", wave.toString())).isZero();
    JsonNode loudness = JsonMapper.builder().build().readTree(told);
    assertThat(loudness.get("integrated").asDouble()).isCloseTo(-30, within(0.1));
    assertThat(loudness.get("truePeak").asDouble()).isLessThanOrEqualTo(-2);
  }

  @Test
  void measuresASound() {
    assertThat(run("sound", folder.resolve("click.wav").toString())).as(told).isZero();
    JsonNode sound = JsonMapper.builder().build().readTree(told);
    assertThat(sound.get("strikes").get(0).asDouble())
        .isCloseTo((double) CLICK / RATE, within(0.001));
    assertThat(sound.get("body").get("start").asDouble()).isCloseTo(0.1875, within(0.011));
    assertThat(sound.get("truePeak").asDouble()).isBetween(-6.0, 0.0);
    assertThat(sound.get("loop").isNull()).isTrue();
  }

  @Test
  void namesAFileThatIsMissing() throws IOException {
    assertThat(run("mix", film("bang.wav"), "--out", folder.resolve("m.wav").toString()))
        .isEqualTo(1);
    assertThat(told).contains("bang.wav: there is no such file");
  }
}
