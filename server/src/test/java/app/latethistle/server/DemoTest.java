package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class DemoTest {
  @Test
  void anEmptyShelfIsOfferedTheDemoWhichComesAlreadyCut() {
    try (RunningServer server = RunningServer.fresh()) {
      Api api = server.api();
      assertThat(api.get("/api/productions").json()).isEmpty();
      assertThat(api.post("/api/demo", Map.of()).status()).isEqualTo(202);
      // Asked for again while it is put there, it is not put there twice.
      api.post("/api/demo", Map.of());
      JsonNode shelf = api.get("/api/productions").json();
      assertThat(shelf).hasSize(2);
      JsonNode production = titled(shelf, "Night Post");
      String carousel = "/api/productions/" + titled(shelf, "Salt Carousel").get("id");
      assertThat(api.get(carousel + "/story").json().get("lines").size()).isZero();
      String path = "/api/productions/" + production.get("id");
      JsonNode film = api.until(path + "/film", f -> f.get("shots").size() > 0);
      assertThat(film.get("shots").size()).isGreaterThanOrEqualTo(16);
      assertThat(film.get("problems").size()).isZero();
      assertThat(film.get("length").asLong()).isBetween(55L * 24, 60L * 24);
      JsonNode finished =
          api.until(
              path + "/film",
              f -> f.get("shots").valueStream().filter(s -> !s.get("path").isNull()).count() >= 4);
      assertThat(finished.get("problems").size()).isZero();
      assertThat(
              finished.get("joints").valueStream().filter(j -> !j.get("passing").isNull()).count())
          .isGreaterThanOrEqualTo(2);
      assertThat(
              finished.get("shots").valueStream().filter(x -> !x.get("amounts").isNull()).count())
          .as("shots treated on beats")
          .isEqualTo(2);
      JsonNode seen =
          api.until(
              path + "/film",
              f -> f.get("shots").valueStream().anyMatch(s -> !s.get("focus").isNull()));
      assertThat(seen.get("shots").valueStream().filter(s -> !s.get("focus").isNull()).count())
          .as("shots with a focus")
          .isGreaterThan(seen.get("shots").size() * 3L / 4);
      JsonNode figure = seen.get("overlays").get(0);
      assertThat(figure.get("shot").get("matte").get("keys").size()).as("cut out").isEqualTo(1);
      assertThat(figure.get("lie").get("points").size()).as("moves").isEqualTo(2);
      JsonNode material = api.get(path + "/material").json();
      assertThat(material.get("refusals").size()).isZero();
      assertThat(material.get("missing").size()).isZero();
      assertThat(material.get("doubled").size()).isZero();

      assertThat(api.get(path + "/story").json().get("lines").size()).isEqualTo(6);
      assertThat(api.get(path + "/requests/ledger").json().get("spent").asDouble()).isPositive();

      readyToLeave(api, path);

      server.restart();
      assertThat(server.api().get("/api/productions").json().size()).isEqualTo(2);
    }
  }

  /** A wide film and an upright short are ticked, and nothing must be put right before. */
  private static void readyToLeave(Api api, String path) {
    assertThat(
            api.get(path + "/outputs")
                .json()
                .valueStream()
                .filter(o -> o.get("said").get("ticked").asBoolean())
                .map(o -> o.get("called").asString() + ", " + o.get("height").asInt()))
        .containsExactly("Night Post, 1080", "Night Post, upright, 1920");
    assertThat(
            api.get(path + "/film/checks?group=FILM")
                .json()
                .get("findings")
                .valueStream()
                .filter(f -> f.get("verdict").asString().equals("MUST")))
        .isEmpty();
    JsonNode marked =
        api.get(path + "/film")
            .json()
            .get("shots")
            .valueStream()
            .filter(s -> s.get("label").asString().equals("080"))
            .findFirst()
            .orElseThrow();
    JsonNode ways = api.get(path + "/film/marks/" + marked.get("takeId").asLong()).json();
    assertThat(ways.get("shown").asInt()).as("a take with a service's mark is in the film").isOne();
    assertThat(ways.get("open").asInt()).as("and its mark is not seen").isZero();
  }

  /** A first start that ends while the demo is put on the shelf leaves no half of it for ever. */
  @Test
  void aDemoThatWasStoppedIsPutOnTheShelfAnew() {
    try (RunningServer server = RunningServer.fresh(true)) {
      server.api().until("/api/productions", all -> all.size() == 2);
      server.restart();
      JsonNode shelf = server.api().get("/api/productions").json();
      assertThat(shelf.size()).isEqualTo(2);
      long before = titled(shelf, "Night Post").get("id").asLong();
      assertThat(before).isGreaterThan(2);
      String path = "/api/productions/" + titled(shelf, "Salt Carousel").get("id");
      server.api().until(path + "/film", f -> f.get("shots").size() > 0);
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
