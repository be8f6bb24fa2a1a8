package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class StoryTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private static final String SCRIPT =
      "## The jetty\\n- A lantern swings over black water.\\n\\nMaren (V.O.): The water came at night, and"
          + " it really stayed.\\n\\n- A bell under water.\\n- Snow on a roof.\\n";

  private final Api api = RunningServer.shared().api();
  private final long id = api.production("Story", 1280, 720, 20);
  private final String story = "/api/productions/" + id + "/story";
  private long revision;

  private JsonNode send(String method, String path, String values) {
    String body = "{\"revision\":" + revision + (values.isEmpty() ? "" : "," + values) + "}";
    Api.Answer answer = sent(method, story + "/" + path, body);
    assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    revision = answer.json().get("revision").asLong();
    return answer.json();
  }

  private JsonNode written() {
    return send("PUT", "script", "\"text\":\"" + SCRIPT + "\",\"format\":null,\"fileName\":\"\"");
  }

  @Test
  void readsTimesAndShortensAScript() {
    JsonNode now = written();
    assertThat(now.get("format").asString()).isEqualTo("MARKDOWN");
    assertThat(now.get("words").asInt()).isEqualTo(9);
    now = send("PUT", "delivery", "\"delivery\":{\"wordsPerMinute\":90,\"gap\":1}");
    assertThat(now.get("spokenSeconds").asDouble()).isEqualTo(6);
    now = send("POST", "cut", "\"line\":1,\"text\":\"really\"");
    assertThat(now.get("lines").get(0).get("text").asString())
        .isEqualTo("The water came at night, and it stayed.");
    assertThat(now.get("undo").asString()).isEqualTo("shorten line 1");
    now = send("POST", "undo", "");
    assertThat(now.get("words").asInt()).isEqualTo(9);
    now = send("POST", "redo", "");
    assertThat(now.get("words").asInt()).isEqualTo(8);
  }

  @Test
  void shotsOfTheStoryAreThoseTakesGatherUnder() {
    written();
    JsonNode now = send("POST", "shots/propose", "\"count\":0");
    assertThat(now.get("shots").size()).isEqualTo(4);
    assertThat(numbers()).containsExactly("010", "020", "030", "040");
    int second = now.get("shots").get(1).get("id").asInt();
    int last = now.get("shots").get(3).get("id").asInt();
    send("POST", "shots/move", "\"id\":" + last + ",\"after\":" + second);
    assertThat(numbers()).containsExactly("010", "020", "025", "030");
    send("POST", "shots/remove", "\"ids\":[" + second + "]");
    assertThat(numbers()).containsExactly("010", "025", "030");
    send(
        "POST",
        "shots/change",
        "\"ids\":[" + last + "],\"fields\":{\"move\":\"RISE\",\"seconds\":4.5}");
    send("POST", "undo", "");
    now = send("POST", "undo", "");
    assertThat(now.get("shots").size()).isEqualTo(4);
    Api.Answer stale = sent("POST", story + "/shots/add", "{\"revision\":1,\"id\":0}");
    assertThat(stale.status()).isEqualTo(409);
    assertThat(stale.text()).contains("This story was changed in another window");
    Api.Answer bad =
        sent(
            "POST",
            story + "/shots/change",
            "{\"revision\":" + revision + ",\"ids\":[" + last + "],\"fields\":{\"seconds\":-3}}");
    assertThat(bad.status()).isEqualTo(422);
    assertThat(bad.text()).contains("0.2 to 600");
  }

  private List<String> numbers() {
    JsonNode shots = api.get("/api/productions/" + id + "/material").json().get("shots");
    return shots.valueStream().map(s -> s.get("label").asString()).toList();
  }

  @Test
  void aChangedSheetChangesEveryPrompt() {
    written();
    send("POST", "shots/propose", "\"count\":0");
    send(
        "PUT",
        "sheets",
        "\"sheets\":{\"people\":[],\"places\":[],\"exclusions\":[\"cars\"],\"look\":{\"lens\":\"\",\"film\":\"torn"
            + " paper\",\"light\":\"\",\"grade\":\"\",\"tone\":\"\",\"shape\":\"\"}}");
    JsonNode prompts = api.get(story + "/prompts?service=Kestle%20Motion").json();
    assertThat(prompts.size()).isEqualTo(4);
    prompts.forEach(
        p -> {
          assertThat(p.get("text").asString()).contains("Torn paper", "The camera");
          assertThat(p.get("exclusion").asString()).isEqualTo("cars");
        });
    JsonNode stills = api.get(story + "/prompts?service=Kestle%20Still").json();
    stills.forEach(p -> assertThat(p.get("text").asString()).doesNotContain("The camera"));
    assertThat(api.get(story + "/prompts.csv?service=Kestle%20Motion").text())
        .startsWith("number,seen,prompt,exclusion,dropped\r\n010,");
    assertThat(api.get(story + "/storyboard.pdf").text()).startsWith("%PDF-");
    assertThat(api.get(story + "/drafts?seed=3").json().size()).isEqualTo(3);
  }

  @Test
  void aPlaceholderHoldsTheTimeUntilATakeComes() {
    written();
    send("POST", "shots/propose", "\"count\":2");
    JsonNode shot = awaitHeld();
    assertThat(shot.get("takes").size()).isZero();
    String profile = standIn("Quick Vane", 0);
    Api.Answer asked =
        sent(
            "POST",
            "/api/productions/" + id + "/requests",
            "{\"service\":\""
                + profile
                + "\",\"shots\":["
                + shot.get("id").asLong()
                + "],\"picture\":null,\"seed\":7}");
    assertThat(asked.status()).as(asked.text()).isEqualTo(200);
    JsonNode take = awaitTake(shot.get("id").asLong());
    assertThat(take.get("service").asString()).isEqualTo(profile);
    JsonNode ledger = api.get("/api/productions/" + id + "/requests/ledger").json();
    assertThat(ledger.get("spent").asDouble()).isEqualTo(1);
  }

  @Test
  void aServiceThatFailsHalfWayLosesNothing() {
    written();
    JsonNode now = send("POST", "shots/propose", "\"count\":2");
    String profile = standIn("Broken Vane", 2);
    String rows = now.get("rows").toString();
    sent(
        "POST",
        "/api/productions/" + id + "/requests",
        "{\"service\":\"" + profile + "\",\"shots\":" + rows + ",\"picture\":null,\"seed\":7}");
    JsonNode failed = await("FAILED");
    await("DONE");
    assertThat(failed.get("message").asString()).contains("Nothing was charged", "ask again");
    sent(
        "POST",
        "/api/productions/" + id + "/requests/" + failed.get("id").asLong() + "/again",
        null);
    awaitTake(failed.get("shot").asLong());
  }

  /** A still service that answers at once; it fails every so-many-th request. */
  private String standIn(String name, int failsEvery) {
    Api.Answer answer =
        sent(
            "POST",
            "/api/services",
            "{\"failsEvery\":"
                + failsEvery
                + ",\"profile\":{\"name\":\""
                + name
                + "\",\"kind\":\"CLIP\",\"takesExclusion\":true,\"takesSeed\":true,\"takesPicture\":true,"
                + "\"takesStrength\":true,\"takesMove\":true,\"longestPrompt\":300,\"shapes\":[\"16:9\"],"
                + "\"lengths\":[1],\"rate\":12,\"height\":256,\"credits\":1,\"allowance\":50,"
                + "\"period\":\"DAY\",\"atOnce\":1,\"waitSeconds\":0}}");
    assertThat(answer.status()).as(answer.text()).isEqualTo(201);
    return name;
  }

  private Api.Answer sent(String method, String path, String body) {
    return api.json(method, path, body == null ? null : JSON.readTree(body));
  }

  private JsonNode awaitHeld() {
    return api.until(
            "/api/productions/" + id + "/material",
            m -> m.get("shots").get(0).get("held").asBoolean())
        .get("shots")
        .get(0);
  }

  private JsonNode awaitTake(long shot) {
    JsonNode material =
        api.until("/api/productions/" + id + "/material", m -> measuredTake(m, shot).isPresent());
    return measuredTake(material, shot).orElseThrow();
  }

  private static Optional<JsonNode> measuredTake(JsonNode material, long shot) {
    return material
        .get("shots")
        .valueStream()
        .filter(s -> s.get("id").asLong() == shot)
        .flatMap(s -> s.get("takes").valueStream())
        .filter(t -> !t.get("facts").isNull())
        .findFirst();
  }

  private JsonNode await(String state) {
    String path = "/api/productions/" + id + "/requests";
    return in(api.until(path, all -> in(all, state).isPresent()), state).orElseThrow();
  }

  private static Optional<JsonNode> in(JsonNode requests, String state) {
    return requests.valueStream().filter(r -> r.get("state").asString().equals(state)).findFirst();
  }
}
