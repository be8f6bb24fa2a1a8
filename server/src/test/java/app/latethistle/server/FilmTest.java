package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class FilmTest {
  private static Map<String, Object> toBeat(int joint, int beat) {
    return Map.of("joint", joint, "to", Map.of("beat", beat, "offset", 0, "frame", 0));
  }

  private static Map<String, Object> free(int joint, long frame) {
    return Map.of("joint", joint, "to", Map.of("offset", 0, "frame", frame));
  }

  @Test
  void theFirstCutSitsOnTheSongsBeats() {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 18);
    JsonNode film = cut.film;
    assertThat(film.get("shots").size()).isEqualTo(6);
    assertThat(film.get("problems").size()).isZero();
    assertThat(film.get("length").asLong()).isBetween(12L * 24, 18L * 24);
    JsonNode frames = film.get("clock").get("frames");
    for (int j = 1; j < film.get("joints").size(); j++) {
      JsonNode joint = film.get("joints").get(j);
      assertThat(joint.get("tie").asString()).isEqualTo("BEAT");
      assertThat(joint.get("frame").asLong())
          .isEqualTo(frames.get(joint.get("beat").asInt()).asLong());
    }
    assertThat(film.get("joints").get(6).get("downbeat").asBoolean()).isTrue();
  }

  @Test
  void everyEditDoesWhatItSaysAndIsUndone() {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 18);
    String start = cut.content();

    int beat = cut.joint(2).get("beat").asInt();
    cut.edit("move-joint", toBeat(2, beat + 1));
    assertThat(cut.joint(2).get("beat").asInt()).isEqualTo(beat + 1);
    cut.edit("move-joint", free(3, cut.joint(3).get("frame").asLong() + 5));
    assertThat(cut.joint(3).get("tie").asString()).isEqualTo("FREE");
    cut.edit("slip", Map.of("place", 1, "in", 3));
    assertThat(cut.shot(1).get("in").asLong()).isEqualTo(3);
    cut.edit("set-framing", Map.of("place", 0, "framing", "SOFT"));
    assertThat(cut.shot(0).get("framing").asString()).isEqualTo("SOFT");
    cut.edit("lock", Map.of("places", List.of(0), "locked", true));
    assertThat(cut.shot(0).get("locked").asBoolean()).isTrue();
    String third = cut.shot(2).get("label").asString();
    cut.edit("move-shot", Map.of("from", 2, "to", 4));
    assertThat(cut.shot(4).get("label").asString()).isEqualTo(third);
    long removed = cut.shot(3).get("shotId").asLong();
    long length = cut.film.get("length").asLong();
    cut.edit("remove", Map.of("place", 3));
    assertThat(cut.film.get("shots").size()).isEqualTo(5);
    assertThat(cut.film.get("length").asLong()).isEqualTo(length);
    assertThat(cut.film.get("outside").get(0).get("shotId").asLong()).isEqualTo(removed);
    cut.edit("bring-back", Map.of("shotId", removed));
    assertThat(cut.film.get("outside").size()).isZero();
    cut.edit("set-song", Map.of("startSeconds", 2.5, "fade", 10));
    assertThat(cut.film.get("songStart").asDouble()).isEqualTo(2.5);
    cut.edit("first-cut", Map.of("everything", false));
    assertThat(cut.past.undoes()).isEqualTo("cut again");

    String end = cut.content();
    for (int i = 0; i < 10; i++) {
      cut.undo();
    }
    assertThat(cut.content()).isEqualTo(start);
    for (int i = 0; i < 10; i++) {
      cut.redo();
    }
    assertThat(cut.content()).isEqualTo(end);
    assertThat(cut.past.redoes()).isEmpty();
  }

  @Test
  void anotherTakeIsChosen() {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 18);
    JsonNode takes = cut.api.get(cut.path + "/material").json().get("shots").get(1).get("takes");
    long other = takes.get(1).get("id").asLong();
    cut.edit("choose-take", Map.of("place", 1, "takeId", other));
    assertThat(cut.shot(1).get("takeId").asLong()).isEqualTo(other);
    Api.Answer foreign = cut.tryEdit("choose-take", Map.of("place", 0, "takeId", other));
    assertThat(foreign.status()).isEqualTo(422);
    assertThat(foreign.detail()).contains("Take 2");
  }

  @Test
  void lockedShotsStayWhenTheFilmIsCutAgain() {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 18);
    long frame = cut.joint(3).get("frame").asLong();
    cut.edit("move-joint", free(2, cut.joint(2).get("frame").asLong() + 4));
    cut.edit("slip", Map.of("place", 2, "in", 1));
    cut.edit("lock", Map.of("places", List.of(2), "locked", true));
    JsonNode locked = cut.shot(2);
    cut.edit("first-cut", Map.of("everything", true));
    assertThat(cut.shot(2)).isEqualTo(locked);
    assertThat(cut.joint(3).get("frame").asLong()).isEqualTo(frame);
  }

  @Test
  void theSecondOfTwoWindowsIsToldAndNothingIsLost() {
    EditedFilm here = EditedFilm.make(RunningServer.shared().api(), 18);
    EditedFilm there = here.through(RunningServer.shared().api());
    here.edit("slip", Map.of("place", 0, "in", 1));
    Api.Answer late = there.tryEdit("slip", Map.of("place", 0, "in", 2));
    assertThat(late.status()).isEqualTo(409);
    assertThat(late.detail()).isNotEmpty();
    assertThat(here.api.get(here.path + "/film").json()).isEqualTo(here.film);
    there.film = late.status() == 409 ? there.api.get(there.path + "/film").json() : there.film;
    there.edit("slip", Map.of("place", 0, "in", 2));
    assertThat(there.shot(0).get("in").asLong()).isEqualTo(2);
  }

  @Test
  void twoWindowsThatTouchDifferentShotsBothGetTheirWay() {
    EditedFilm here = EditedFilm.make(RunningServer.shared().api(), 18);
    EditedFilm there = here.through(RunningServer.shared().api());
    here.edit("slip", Map.of("place", 0, "in", 1));
    here.edit("set-framing", Map.of("place", 4, "framing", "SOFT"));
    there.edit("slip", Map.of("place", 2, "in", 3));
    assertThat(there.shot(0).get("in").asLong()).isEqualTo(1);
    assertThat(there.shot(2).get("in").asLong()).isEqualTo(3);
    assertThat(there.shot(4).get("framing").asString()).isEqualTo("SOFT");
    there.undo();
    assertThat(there.shot(2).get("in").asLong()).isNotEqualTo(3);
    assertThat(there.shot(4).get("framing").asString()).isEqualTo("SOFT");
    // What touches the same is told with what happened.
    here.edit("slip", Map.of("place", 0, "in", 5));
    assertThat(there.tryEdit("slip", Map.of("place", 0, "in", 9)).detail())
        .contains("010 shows another part");
  }

  @Test
  void manyWindowsAtOnceLoseNoEdit() throws InterruptedException {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 18);
    long before = cut.film.get("revision").asLong();
    List<Thread> threads = new ArrayList<>();
    List<Integer> made = java.util.Collections.synchronizedList(new ArrayList<>());
    List<Integer> refused = java.util.Collections.synchronizedList(new ArrayList<>());
    for (int t = 0; t < 4; t++) {
      EditedFilm window = cut.through(RunningServer.shared().api());
      int seed = t;
      Thread thread =
          new Thread(
              () -> {
                Random random = new Random(seed);
                for (int i = 0; i < 15; i++) {
                  Api.Answer answer =
                      window.tryEdit("slip", Map.of("place", 0, "in", random.nextInt(20)));
                  if (answer.status() == 200) {
                    made.add(i);
                    window.film = answer.json();
                  } else {
                    refused.add(answer.status());
                    window.film = window.api.get(window.path + "/film").json();
                  }
                }
              });
      threads.add(thread);
      thread.start();
    }
    for (Thread thread : threads) {
      thread.join();
    }
    long after = cut.api.get(cut.path + "/film").json().get("revision").asLong();
    assertThat(made).isNotEmpty();
    assertThat(made.size() + refused.size()).isEqualTo(60);
    assertThat(refused).allMatch(status -> status == 409);
    assertThat(after - before).isEqualTo(made.size());
  }

  @Test
  void badEditsAreRefusedWithAReasonAndChangeNothing() {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 18);
    List<Map.Entry<String, Map<String, Object>>> bad =
        List.of(
            Map.entry("slip", Map.of("place", 99, "in", 0)),
            Map.entry("slip", Map.of("place", 0, "in", -1)),
            Map.entry("move-joint", toBeat(0, 3)),
            Map.entry("move-joint", toBeat(99, 3)),
            Map.entry("move-shot", Map.of("from", 0, "to", 99)),
            Map.entry("remove", Map.of("place", -1)),
            Map.entry("bring-back", Map.of("shotId", cut.shot(0).get("shotId").asLong())),
            Map.entry("set-song", Map.of("startSeconds", 999, "fade", 0)),
            Map.entry("set-song", Map.of("startSeconds", 0, "fade", -4)),
            Map.entry("choose-take", Map.of("place", 99, "takeId", 1)));
    for (Map.Entry<String, Map<String, Object>> edit : bad) {
      Api.Answer answer = cut.tryEdit(edit.getKey(), edit.getValue());
      assertThat(answer.status()).as("%s", edit).isIn(404, 422);
      assertThat(answer.detail()).as("%s", edit).isNotEmpty();
    }
    assertThat(cut.api.get(cut.path + "/film").json()).isEqualTo(cut.film);
  }

  @Test
  void clipsWithoutMusicAndVoiceAreCutFreelyAtThePaceThatIsDrawn() {
    Api api = RunningServer.shared().api();
    long id = api.production("Silent", 640, 360, 20);
    String path = "/api/productions/" + id;
    api.bringDemo(
        id,
        "shot_010_take1",
        "shot_030_take1",
        "shot_040_take1",
        "shot_050_take1",
        "shot_060_take1",
        "shot_070_take1");
    assertThat(api.json("PUT", path + "/pace", Map.of("speeds", List.of(2.0))).detail())
        .contains("8 parts");
    assertThat(
            api.json(
                    "PUT",
                    path + "/pace",
                    Map.of("speeds", List.of(2.0, 2.0, 2.0, 2.0, 0.6, 0.6, 0.6, 0.6)))
                .status())
        .isEqualTo(204);
    Map<String, Object> body = new HashMap<>();
    body.put("revision", api.get(path + "/film").json().get("revision"));
    body.put("everything", true);
    body.put("pace", "EVEN");
    JsonNode film = api.post(path + "/film/first-cut", body).json();
    assertThat(film.get("shots")).hasSize(6);
    assertThat(film.get("problems")).isEmpty();
    assertThat(film.get("pace")).hasSize(8);
    long early = film.get("shots").valueStream().filter(s -> s.get("end").asLong() <= 240).count();
    assertThat(early).as("more of them in the quicker half").isGreaterThanOrEqualTo(3);
    assertThat(film.get("joints").get(1).get("tie").asString()).isEqualTo("FREE");
    JsonNode proposals = api.get(path + "/film/proposals?everything=true&pool=false").json();
    assertThat(proposals).hasSize(3);
  }

  @Test
  void undoReachesBackAcrossARestart() {
    try (RunningServer server = RunningServer.fresh()) {
      EditedFilm cut = EditedFilm.make(server.api(), 18);
      String start = cut.content();
      cut.edit("slip", Map.of("place", 0, "in", 2));
      cut.edit("move-shot", Map.of("from", 0, "to", 3));
      cut.edit("remove", Map.of("place", 1));
      cut.undo();
      String end = cut.content();
      server.restart();
      EditedFilm again = cut.through(server.api());
      assertThat(again.content()).isEqualTo(end);
      again.undo();
      again.undo();
      assertThat(again.content()).isEqualTo(start);
      again.redo();
      again.redo();
      assertThat(again.content()).isEqualTo(end);
    }
  }

  @Test
  void aNamedVersionIsComparedAndGoneBackTo() {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 18);
    String versions = cut.path + "/film/versions";
    String first = cut.content();
    assertThat(cut.api.post(versions, Map.of("name", "first")).status()).isEqualTo(204);
    assertThat(cut.api.post(versions, Map.of("name", "first")).detail()).contains("another name");
    assertThat(cut.api.post(versions, Map.of("name", " ")).status()).isEqualTo(422);
    String label = cut.shot(3).get("label").asString();
    cut.edit("remove", Map.of("place", 3));
    cut.edit("slip", Map.of("place", 0, "in", 1));
    String later = cut.content();
    JsonNode version = cut.api.get(versions).json().get(0);
    assertThat(version.get("differences").toString())
        .contains(label + " comes in", cut.shot(0).get("label").asString() + " shows another part");
    String back = versions + "/" + version.get("id").asLong();
    Map<String, Object> at = Map.of("revision", cut.film.get("revision").asLong());
    assertThat(cut.api.post(back + "/back", at).status()).isEqualTo(204);
    assertThat(cut.api.post(back + "/back", at).status()).as("an old revision").isEqualTo(409);
    cut.film = cut.api.get(cut.path + "/film").json();
    assertThat(cut.content()).isEqualTo(first);
    assertThat(cut.past.undoes()).isEqualTo("go back to first");
    assertThat(cut.api.get(versions).json().get(0).get("differences")).isEmpty();
    cut.undo();
    assertThat(cut.content()).isEqualTo(later);
    assertThat(cut.api.delete(back).status()).isEqualTo(204);
    assertThat(cut.api.get(versions).json()).isEmpty();
  }
}
