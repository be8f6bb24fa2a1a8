package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.Map;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class EventsTest {
  private final BlockingQueue<JsonNode> pulses = new LinkedBlockingQueue<>();

  private Stream<String> listen(int port, long production) throws IOException {
    URI uri = URI.create("http://127.0.0.1:" + port + "/api/events?productions=" + production);
    try {
      Stream<String> lines =
          HttpClient.newHttpClient()
              .send(HttpRequest.newBuilder(uri).build(), BodyHandlers.ofLines())
              .body();
      Thread thread =
          new Thread(
              () ->
                  lines
                      .filter(l -> l.startsWith("data:"))
                      .map(l -> JsonMapper.shared().readTree(l.substring(5)))
                      .filter(told -> told.get("production").asLong() == production)
                      .forEach(told -> pulses.add(told.get("pulse"))));
      thread.setDaemon(true);
      thread.start();
      return lines;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    }
  }

  private JsonNode await(Predicate<JsonNode> wish) throws InterruptedException {
    JsonNode last = null;
    for (int i = 0; i < 200; i++) {
      JsonNode pulse = pulses.poll(60, TimeUnit.SECONDS);
      if (pulse == null) {
        break;
      }
      if (wish.test(pulse)) {
        return pulse;
      }
      last = pulse;
    }
    throw new AssertionError("the last pulse was " + last);
  }

  @Test
  void tellsOfWorkOfEditsAndOfMasters() throws IOException, InterruptedException {
    RunningServer server = RunningServer.shared();
    EditedFilm cut = EditedFilm.make(server.api(), 15);
    try (Stream<String> lines = listen(server.port(), cut.id)) {
      assertThat(lines).isNotNull();
      long revision = cut.film.get("revision").asLong();
      // What was brought in may still be measured.
      JsonNode first = await(p -> p.get("work").size() == 0);
      assertThat(first.get("revision").asLong()).isEqualTo(revision);

      cut.edit("slip", Map.of("place", 0, "in", 1));
      await(p -> p.get("revision").asLong() == revision + 1);

      Map<String, Object> order =
          Map.of("name", "Told", "size", "PRODUCTION", "rate", "24", "quality", "SMALL");
      cut.api.post(cut.path + "/masters", order);
      JsonNode working = await(p -> p.get("work").size() > 0);
      assertThat(working.get("work").get(0).get("kind").asString()).isEqualTo("MASTER");
      assertThat(working.get("work").get(0).get("what").asString()).contains("Told");
      JsonNode done = await(p -> p.get("work").size() == 0);
      assertThat(done.get("masters").asLong()).isNotEqualTo(first.get("masters").asLong());
    }
  }
}
