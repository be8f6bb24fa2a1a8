package app.latethistle.cli;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.signal.MonoSound;
import app.latethistle.media.WaveFile;
import app.latethistle.standins.narrator.Manner;
import app.latethistle.standins.narrator.Narrator;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class ThistleTest {
  private static final Path DEMO = Path.of("..", "demo");

  @TempDir Path folder;

  private static Terminal.Said run(String... arguments) {
    return Terminal.run(arguments);
  }

  private static String song() {
    return DEMO.resolve("slow bellows.m4a").toString();
  }

  @Test
  void writesBeatsAsCsv() {
    Terminal.Said said = run("beats", song(), "--csv");
    assertThat(said.code()).isZero();
    List<String> lines = said.out().lines().toList();
    assertThat(lines.get(0)).isEqualTo("time_s,bar,beat");
    assertThat(lines).hasSizeBetween(95, 105);
    assertThat(lines.subList(1, lines.size())).allMatch(l -> l.matches("\\d+\\.\\d+,\\d+,[1-4]"));
    assertThat(said.err()).containsPattern("9[12]\\.\\d");
  }

  @Test
  void alignsATextWithItsReadingAndTightensItsPauses() throws IOException {
    Path voice = folder.resolve("voice.wav");
    String line = "Nobody remembers the year (pause) the valley filled.";
    MonoSound spoken = Narrator.read(line, Narrator.voice("Merrin"), 120, Manner.EVEN);
    WaveFile.write(voice, spoken.samples(), 1, spoken.rate());
    Path text = Files.writeString(folder.resolve("line.txt"), line);

    Terminal.Said said =
        run("align", "--text", text.toString(), "--voice", voice.toString(), "--csv");
    assertThat(said.code()).as(said.err()).isZero();
    List<String> rows = said.out().lines().toList();
    assertThat(rows.get(0)).isEqualTo("word,start_s,end_s,confidence");
    assertThat(rows).hasSize(8);
    assertThat(rows.get(5)).startsWith("the,");
    double year = Double.parseDouble(rows.get(4).split(",")[2]);
    double the = Double.parseDouble(rows.get(5).split(",")[1]);
    assertThat(the - year).isBetween(0.8, 1.4);
    assertThat(said.err()).contains("7 of 7 words found");

    Path tight = folder.resolve("tight.wav");
    Terminal.Said pauses =
        run("pauses", voice.toString(), "--longest", "0.25", "--out", tight.toString());
    assertThat(pauses.code()).as(pauses.err()).isZero();
    assertThat(pauses.out()).startsWith("start_s,end_s,cut_s");
    assertThat(Files.size(tight)).isLessThan((long) ((spoken.seconds() - 0.5) * 48_000 * 3));

    Terminal.Said refused =
        run("pauses", voice.toString(), "--longest", "0.001", "--out", tight.toString());
    assertThat(refused.code()).isNotZero();
    assertThat(refused.err()).contains("--longest").contains("0.05 s or more");
    Terminal.Said absent = run("align", "--text", text.toString(), "--voice", folder + "/none.wav");
    assertThat(absent.err()).contains("none.wav").contains("no such file");
  }

  @Test
  void makesASongShorterOutOfWholeBars() throws IOException {
    Path made = folder.resolve("short.wav");
    Path plan = folder.resolve("plan.json");
    Terminal.Said said =
        run(
            "shorten",
            song(),
            "--length",
            "45",
            "--out",
            made.toString(),
            "--plan",
            plan.toString());
    assertThat(said.code()).as(said.err()).isZero();
    // 48 kHz, two channels of three bytes, after a header.
    assertThat(Files.size(made)).isBetween(45L * 48_000 * 6, 45L * 48_000 * 6 + 200);
    JsonNode written = JsonMapper.shared().readTree(plan.toFile());
    assertThat(written.get("length_s").asDouble()).isEqualTo(45);
    JsonNode first = written.get("kept").get(0);
    JsonNode last = written.get("kept").get(written.get("kept").size() - 1);
    assertThat(first.get("first_bar").asInt()).isEqualTo(1);
    assertThat(first.get("start_s").asDouble()).isZero();
    assertThat(last.get("last_bar").asInt()).isGreaterThan(first.get("last_bar").asInt());
    JsonNode join = written.get("joins").get(0);
    assertThat(join.get("at_s").asDouble()).isEqualTo(first.get("end_s").asDouble());
    assertThat(join.get("cost").asDouble()).isBetween(0.0, 1.0);
    Terminal.Said beats = run("beats", made.toString(), "--csv");
    assertThat(beats.err()).as("the grid goes on over the join").containsPattern("9[12]\\.\\d");

    Terminal.Said impossible =
        run("shorten", song(), "--length", "0.5", "--out", folder + "/no.wav");
    assertThat(impossible.code()).isEqualTo(1);
    assertThat(impossible.err()).contains("slow bellows.m4a:");
  }

  @Test
  void plansCutsOnBeatsAndWords() throws IOException {
    Path beats = folder.resolve("beats.csv");
    Files.writeString(beats, run("beats", song(), "--csv").out());
    Path shots = folder.resolve("shots.csv");
    Files.writeString(
        shots, "shot,seconds,line\n010,5,\n020,6,1\n030,5,\n040,4,\n050,6,\n060,5,\n");
    Path words = folder.resolve("words.csv");
    Files.writeString(
        words,
        """
        word,start_s,end_s,confidence
        Forty-one,5.2,6.1,1
        lanterns,6.15,6.9,1
        went,7.6,8.0,1
        out.,8.05,8.4,1
        """);
    Path plan = folder.resolve("plan.json");
    String[] asked = {
      "plan",
      "--shots",
      shots.toString(),
      "--beats",
      beats.toString(),
      "--words",
      words.toString(),
      "--length",
      "24",
      "--pace",
      "calm",
      "--out",
      plan.toString()
    };
    Terminal.Said said = run(asked);
    assertThat(said.code()).as(said.err()).isZero();
    String json = Files.readString(plan);
    assertThat(json).contains("\"frameRate\" : \"24\"", "\"reason\" : \"downbeat of bar ");
    assertThat(json).doesNotContain("inside");
    assertThat(json.split("\"shot\" :")).hasSize(7);

    Files.writeString(
        shots,
        """
        shot,seconds,energy,right,down,zoom
        010,5,0.2,-0.4,-0.1,-0.05
        020,6,1,0.3,0,0.1
        030,5,0,0,0,0
        040,4,,,,
        """);
    assertThat(run(asked).code()).isZero();
    Files.writeString(shots, "shot,seconds,right\n010,5,left\n020,5,0\n");
    assertThat(run(asked).err()).contains("'left' is no right; give a number");
    Files.writeString(shots, "shot,seconds\n010,5\n020,6\n030,5\n040,4\n");

    asked[10] = "hasty";
    assertThat(run(asked).err()).contains("no pace 'hasty'");
    Files.writeString(shots, "shot,seconds\n010,five\n");
    asked[10] = "even";
    assertThat(run(asked).err()).contains("shots.csv: line 2: 'five' is no seconds");
  }

  @Test
  void probesAsJson() throws IOException {
    Path clip;
    try (Stream<Path> files = Files.list(DEMO)) {
      clip = files.filter(f -> f.toString().contains("010_take1")).findFirst().orElseThrow();
    }
    Terminal.Said said = run("probe", clip.toString());
    assertThat(said.code()).isZero();
    assertThat(said.out()).contains("\"width\"", "1280", "720");
  }

  @Test
  void assemblesAFilmAndItsListOfCuts() throws IOException {
    Path clips = Files.createDirectory(folder.resolve("clips"));
    try (Stream<Path> files = Files.list(DEMO)) {
      for (Path file : files.filter(f -> f.toString().matches(".*0[1-5]0_take1.*")).toList()) {
        Files.copy(file, clips.resolve(file.getFileName()));
      }
    }
    Path out = folder.resolve("film.mp4");
    Path cuts = folder.resolve("cuts.csv");
    Terminal.Said said =
        run(
            "assemble",
            "--clips",
            clips.toString(),
            "--song",
            song(),
            "--out",
            out.toString(),
            "--size",
            "320x180",
            "--length",
            "15",
            "--cuts",
            cuts.toString());
    assertThat(said.code()).as(said.err()).isZero();
    assertThat(out).isNotEmptyFile();
    List<String> lines = Files.readAllLines(cuts);
    assertThat(lines.get(0)).isEqualTo("frame,time_s,clip,source_in_s,tie");
    assertThat(lines).hasSize(6);
    assertThat(lines.get(1)).startsWith("0,0.0");
    assertThat(lines.subList(2, 6)).allMatch(l -> l.matches("\\d+,[\\d.]+,.*,[\\d.]+,.*\\S"));
  }

  @Test
  void wrongUseIsTwo() {
    assertThat(run("beats").code()).isEqualTo(2);
    assertThat(run("assemble", "--song", song()).code()).isEqualTo(2);
    assertThat(run("juggle").code()).isEqualTo(2);
    Terminal.Said size =
        run(
            "assemble",
            "--clips",
            DEMO.toString(),
            "--song",
            song(),
            "--out",
            "x.mp4",
            "--size",
            "big");
    assertThat(size.code()).isEqualTo(2);
    assertThat(size.err()).contains("big");
  }

  @Test
  void failureIsOneWithOneClearLine() throws IOException {
    Path text = Files.writeString(folder.resolve("notes.txt"), "hello");
    Path empty = Files.createDirectory(folder.resolve("empty"));
    for (Terminal.Said said :
        List.of(
            run("beats", text.toString()),
            run("beats", folder.resolve("nothing.wav").toString()),
            run(
                "assemble",
                "--clips",
                empty.toString(),
                "--song",
                song(),
                "--out",
                folder.resolve("x.mp4").toString()))) {
      assertThat(said.code()).isEqualTo(1);
      assertThat(said.err().strip().lines().toList()).hasSize(1);
      assertThat(said.err()).startsWith("thistle: ");
    }
    assertThat(run("beats", text.toString()).err()).contains("notes.txt");
  }

  @Test
  void proposesShotsAndComposesPrompts() throws IOException {
    Path script = folder.resolve("valley.md");
    Files.writeString(script, "## Valley\n- Maren rows, alone.\n\nNarrator: The water came.\n");
    Terminal.Said shots = run("shots", script.toString(), "--csv");
    assertThat(shots.code()).isZero();
    assertThat(shots.out().lines())
        .hasSize(3)
        .last()
        .isEqualTo("020,2.3,follow,1,Valley,,,\"Maren rows, alone.\"");
    assertThat(run("shots", script.toString(), "--count", "5").out().lines()).hasSize(5);
    Path sheets = folder.resolve("sheets.json");
    Files.writeString(
        sheets,
        "{\"people\":[{\"name\":\"Maren\",\"looks\":\"grey braid\"}],\"exclusions\":[\"cars\"]}");
    Terminal.Said prompts =
        run(
            "prompts",
            script.toString(),
            "--sheets",
            sheets.toString(),
            "--service",
            "kestle motion");
    assertThat(prompts.code()).isZero();
    assertThat(prompts.out())
        .contains("020  Maren rows, alone. Maren: grey braid. Valley. The camera follows.")
        .contains("not: cars");
    Terminal.Said none =
        run("prompts", script.toString(), "--sheets", sheets.toString(), "--service", "Vane");
    assertThat(none.code()).isEqualTo(1);
    assertThat(none.err()).contains("no service 'Vane'", "Kestle Motion");
  }

  @Test
  void measuresTakesAsJson() throws IOException {
    String clip = clip("shot_030_take1");
    Terminal.Said said = run("facts", clip, "--asked", "pull out");
    assertThat(said.code()).isZero();
    assertThat(said.out())
        .contains("\"move\" : \"push in\"", "\"match\" : \"OTHER\"", "\"realRate\" : 24.0");
    assertThat(run("facts", clip, "--asked", "zigzag").code()).isEqualTo(2);
    assertThat(run("facts", folder.resolve("none.mp4").toString()).err()).contains("none.mp4");
  }

  @Test
  void countsLevelsOfAPicture() throws IOException {
    String clip = clip("shot_030_take1");
    Terminal.Said said = run("scopes", clip, "--at", "1.5", "--json");
    assertThat(said.code()).isZero();
    assertThat(said.out()).contains("\"beyond\"", "\"histograms\"", "\"vectors\"");
    assertThat(run("scopes", clip).out()).matches("(?s)below black [\\d.]+ %, above white .*");
    assertThat(run("scopes", clip, "--at", "-2").code()).isEqualTo(2);
    assertThat(run("scopes", folder.resolve("none.png").toString()).err()).contains("none.png");
  }

  @Test
  void measuresHowLoudASongIs() throws IOException {
    Terminal.Said said = run("loudness", clip("slow bellows"));
    assertThat(said.code()).isZero();
    assertThat(said.out())
        .containsPattern("\"integrated\" : -1\\d\\.\\d")
        .contains("\"range\"", "\"momentaryMax\"", "\"shortTermMax\"", "\"truePeak\"");
    assertThat(run("loudness", folder.resolve("none.wav").toString()).err()).contains("none.wav");
  }

  private static String clip(String beginning) throws IOException {
    try (var files = Files.list(DEMO)) {
      return files
          .filter(f -> f.getFileName().toString().startsWith(beginning))
          .findFirst()
          .orElseThrow()
          .toString();
    }
  }
}
