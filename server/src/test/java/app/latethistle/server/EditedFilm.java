package app.latethistle.server;

import java.util.LinkedHashMap;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** A production with six demo shots, the demo song and its first cut, changed through the API. */
final class EditedFilm {
  private static final String[] FILES = {
    "shot_010_take1",
    "shot_020_take1",
    "shot_020_take2",
    "shot_030_take1",
    "shot_040_take1",
    "shot_050_take1",
    "shot_060_take1",
    "slow bellows"
  };

  final Api api;
  final long id;
  final String path;
  final Past past;
  JsonNode film;

  private EditedFilm(Api api, long id) {
    this.api = api;
    this.id = id;
    path = "/api/productions/" + id;
    past = new Past(api, id);
    film = api.get(path + "/film").json();
  }

  static EditedFilm make(Api api, double seconds) {
    return make(api, seconds, Map.of());
  }

  /**
   * The same with other takes too.
   *
   * @param more their files by name
   */
  static EditedFilm make(Api api, double seconds, Map<String, byte[]> more) {
    EditedFilm made = new EditedFilm(api, api.production("Cut", 640, 360, seconds));
    more.forEach((name, bytes) -> api.bring(made.id, name, bytes));
    api.bringDemo(made.id, FILES);
    made.film = api.get(made.path + "/film").json();
    made.edit("first-cut", Map.of("everything", true));
    return made;
  }

  /** The same production through another door. */
  EditedFilm through(Api other) {
    return new EditedFilm(other, id);
  }

  /** Makes an edit on the film as it was last answered, and keeps the new one. */
  Api.Answer edit(String name, Map<String, ?> values) {
    Api.Answer answer = tryEdit(name, values);
    if (answer.status() != 200) {
      throw new AssertionError(name + " " + values + ": " + answer.text());
    }
    film = answer.json();
    return answer;
  }

  /** Takes the last thing done in the production back. */
  void undo() {
    past.undo();
    film = api.get(path + "/film").json();
  }

  /** Does it again. */
  void redo() {
    past.redo();
    film = api.get(path + "/film").json();
  }

  Api.Answer tryEdit(String name, Map<String, ?> values) {
    Map<String, Object> body = new LinkedHashMap<>(values);
    body.put("revision", film.get("revision").asLong());
    return api.post(path + "/film/" + name, body);
  }

  /** The picture at a frame, as a JPEG. */
  byte[] still(long frame) {
    return still("", frame);
  }

  /**
   * The same in a shape.
   *
   * @param shape what stands behind the revision for it, such as "@9x16"; empty for the film's own
   */
  byte[] still(String shape, long frame) {
    String revision = film.get("revision").asLong() + shape;
    return api.get(path + "/preview/" + revision + "/frames/" + frame + ".jpg").bytes();
  }

  JsonNode shot(int place) {
    return film.get("shots").get(place);
  }

  /** What a shot shows, from one of its take's frames on, as it can be laid elsewhere. */
  Map<String, Object> piece(int place, long in, long length) {
    return Map.of(
        "shotId",
        shot(place).get("shotId").asLong(),
        "takeId",
        shot(place).get("takeId").asLong(),
        "in",
        in,
        "framing",
        "FILL",
        "length",
        length);
  }

  JsonNode joint(int index) {
    return film.get("joints").get(index);
  }

  /** What the film is, without its revision. */
  String content() {
    return film.get("shots").toString()
        + film.get("joints")
        + film.get("songStart")
        + film.get("fade");
  }
}
