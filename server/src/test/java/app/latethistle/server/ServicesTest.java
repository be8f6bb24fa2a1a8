package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class ServicesTest {
  private final Api api = RunningServer.shared().api();
  private final WrittenStory written = WrittenStory.make(api);
  private List<Long> shots;

  @BeforeEach
  void propose() {
    written.post("shots/propose", Map.of("count", 2));
    shots = written.shots().stream().map(s -> s.get("id").asLong()).toList();
  }

  @Test
  void aTakeThatComesIsChargedAndCounted() {
    String service = written.service("Quick Vane", "CLIP", 50, 0, 0);
    assertThat(written.ask(service, shots.subList(0, 1), 0).get("count").asInt()).isEqualTo(1);
    JsonNode take = written.awaitTake(0, 1);
    assertThat(take.get("service").asString()).isEqualTo(service);
    assertThat(take.get("prompt").asString()).contains("lantern");
    written.awaitRequest("DONE");
    assertThat(written.ledger().get("spent").asDouble()).isEqualTo(1);
    assertThat(line(service).get("left").asDouble()).isEqualTo(49);
    assertThat(line(service).get("success").asDouble()).isEqualTo(1);
  }

  private JsonNode line(String service) {
    return written
        .ledger()
        .get("services")
        .valueStream()
        .filter(l -> l.get("service").asString().equals(service))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aStillBecomesAClipThatGrows() {
    String stills = written.service("Grow Still", "STILL", 50, 0, 0);
    String clips = written.service("Grow Motion", "CLIP", 50, 0, 0);
    written.ask(stills, shots.subList(0, 1), 0);
    JsonNode still = written.awaitTake(0, 4);
    assertThat(still.get("still").asBoolean()).isTrue();
    written.ask(clips, shots.subList(0, 1), still.get("id").asLong());
    JsonNode clip = written.awaitTake(0, 5);
    assertThat(clip.get("seconds").asDouble()).isEqualTo(1);
    assertThat(clip.get("height").asInt()).isEqualTo(256);

    written.requests("/extend", Map.of("take", clip.get("id").asLong(), "seconds", 2));
    JsonNode longer = written.awaitTake(0, 6);
    assertThat(longer.get("seconds").asDouble()).isEqualTo(3);
    written.requests("/enlarge", Map.of("take", clip.get("id").asLong()));
    JsonNode larger = written.awaitTake(0, 7);
    assertThat(larger.get("height").asInt()).isEqualTo(512);
    assertThat(line(clips).get("spent").asDouble()).isEqualTo(1 + 2 + 1);

    Api.Answer wrong =
        written.requests("/extend", Map.of("take", still.get("id").asLong(), "seconds", 2));
    assertThat(wrong.detail()).isEqualTo("A clip can be made longer, by 1 to 10 seconds.");
  }

  @Test
  void asManyStillsComeAsAreAskedForAtThePriceThatWasSaid() {
    String service = written.service("Many Still", "STILL", 50, 0, 0);
    Map<String, Object> wish =
        Map.of("service", service, "shots", shots.subList(0, 1), "pictures", 2, "seed", 3);
    JsonNode estimate = written.requests("/estimate", wish).json();
    assertThat(estimate.get("credits").asDouble()).isEqualTo(2);
    assertThat(estimate.get("left").asDouble()).isEqualTo(50);
    written.requests("", wish);
    written.awaitTake(0, 2);
    written.awaitRequest("DONE");
    assertThat(line(service).get("spent").asDouble()).isEqualTo(2);
    Map<String, Object> seven =
        Map.of("service", service, "shots", shots.subList(0, 1), "pictures", 7, "seed", 3);
    assertThat(written.requests("", seven).detail()).contains("1 to 6 stills");
  }

  @Test
  void whatTheAllowanceDoesNotCoverIsNotAsked() {
    String service = written.service("Poor Vane", "CLIP", 1, 0, 0);
    JsonNode asked = written.ask(service, shots, 0);
    assertThat(asked.get("count").asInt()).isEqualTo(1);
    assertThat(asked.get("message").asString())
        .isEqualTo(
            "Poor Vane has no allowance left for one of these shots today; ask another service for"
                + " it, or raise the allowance in its profile.");
  }

  @Test
  void aCancelledRequestCostsNothingAndCanBeAskedAgain() {
    String service = written.service("Slow Vane", "CLIP", 50, 0, 60);
    written.ask(service, shots, 0);
    JsonNode queue = api.get(written.production + "/requests").json();
    assertThat(queue.size()).isEqualTo(2);
    for (JsonNode request : queue) {
      written.requests("/" + request.get("id").asLong() + "/cancel", Map.of());
    }
    JsonNode cancelled = written.awaitRequest("CANCELLED");
    assertThat(written.ledger().get("spent").asDouble()).isZero();
    assertThat(line(service).get("left").asDouble()).isEqualTo(50);
    String again = "/" + cancelled.get("id").asLong() + "/again";
    assertThat(written.requests(again, Map.of()).status()).isEqualTo(200);
    Api.Answer twice = written.requests(again, Map.of());
    assertThat(twice.status()).isEqualTo(422);
    written.requests("/" + cancelled.get("id").asLong() + "/cancel", Map.of());
  }

  @Test
  void aServiceThatFailsHalfWayLosesNothing() {
    String service = written.service("Broken Vane", "CLIP", 50, 2, 0);
    written.ask(service, shots, 0);
    JsonNode failed = written.awaitRequest("FAILED");
    written.awaitRequest("DONE");
    assertThat(failed.get("message").asString()).contains("Nothing was charged", "ask again");
    written.requests("/" + failed.get("id").asLong() + "/again", Map.of());
    written.awaitTake(shots.indexOf(failed.get("shot").asLong()), 1);
  }

  @Test
  void allThatFailedIsAskedForAgainAtOnce() {
    String service = written.service("Torn Vane", "CLIP", 50, 1, 0);
    written.ask(service, shots, 0);
    api.until(
        written.production + "/requests",
        all -> all.valueStream().allMatch(r -> r.get("state").asString().equals("FAILED")));
    assertThat(written.requests("/again", Map.of()).json().get("count").asInt())
        .isEqualTo(shots.size());
  }

  @Test
  void theWaitThatIsSaidCountsWhatIsAsked() {
    String service = written.service("Long Vane", "CLIP", 50, 0, 20);
    Map<String, Object> wish = new LinkedHashMap<>();
    wish.put("service", service);
    wish.put("shots", shots.subList(0, 1));
    wish.put("picture", null);
    wish.put("pictures", 4);
    wish.put("seed", 0);
    assertThat(written.requests("/estimate", wish).json().get("seconds").asDouble()).isEqualTo(20);
    written.ask(service, shots, 0);
    // One is made at a time: it comes behind those that wait.
    assertThat(written.requests("/estimate", wish).json().get("seconds").asDouble())
        .isEqualTo(20.0 * (shots.size() + 1));
  }

  @Test
  void aTakeThatWasJudgedIsAskedForAgain() {
    String service = written.service("Fair Vane", "CLIP", 50, 0, 0);
    written.ask(service, shots.subList(0, 1), 0);
    JsonNode take = written.awaitTake(0, 1);
    api.json(
        "PATCH",
        written.production + "/takes/" + take.get("id").asLong() + "/judgement",
        Map.of("fault", "FACE", "there", true, "note", "eyes drift"));
    JsonNode retake = written.ledger().get("retakes").get(0);
    assertThat(retake.get("label").asString()).isEqualTo("010");
    assertThat(retake.get("reason").asString())
        .startsWith("take 1, the pick: face")
        .endsWith("eyes drift");
    assertThat(retake.get("prompt").asString()).isEqualTo(take.get("prompt").asString());
  }

  @Test
  void aProfileOutOfRangeIsRefusedByName() {
    JsonNode first = api.get("/api/services").json().get(0);
    String changed = first.toString().replaceFirst("\"atOnce\":\\d+", "\"atOnce\":0");
    Api.Answer answer =
        api.json(
            "PUT",
            "/api/services/" + first.get("id").asLong(),
            tools.jackson.databind.json.JsonMapper.shared().readTree(changed));
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.detail())
        .isEqualTo(
            "Service "
                + first.get("profile").get("name").asString()
                + ": it works on 1 to 20 at once.");
  }

  @Test
  void whatCannotBeReadIsNamed() {
    Api.Answer answer =
        api.post("/api/services", Map.of("failsEvery", 0, "profile", Map.of("name", "x")));
    assertThat(answer.status()).isEqualTo(400);
    assertThat(answer.detail()).contains("'profile.");
    assertThat(api.json("POST", "/api/services", List.of()).detail()).contains("its body");
  }
}
