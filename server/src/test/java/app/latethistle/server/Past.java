package app.latethistle.server;

import java.util.Map;
import tools.jackson.databind.JsonNode;

/** What was done in a production, taken back and done again through the API. */
public record Past(Api api, long production) {
  private String path() {
    return "/api/productions/" + production + "/history";
  }

  private JsonNode step(String way) {
    return api.get(path()).json().get(way);
  }

  /** What undo would take back, or "". */
  public String undoes() {
    return step("undo").path("label").asString("");
  }

  /** What redo would do again, or "". */
  public String redoes() {
    return step("redo").path("label").asString("");
  }

  public void undo() {
    go("undo");
  }

  public void redo() {
    go("redo");
  }

  private void go(String way) {
    Api.Answer answer = send(way, step(way).path("step").asLong());
    if (answer.status() != 200) {
      throw new AssertionError(way + ": " + answer.text());
    }
  }

  Api.Answer send(String way, long step) {
    return api.post(path() + "/" + way, Map.of("step", step));
  }
}
