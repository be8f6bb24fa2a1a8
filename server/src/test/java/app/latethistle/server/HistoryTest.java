package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** One undo over all rooms of a production. */
class HistoryTest {
  private static final String SCRIPT = "Maren (V.O.): The water came at night, and it stayed.\n";

  private final Api api = RunningServer.shared().api();

  private static JsonNode song(EditedFilm cut) {
    return cut.api.get(cut.path + "/songs").json().get(0);
  }

  /** Everything of a production that persons change. */
  private static List<String> all(EditedFilm cut) {
    cut.film = cut.api.get(cut.path + "/film").json();
    JsonNode story = cut.api.get(cut.path + "/story").json();
    JsonNode song = song(cut);
    JsonNode voice = cut.api.get(cut.path + "/voice").json();
    List<String> takes = new ArrayList<>();
    for (JsonNode shot : cut.api.get(cut.path + "/material").json().get("shots")) {
      takes.add(shot.get("label") + " " + shot.get("title") + " " + shot.get("pick"));
      for (JsonNode take : shot.get("takes")) {
        takes.add(take.get("number") + " " + take.get("rejected") + take.get("faults"));
      }
    }
    return List.of(
        story.get("text").asString(),
        song.get("beats") + " " + song.get("pace") + " " + song.get("chosen"),
        voice.get("lines").toString(),
        takes.toString(),
        cut.content());
  }

  @Test
  void whatWasDoneInAnyRoomIsTakenBackInItsOrderAndDoneAgain() {
    EditedFilm cut = EditedFilm.make(api, 18);
    String song = cut.path + "/songs/" + song(cut).get("id").asLong();
    JsonNode shots = api.get(cut.path + "/material").json().get("shots");
    String second = cut.path + "/shots/" + shots.get(1).get("id").asLong();
    JsonNode takes = shots.get(1).get("takes");
    long other = takes.get(1).get("id").asLong();
    List<Runnable> deeds =
        List.of(
            () ->
                api.json(
                    "PUT",
                    cut.path + "/story/script",
                    Map.of("revision", 0, "text", SCRIPT, "fileName", "")),
            () -> narrate(cut, 120),
            () -> narrate(cut, 90),
            () -> tell(song + "/corrections", "POST", Map.of("name", "halve")),
            () -> {
              cut.film = api.get(cut.path + "/film").json();
              cut.edit("slip", Map.of("place", 0, "in", 3));
            },
            () -> tell(second, "PATCH", values("pick", other)),
            () -> tell(second, "PATCH", values("title", "The pier")),
            () ->
                tell(
                    cut.path + "/takes/" + other + "/judgement",
                    "PATCH",
                    Map.of("fault", "EXTRA_LIMBS", "there", true)),
            () ->
                tell(
                    cut.path + "/voice/longest-pause",
                    "PUT",
                    Map.of("lines", List.of(1), "seconds", 0.1)),
            () ->
                tell(
                    song + "/pace",
                    "PUT",
                    Map.of(
                        "speeds", song(cut).get("sections").valueStream().map(s -> 1.5).toList())),
            () -> tell(song + "/corrections", "POST", Map.of("name", "half-beat-later")),
            () -> removePick(cut));
    List<List<String>> states = new ArrayList<>(List.of(all(cut)));
    List<String> labels = new ArrayList<>();
    for (Runnable deed : deeds) {
      deed.run();
      states.add(all(cut));
      labels.add(cut.past.undoes());
    }
    assertThat(labels)
        .containsExactly(
            "write the script",
            "read line 1",
            "read line 1 again",
            "halve the tempo",
            "slip a shot",
            "pick another take of shot 020",
            "name shot 020",
            "put aside take 2 of shot 020",
            "tighten line 1",
            "draw the pace",
            "half a beat later",
            "take out reading 2 of line 1");
    for (int i = deeds.size(); i > 0; i--) {
      assertThat(all(cut)).as(labels.get(i - 1)).isEqualTo(states.get(i));
      cut.undo();
    }
    assertThat(all(cut)).isEqualTo(states.get(0));
    for (int i = 0; i < deeds.size(); i++) {
      assertThat(cut.past.redoes()).isEqualTo(labels.get(i));
      cut.redo();
      assertThat(all(cut)).as(labels.get(i)).isEqualTo(states.get(i + 1));
    }
    assertThat(cut.past.redoes()).isEmpty();
  }

  private void narrate(EditedFilm cut, double rate) {
    String voice = api.get(cut.path + "/voice").json().get("voices").get(0).get("name").asString();
    tell(
        cut.path + "/voice/lines/1/narrate",
        "POST",
        Map.of("voice", voice, "wordsPerMinute", rate, "manner", "EVEN"));
  }

  private void removePick(EditedFilm cut) {
    JsonNode line = api.get(cut.path + "/voice").json().get("lines").get(0);
    assertThat(api.delete(cut.path + "/voice/readings/" + line.get("pick").asLong()).status())
        .isEqualTo(204);
  }

  private static Map<String, Object> values(String name, Object value) {
    Map<String, Object> values = new HashMap<>();
    values.put(name, value);
    return values;
  }

  private void tell(String path, String method, Object body) {
    Api.Answer answer = api.json(method, path, body);
    assertThat(answer.status()).as(answer.text()).isBetween(200, 204);
  }

  @Test
  void whatIsDoneAfterUndoTakesThePlaceOfWhatWasTakenBack() {
    EditedFilm cut = EditedFilm.make(api, 18);
    cut.edit("slip", Map.of("place", 0, "in", 3));
    cut.undo();
    assertThat(cut.past.redoes()).isEqualTo("slip a shot");
    tell(
        cut.path + "/songs/" + song(cut).get("id").asLong() + "/corrections",
        "POST",
        Map.of("name", "halve"));
    assertThat(cut.past.redoes()).isEmpty();
    assertThat(cut.past.undoes()).isEqualTo("halve the tempo");
    assertThat(cut.past.send("redo", 0).status()).isEqualTo(422);
  }

  @Test
  void undoTakesBackTheStepThatWasSeenAndTellsThoseOfOthers() {
    EditedFilm cut = EditedFilm.make(api.as("maren"), 18);
    cut.edit("slip", Map.of("place", 0, "in", 3));
    JsonNode mine = cut.api.get(cut.path + "/history").json().get("undo");
    assertThat(mine.get("theirs").asBoolean()).isFalse();
    EditedFilm theirs = cut.through(api.as("pike"));
    theirs.edit("slip", Map.of("place", 1, "in", 2));
    JsonNode seen = cut.api.get(cut.path + "/history").json().get("undo");
    assertThat(seen.get("theirs").asBoolean()).isTrue();
    Api.Answer late = cut.past.send("undo", mine.get("step").asLong());
    assertThat(late.status()).isEqualTo(409);
    assertThat(cut.past.send("undo", seen.get("step").asLong()).status()).isEqualTo(200);
    assertThat(cut.past.undoes()).isEqualTo("slip a shot");
  }

  @Test
  void faultsThatComeTogetherAreBothKeptAndTheLastTakenOffBringsTheTakeBack() {
    EditedFilm cut = EditedFilm.make(api, 18);
    JsonNode shot = api.get(cut.path + "/material").json().get("shots").get(1);
    long take = shot.get("pick").asLong();
    String path = cut.path + "/takes/" + take + "/judgement";
    Api.Answer first = api.json("PATCH", path, Map.of("fault", "EXTRA_LIMBS", "there", true));
    assertThat(first.json().get("says").asString())
        .isEqualTo(
            "Take 1 is put aside for its fault. Take 2 is the pick of shot 020 now."
                + " Ctrl+Z takes it back.");
    api.json("PATCH", path, Map.of("fault", "FACE", "there", true));
    JsonNode judged = take(cut, take);
    assertThat(judged.get("faults")).hasSize(2);
    assertThat(judged.get("rejected").asBoolean()).isTrue();
    api.json("PATCH", path, Map.of("fault", "EXTRA_LIMBS", "there", false));
    assertThat(take(cut, take).get("rejected").asBoolean()).isTrue();
    api.json("PATCH", path, Map.of("fault", "FACE", "there", false));
    assertThat(take(cut, take).get("rejected").asBoolean()).isFalse();
    // What a person put aside stays there.
    api.json("PATCH", path, Map.of("rejected", true));
    api.json("PATCH", path, Map.of("fault", "FACE", "there", true));
    api.json("PATCH", path, Map.of("fault", "FACE", "there", false));
    assertThat(take(cut, take).get("rejected").asBoolean()).isTrue();
  }

  /** The shot that its only take leaves goes, and another one comes back in its place. */
  @Test
  void aTakeThatMovedAwayIsTakenBackWithWhatWasDoneBeforeIt() {
    EditedFilm cut = EditedFilm.make(api, 18);
    JsonNode shot = api.get(cut.path + "/material").json().get("shots").get(0);
    String label = shot.get("label").asString();
    tell(cut.path + "/shots/" + shot.get("id").asLong(), "PATCH", values("title", "The pier"));
    long take = shot.get("takes").get(0).get("id").asLong();
    tell(cut.path + "/takes/" + take, "PATCH", Map.of("scene", "", "shot", "900", "take", 1));
    for (int round = 0; round < 2; round++) {
      assertThat(labels(cut)).contains("900").doesNotContain(label);
      cut.past.undo();
      assertThat(labels(cut)).contains(label).doesNotContain("900");
      cut.past.undo();
      assertThat(cut.past.redoes()).isEqualTo("name shot " + label);
      cut.past.redo();
      cut.past.redo();
    }
  }

  private List<String> labels(EditedFilm cut) {
    return api.get(cut.path + "/material")
        .json()
        .get("shots")
        .valueStream()
        .map(s -> s.get("label").asString())
        .toList();
  }

  private JsonNode take(EditedFilm cut, long id) {
    return api.get(cut.path + "/material")
        .json()
        .get("shots")
        .valueStream()
        .flatMap(s -> s.get("takes").valueStream())
        .filter(t -> t.get("id").asLong() == id)
        .findFirst()
        .orElseThrow();
  }
}
