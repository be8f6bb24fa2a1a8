package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class DemoTest {
  @Test
  void anEmptyShelfGetsTheDemoAlreadyCut() {
    try (RunningServer server = RunningServer.fresh(true)) {
      Api api = server.api();
      JsonNode shelf = api.until("/api/productions", all -> all.size() == 2);
      JsonNode production = titled(shelf, "Night Post");
      String carousel = "/api/productions/" + titled(shelf, "Salt Carousel").get("id");
      assertThat(api.get(carousel + "/story").json().get("lines").size()).isZero();
      String path = "/api/productions/" + production.get("id");
      JsonNode film = api.until(path + "/film", f -> f.get("shots").size() > 0);
      assertThat(film.get("shots").size()).isGreaterThanOrEqualTo(16);
      assertThat(film.get("problems").size()).isZero();
      assertThat(film.get("length").asLong()).isBetween(55L * 24, 60L * 24);
      JsonNode material = api.get(path + "/material").json();
      assertThat(material.get("refusals").size()).isZero();
      assertThat(material.get("missing").size()).isZero();
      assertThat(material.get("doubled").size()).isZero();

      assertThat(api.get(path + "/story").json().get("lines").size()).isEqualTo(6);
      assertThat(api.get(path + "/requests/ledger").json().get("spent").asDouble()).isPositive();

      server.restart();
      assertThat(server.api().get("/api/productions").json().size()).isEqualTo(2);
    }
  }

  private static JsonNode titled(JsonNode shelf, String title) {
    return shelf
        .valueStream()
        .filter(p -> p.get("title").asString().equals(title))
        .findFirst()
        .orElseThrow();
  }
}
