package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.signal.MonoSound;
import app.latethistle.media.WaveFile;
import app.latethistle.standins.narrator.Manner;
import app.latethistle.standins.narrator.Narrator;
import java.io.IOException;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class VoiceTest {
  private final Api api = RunningServer.shared().api();

  private static JsonNode line(WrittenStory story, int place) {
    return story.api.get(story.production + "/voice").json().get("lines").get(place);
  }

  private static Api.Answer narrate(WrittenStory story, int number, String voice, double rate) {
    return story.api.post(
        story.production + "/voice/lines/" + number + "/narrate",
        Map.of("voice", voice, "wordsPerMinute", rate, "manner", "EVEN"));
  }

  private static byte[] spoken(String voice, String text) throws IOException {
    MonoSound sound = Narrator.read(text, Narrator.voice(voice), 130, Manner.EVEN);
    return WaveFile.bytes(sound.samples(), 1, sound.rate());
  }

  private static Api.Answer put(WrittenStory story, String what, Map<String, ?> body) {
    return story.api.json("PUT", story.production + "/voice/lines/1/" + what, body);
  }

  /** Leaves no longer pause in line 1; null for all of them. */
  private static Api.Answer tighten(WrittenStory story, Double seconds) {
    Map<String, Object> body = new HashMap<>(Map.of("lines", List.of(1)));
    body.put("seconds", seconds);
    return story.api.json("PUT", story.production + "/voice/longest-pause", body);
  }

  @Test
  void theNarratorReadsALineAndItsWordsAreFound() {
    WrittenStory story = WrittenStory.make(api);
    assertThat(line(story, 0).get("readings")).isEmpty();
    assertThat(narrate(story, 1, "Merrin", 110).status()).isEqualTo(204);
    JsonNode line = line(story, 0);
    JsonNode reading = line.get("readings").get(0);
    assertThat(line.get("pick").asLong()).isEqualTo(reading.get("id").asLong());
    assertThat(reading.get("words")).hasSize(9);
    assertThat(reading.get("found").asInt()).isEqualTo(9);
    assertThat(reading.get("matches").asBoolean()).isTrue();
    double last = 0;
    for (JsonNode word : reading.get("words")) {
      assertThat(word.get("start").asDouble()).isGreaterThanOrEqualTo(last);
      last = word.get("end").asDouble();
    }
    assertThat(last).isBetween(2.0, reading.get("seconds").asDouble());
    assertThat(reading.get("facts").get("wordsPerMinute").asDouble()).isBetween(90.0, 160.0);
  }

  @Test
  void anotherReadingTakesItsPlaceAndCanBePutBack() throws IOException {
    WrittenStory story = WrittenStory.make(api);
    narrate(story, 1, "Merrin", 110);
    long first = line(story, 0).get("pick").asLong();
    String readings = story.production + "/voice/lines/1/readings?recorded=true&name=mine";
    assertThat(
            api.bytes(
                    readings,
                    spoken("Merrin", "The girl with the red umbrella gave him a warning."))
                .status())
        .isEqualTo(204);
    JsonNode line = line(story, 0);
    long second = line.get("pick").asLong();
    assertThat(second).isNotEqualTo(first);
    JsonNode wrong = line.get("readings").get(1);
    assertThat(wrong.get("matches").asBoolean()).as("other words").isFalse();
    assertThat(wrong.get("source").asString()).isEqualTo("RECORDED");

    assertThat(put(story, "pick", Map.of("reading", first)).status()).isEqualTo(204);
    assertThat(line(story, 0).get("pick").asLong()).isEqualTo(first);
    assertThat(api.delete(story.production + "/voice/readings/" + first).status()).isEqualTo(204);
    assertThat(line(story, 0).get("pick").asLong()).isEqualTo(second);
  }

  @Test
  void pausesAreTightenedAndGivenBack() throws IOException {
    WrittenStory story = WrittenStory.make(api);
    String name = story.production + "/voice/lines/1/readings?name=slow.wav";
    api.bytes(name, spoken("Tallow", "The water came at night, (pause) and it really stayed."));
    JsonNode reading = line(story, 0).get("readings").get(0);
    double seconds = reading.get("seconds").asDouble();
    assertThat(reading.get("cuts")).isNotEmpty();
    assertThat(reading.get("tightSeconds").asDouble()).isLessThan(seconds - 0.5);
    assertThat(line(story, 0).get("longest").isNull()).isTrue();

    assertThat(tighten(story, 0.2).status()).isEqualTo(204);
    JsonNode line = line(story, 0);
    double tight = line.get("readings").get(0).get("tightSeconds").asDouble();
    assertThat(line.get("ends").asDouble() - line.get("starts").asDouble())
        .isLessThan(tight + 0.01);
    String sound = story.production + "/voice/readings/" + reading.get("id").asLong();
    int whole = api.get(sound + "/sound.wav").bytes().length;
    int cut = api.get(sound + "/sound.wav?longest=0.2").bytes().length;
    assertThat((whole - cut) / 3 / 48_000.0)
        .isBetween(seconds - tight - 0.01, seconds - tight + 0.01);

    tighten(story, null);
    assertThat(line(story, 0).get("longest").isNull()).isTrue();
    assertThat(tighten(story, 0.001).detail()).contains("0.05 to 10 s");
  }

  @Test
  void aLineStartsOnABarOrSaysWhyItCannot() {
    WrittenStory story = WrittenStory.make(api);
    narrate(story, 1, "Pike", 120);
    put(story, "start", Map.of("kind", "BAR", "value", 3));
    assertThat(line(story, 0).get("problem").asString()).isEqualTo("the song has no bar 3");
    api.bringDemo(story.id, new String[] {"slow bellows"});
    JsonNode song = api.get(story.production + "/songs").json().get(0);
    int beat = song.get("firstDownbeat").asInt() + 2 * song.get("beatsPerBar").asInt();
    JsonNode line = line(story, 0);
    assertThat(line.get("problem").asString()).isEmpty();
    assertThat(line.get("bar").asInt()).isEqualTo(3);
    assertThat(line.get("beat").asInt()).isEqualTo(1);
    assertThat(line.get("starts").asDouble())
        .isCloseTo(song.get("beats").get(beat).asDouble(), within(0.001));
  }

  @Test
  void aLongRecordingIsPartedAndReadingsStayWithLinesThatChange() throws IOException {
    WrittenStory story = WrittenStory.make(api);
    String script =
        """
        ## One

        Maren (V.O.): The water came at night, and it really stayed.

        Osk (V.O.): Forty-one lanterns hang over the bridges.
        """;
    story.put("script", Map.of("text", script, "fileName", ""));
    byte[] all =
        spoken(
            "Tallow",
            "The water came at night, and it really stayed. (pause) Forty-one lanterns hang over"
                + " the bridges.");
    assertThat(api.bytes(story.production + "/voice/recording?name=all.wav", all).status())
        .isEqualTo(204);
    for (int i = 0; i < 2; i++) {
      assertThat(line(story, i).get("readings").get(0).get("matches").asBoolean())
          .as(line(story, i).toString())
          .isTrue();
    }
    story.put("script", Map.of("text", script.replace("hang over", "shine over"), "fileName", ""));
    JsonNode changed = line(story, 1).get("readings").get(0);
    assertThat(changed.get("stale").asBoolean()).isTrue();
    assertThat(line(story, 0).get("readings").get(0).get("stale").asBoolean()).isFalse();
  }

  @Test
  void whatCannotBeReadIsSaid() {
    WrittenStory story = WrittenStory.make(api);
    assertThat(narrate(story, 1, "Nobody", 100).detail()).contains("no voice 'Nobody'");
    assertThat(narrate(story, 1, "Merrin", 20).detail()).contains("60 to 300");
    assertThat(narrate(story, 9, "Merrin", 100).detail()).contains("no line 9");
    byte[] noise = new byte[400];
    Arrays.fill(noise, (byte) 7);
    String name = story.production + "/voice/lines/1/readings?name=broken.wav";
    assertThat(api.bytes(name, noise).status()).isEqualTo(422);
    assertThat(line(story, 0).get("readings")).isEmpty();
  }

  @Test
  void aSongIsMadeAnotherLengthGoesOnAsAnotherAndTheBandAnswersTwice() {
    WrittenStory story = WrittenStory.make(api);
    api.bringDemo(story.id, new String[] {"slow bellows"});
    String songs = story.production + "/songs";
    JsonNode song = api.get(songs).json().get(0);
    String lengths = songs + "/" + song.get("id").asLong() + "/lengths";
    JsonNode ways = api.get(lengths + "?seconds=45").json();
    assertThat(ways).isNotEmpty().hasSizeLessThanOrEqualTo(3);
    assertThat(ways.get(0).get("joins")).isNotEmpty();
    assertThat(api.get(lengths + "/0/joins/0.wav?seconds=45").bytes().length)
        .isEqualTo(6 * 48_000 * 2 * 3 + 44);
    assertThat(api.get(lengths + "?seconds=3").detail()).contains("too short");
    assertThat(api.post(lengths, Map.of("seconds", 45, "choice", 0)).status()).isEqualTo(204);
    JsonNode made = api.get(songs).json().get(1);
    assertThat(made.get("title").asString()).isEqualTo("Slow bellows, 45.0 s");
    assertThat(made.get("seconds").asDouble()).isCloseTo(45, within(0.001));
    assertThat(made.get("bpm").asDouble()).isCloseTo(song.get("bpm").asDouble(), within(0.3));
    assertThat(song.get("chosen").asBoolean()).isTrue();

    String then = songs + "/" + song.get("id").asLong() + "/then/" + made.get("id").asLong();
    JsonNode two = api.get(then + "?bars=8&from=3").json();
    assertThat(api.get(then + "/join.wav?bars=8&from=3").bytes().length)
        .isEqualTo(6 * 48_000 * 2 * 3 + 44);
    assertThat(api.get(then + "?bars=9999&from=3").detail()).contains("can be left after bar 1 to");
    String itself = songs + "/" + song.get("id").asLong() + "/then/" + song.get("id").asLong();
    assertThat(api.get(itself + "?bars=8&from=3").detail()).contains("Choose another song");
    assertThat(api.post(then, Map.of("bars", 8, "from", 3)).status()).isEqualTo(204);
    assertThat(api.post(then, Map.of("bars", 8, "from", 3)).detail()).contains("already");
    JsonNode joined = api.get(songs).json().get(2);
    assertThat(joined.get("title").asString()).isEqualTo("Slow bellows, then Slow bellows, 45.0 s");
    assertThat(joined.get("seconds").asDouble())
        .isCloseTo(two.get("seconds").asDouble(), within(0.001));
    // The second one's third bar begins where the first one's ninth would.
    assertThat(joined.get("beats").valueStream())
        .anyMatch(b -> Math.abs(b.asDouble() - two.get("at").asDouble()) < 1e-4);

    Map<String, Object> wish =
        Map.of(
            "style", "waltz", "mood", "DARK", "bpm", 120, "seconds", 30, "voice", false, "songs",
            2);
    assertThat(api.post(story.production + "/band", wish).status()).isEqualTo(204);
    JsonNode all =
        api.until(
            songs,
            list ->
                list.size() == 5
                    && list.valueStream().allMatch(s -> s.get("state").asString().equals("READY")));
    assertThat(all.get(3).get("bpm").asDouble()).isCloseTo(120, within(2.0));
    assertThat(all.get(4).get("loudness").asDouble()).isBetween(-40.0, -5.0);
  }

  @Test
  void aLineOverASungPartIsTold() {
    WrittenStory story = WrittenStory.make(api);
    narrate(story, 1, "Merrin", 110);
    api.bringDemo(story.id, "slow");
    JsonNode songs = api.get(story.production + "/songs").json();
    String song = story.production + "/songs/" + songs.get(0).get("id").asLong();
    assertThat(api.get(story.production + "/voice").json().get("sungOverlaps")).isEmpty();
    api.post(song + "/corrections", Map.of("name", "sung", "at", 1, "to", 2));
    JsonNode overlap = api.get(story.production + "/voice").json().get("sungOverlaps").get(0);
    assertThat(overlap.get("line").asInt()).isEqualTo(1);
    assertThat(overlap.get("seconds").asDouble()).isCloseTo(1, within(0.01));
  }
}
