package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.media.Container;
import app.latethistle.media.SoundMeasure;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Films that are cut on the voice as well as on the music. */
class NarratedFilmTest {
  @TempDir Path folder;

  private static final String SCRIPT =
      "## The jetty\n\nMaren (V.O.): The water came at night, and it really stayed.\n";

  private static EditedFilm spoken() {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 18);
    long revision = cut.api.get(cut.path + "/story").json().get("revision").asLong();
    Api.Answer written =
        cut.api.json(
            "PUT",
            cut.path + "/story/script",
            Map.of("text", SCRIPT, "fileName", "", "revision", revision));
    assertThat(written.status()).as(written.text()).isEqualTo(200);
    read(cut, 110);
    return cut;
  }

  private static void read(EditedFilm cut, double rate) {
    Api.Answer read =
        cut.api.post(
            cut.path + "/voice/lines/1/narrate",
            Map.of("voice", "Merrin", "wordsPerMinute", rate, "manner", "EVEN"));
    assertThat(read.status()).as(read.text()).isEqualTo(204);
    cut.film = cut.api.get(cut.path + "/film").json();
  }

  private static JsonNode word(EditedFilm cut, String text) {
    for (JsonNode word : cut.film.get("voice").get(0).get("words")) {
      if (word.get("text").asString().startsWith(text)) {
        return word;
      }
    }
    throw new AssertionError("no word " + text + " in " + cut.film.get("voice"));
  }

  private static Map<String, Object> onStart(EditedFilm cut, int joint, JsonNode word, int offset) {
    Map<String, Object> edge =
        Map.of(
            "line", cut.film.get("voice").get(0).get("line").asString(),
            "word", word.get("word").asInt(),
            "edge", "START");
    return Map.of("joint", joint, "to", Map.of("word", edge, "offset", offset, "frame", 0));
  }

  @Test
  void aCutOnAWordFollowsAnotherReading() {
    EditedFilm cut = spoken();
    JsonNode stayed = word(cut, "stayed");
    cut.edit("move-joint", onStart(cut, 1, stayed, -2));
    long frame = cut.joint(1).get("frame").asLong();
    assertThat(frame).isEqualTo(stayed.get("startFrame").asLong() - 2);
    assertThat(cut.joint(1).get("tie").asString()).isEqualTo("WORD");
    assertThat(cut.joint(1).get("reason").asString())
        .isEqualTo("2 f before start of \u2018stayed\u2019 in line 1");
    read(cut, 80);
    assertThat(cut.joint(1).get("frame").asLong())
        .as("a slower reading comes to the word later")
        .isGreaterThan(frame + 10)
        .isEqualTo(word(cut, "stayed").get("startFrame").asLong() - 2);
  }

  @Test
  void anotherReadingIsAnEditOfTheFilmThatUndoTakesBackWhole() {
    EditedFilm cut = spoken();
    JsonNode stayed = word(cut, "stayed");
    cut.edit("move-joint", onStart(cut, 1, stayed, -2));
    JsonNode before = cut.film;
    read(cut, 80);
    JsonNode after = cut.film;
    assertThat(cut.past.undoes()).isEqualTo("read line 1 again");
    assertThat(after.get("joints").get(1)).isNotEqualTo(before.get("joints").get(1));
    cut.undo();
    assertThat(cut.film.get("joints")).isEqualTo(before.get("joints"));
    assertThat(cut.film.get("voice")).isEqualTo(before.get("voice"));
    assertThat(picked(cut)).isEqualTo(1);
    cut.redo();
    assertThat(cut.film.get("joints")).isEqualTo(after.get("joints"));
    assertThat(picked(cut)).isEqualTo(2);
  }

  /** The number of the reading that is used of line 1. */
  private static int picked(EditedFilm cut) {
    JsonNode line = cut.api.get(cut.path + "/voice").json().get("lines").get(0);
    for (JsonNode reading : line.get("readings")) {
      if (reading.get("id").equals(line.get("pick"))) {
        return reading.get("number").asInt();
      }
    }
    return 0;
  }

  @Test
  void aPaceDrawnForEachSectionIsKeptAndCutTo() {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 18);
    String songs = cut.path + "/songs";
    JsonNode song = cut.api.get(songs).json().get(0);
    String pace = songs + "/" + song.get("id").asLong() + "/pace";
    int sections = song.get("sections").size();
    assertThat(sections).isGreaterThan(1);
    // The film runs from 9 s before the second section to 9 s into it.
    double start = song.get("sections").get(1).get("start").asDouble() - 9;
    cut.edit("set-song", Map.of("startSeconds", start, "fade", 12));
    JsonNode even = cut.api.get(cut.path + "/film/proposals?everything=true").json().get(1);
    List<Double> speeds = new ArrayList<>(Collections.nCopies(sections, 0.5));
    speeds.set(0, 2.0);
    assertThat(cut.api.json("PUT", pace, Map.of("speeds", speeds)).status()).isEqualTo(204);
    assertThat(cut.api.get(songs).json().get(0).get("pace").get(0).asDouble()).isEqualTo(2);
    JsonNode drawn = cut.api.get(cut.path + "/film/proposals?everything=true").json().get(1);
    assertThat(drawn.get("shots").get(3).get("start").asLong())
        .as("the first section moves quicker")
        .isLessThan(even.get("shots").get(3).get("start").asLong());
    Api.Answer wrong = cut.api.json("PUT", pace, Map.of("speeds", List.of(1.0)));
    assertThat(wrong.status()).isEqualTo(422);
    assertThat(wrong.text()).contains(sections + " sections now; draw the pace again.");
  }

  @Test
  void aCutInsideAWordIsTold() {
    EditedFilm cut = spoken();
    JsonNode water = word(cut, "water");
    long inside = Math.round((water.get("start").asDouble() + water.get("end").asDouble()) / 2);
    cut.edit("move-joint", Map.of("joint", 1, "to", Map.of("offset", 0, "frame", inside)));
    assertThat(cut.film.get("problems").toString()).contains("INSIDE_WORD");
    assertThat(cut.joint(1).get("reason").asString()).contains("inside \u2018water\u2019");
  }

  @Test
  void threeProposalsAreShownAndOneIsTaken() {
    EditedFilm cut = spoken();
    JsonNode before = cut.film;
    JsonNode proposals = cut.api.get(cut.path + "/film/proposals?everything=true").json();
    assertThat(proposals).hasSize(3);
    assertThat(cut.api.get(cut.path + "/film").json()).isEqualTo(before);
    for (JsonNode proposal : proposals) {
      assertThat(proposal.get("shots")).hasSize(6);
      assertThat(proposal.get("insideWords").asInt()).isZero();
      assertThat(proposal.get("terms").get("LENGTH").asDouble()).isNotNegative();
    }
    JsonNode calm = proposals.get(0);
    assertThat(calm.get("pace").asString()).isEqualTo("CALM");
    cut.edit("first-cut", Map.of("everything", true, "pace", "CALM"));
    for (int i = 0; i < 6; i++) {
      assertThat(cut.shot(i).get("start")).isEqualTo(calm.get("shots").get(i).get("start"));
    }
    assertThat(cut.film.get("length")).isEqualTo(calm.get("length"));
  }

  /** As read and cared for, a line is equally loud, so that the care alone is judged. */
  @Test
  void aLineIsHeardAsReadAndCaredForEquallyLoud() throws IOException {
    EditedFilm cut = spoken();
    Map<String, Object> care =
        Map.of("rumble", true, "even", 80, "hiss", 60, "sharp", 60, "breaths", 60);
    cut.edit("set-voice-care", Map.of("care", care));
    String line =
        cut.path
            + "/film/hear-line.wav?line="
            + cut.film.at("/voice/0/line").asString()
            + "&cared=";
    byte[] plain = cut.api.get(line + "false").bytes();
    byte[] cared = cut.api.get(line + "true").bytes();
    assertThat(cared).isNotEqualTo(plain).hasSameSizeAs(plain);
    assertThat(loudness(cared)).isCloseTo(loudness(plain), within(0.3)).isBetween(-18.0, -16.0);
    assertThat(cut.api.get(cut.path + "/film/hear-line.wav?line=none&cared=true").detail())
        .isEqualTo("That line is not heard in the film.");
  }

  private double loudness(byte[] wave) throws IOException {
    Path file = Files.write(folder.resolve("line.wav"), wave);
    return SoundMeasure.of(file, Container.WAV).integrated();
  }
}
