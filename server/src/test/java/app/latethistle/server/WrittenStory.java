package app.latethistle.server;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import tools.jackson.databind.JsonNode;

/** A production with a short script, whose story and services are used through the API. */
final class WrittenStory {
  private static final String SCRIPT =
      "## The jetty\n- A lantern swings over black water.\n\nMaren (V.O.): The water came at night,"
          + " and it really stayed.\n\n- A bell under water.\n- Snow on a roof.\n";

  final Api api;
  final long id;
  final String production;
  final String path;
  JsonNode story;

  private WrittenStory(Api api) {
    this.api = api;
    id = api.production("Story", 1280, 720, 20);
    production = "/api/productions/" + id;
    path = production + "/story";
    story = api.get(path).json();
  }

  static WrittenStory make(Api api) {
    WrittenStory made = new WrittenStory(api);
    made.put("script", Map.of("text", SCRIPT, "fileName", ""));
    return made;
  }

  JsonNode put(String what, Map<String, ?> values) {
    return changed("PUT", what, values);
  }

  JsonNode post(String what, Map<String, ?> values) {
    return changed("POST", what, values);
  }

  /** Takes the last thing done in the production back, and answers the story. */
  JsonNode undo() {
    new Past(api, id).undo();
    story = api.get(path).json();
    return story;
  }

  /** Does it again. */
  JsonNode redo() {
    new Past(api, id).redo();
    story = api.get(path).json();
    return story;
  }

  private JsonNode changed(String method, String what, Map<String, ?> values) {
    Api.Answer answer = send(method, what, values);
    if (answer.status() != 200) {
      throw new AssertionError(what + " " + values + ": " + answer.text());
    }
    story = answer.json();
    return story;
  }

  /** Makes a change that may be refused; the story is kept as it was last answered. */
  Api.Answer send(String method, String what, Map<String, ?> values) {
    Map<String, Object> body = new LinkedHashMap<>();
    body.put("revision", story.get("revision").asLong());
    body.putAll(values);
    return api.json(method, path + "/" + what, body);
  }

  /** The material's shots, in order. */
  List<JsonNode> shots() {
    return api.get(production + "/material").json().get("shots").valueStream().toList();
  }

  /** Waits until a shot is as wished. */
  JsonNode awaitShot(int place, Predicate<JsonNode> wish) {
    return api.until(production + "/material", m -> wish.test(m.get("shots").get(place)))
        .get("shots")
        .get(place);
  }

  /** Waits until a shot has so many measured takes, and returns the newest. */
  JsonNode awaitTake(int place, int count) {
    try {
      JsonNode shot =
          awaitShot(
              place,
              s ->
                  s.get("takes").valueStream().filter(t -> !t.get("facts").isNull()).count()
                      >= count);
      return shot.get("takes").get(shot.get("takes").size() - 1);
    } catch (AssertionError e) {
      throw new AssertionError(e.getMessage() + "\n" + api.get(production + "/requests").text());
    }
  }

  /** Adds a service that answers at once, with one credit a picture or second. */
  String service(String name, String kind, double allowance, int failsEvery, double wait) {
    Map<String, Object> profile = new LinkedHashMap<>();
    profile.put("name", name);
    profile.put("kind", kind);
    profile.put("inputs", List.of("EXCLUSION", "SEED", "PICTURE", "STRENGTH", "MOVE"));
    profile.put("longestPrompt", 300);
    profile.put("shapes", List.of("16:9"));
    profile.put("lengths", kind.equals("CLIP") ? List.of(1) : List.of());
    profile.put("rate", kind.equals("CLIP") ? 12 : 0);
    profile.put("height", 256);
    profile.put("credits", 1);
    profile.put("allowance", allowance);
    profile.put("period", "DAY");
    profile.put("atOnce", 1);
    profile.put("waitSeconds", wait);
    Api.Answer made =
        api.post("/api/services", Map.of("failsEvery", failsEvery, "profile", profile));
    if (made.status() != 201) {
      throw new AssertionError(made.text());
    }
    return name;
  }

  /** Asks a service for takes; a picture of 0 is none. */
  JsonNode ask(String service, List<Long> shots, long picture) {
    Map<String, Object> body = new LinkedHashMap<>();
    body.put("service", service);
    body.put("shots", shots);
    body.put("picture", picture == 0 ? null : picture);
    body.put("pictures", 4);
    body.put("seed", 7);
    return requests("", body).json();
  }

  Api.Answer requests(String what, Map<String, ?> body) {
    return api.post(production + "/requests" + what, body);
  }

  JsonNode ledger() {
    return api.get(production + "/requests/ledger").json();
  }

  /** Waits for a request in a state. */
  JsonNode awaitRequest(String state) {
    Predicate<JsonNode> is = r -> r.get("state").asString().equals(state);
    return api.until(production + "/requests", all -> all.valueStream().anyMatch(is))
        .valueStream()
        .filter(is)
        .findFirst()
        .orElseThrow();
  }
}
