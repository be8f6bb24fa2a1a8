package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayOutputStream;
import java.util.Map;
import javax.sound.midi.MetaMessage;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import javax.sound.midi.Track;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class CorrectionTest {
  private final Api api = RunningServer.shared().api();

  private JsonNode song(EditedFilm cut) {
    return api.get(cut.path + "/songs").json().get(0);
  }

  @Test
  void aFilmStaysWhereItIsHeardWhenTheTempoIsHalved() {
    EditedFilm cut = EditedFilm.make(api, 18);
    String song = cut.path + "/songs/" + song(cut).get("id").asLong();
    double bpm = song(cut).get("bpm").asDouble();
    JsonNode before = cut.film.get("joints");
    assertThat(api.post(song + "/corrections", Map.of("name", "halve")).status()).isEqualTo(204);
    assertThat(song(cut).get("bpm").asDouble()).isCloseTo(bpm / 2, within(0.5));
    assertThat(cut.past.undoes()).isEqualTo("halve the tempo");
    JsonNode film = api.get(cut.path + "/film").json();
    double gap = 24 * 60 / bpm;
    for (int i = 0; i < before.size(); i++) {
      assertThat(film.get("joints").get(i).get("frame").asDouble())
          .isCloseTo(before.get(i).get("frame").asDouble(), within(gap + 1));
    }
    cut.undo();
    assertThat(song(cut).get("bpm").asDouble()).isEqualTo(bpm);
    assertThat(cut.film.get("joints")).isEqualTo(before);
    cut.redo();
    assertThat(cut.past.redoes()).isEmpty();
    assertThat(cut.film.get("joints")).isEqualTo(film.get("joints"));
  }

  @Test
  void aTempoIsDoubledUpToThreeHundredAndMovedByHalfABeat() {
    EditedFilm cut = EditedFilm.make(api, 18);
    String path = cut.path + "/songs/" + song(cut).get("id").asLong() + "/corrections";
    double first = song(cut).get("beats").get(0).asDouble();
    double second = song(cut).get("beats").get(1).asDouble();
    assertThat(api.post(path, Map.of("name", "half-beat-later")).status()).isEqualTo(204);
    assertThat(song(cut).get("beats").get(0).asDouble())
        .isCloseTo((first + second) / 2, within(1e-3));
    assertThat(cut.past.undoes()).isEqualTo("half a beat later");
    Api.Answer answer = api.post(path, Map.of("name", "double"));
    while (answer.status() == 204) {
      assertThat(song(cut).get("bpm").asDouble()).isLessThanOrEqualTo(300);
      answer = api.post(path, Map.of("name", "double"));
    }
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.detail()).contains("between 20 and 300");
  }

  @Test
  void aBeatThatMovesTakesItsCutAlong() {
    EditedFilm cut = EditedFilm.make(api, 18);
    JsonNode song = song(cut);
    String path = cut.path + "/songs/" + song.get("id").asLong();
    int beat = cut.joint(2).get("beat").asInt();
    double at = song.get("beats").get(beat).asDouble();
    long frame = cut.joint(2).get("frame").asLong();
    api.post(path + "/corrections", Map.of("name", "move-beat", "at", at, "to", at + 0.125));
    JsonNode film = api.get(cut.path + "/film").json();
    assertThat(film.get("joints").get(2).get("frame").asLong()).isEqualTo(frame + 3);
    assertThat(film.get("revision").asLong()).isGreaterThan(cut.film.get("revision").asLong());
  }

  @Test
  void beatsAndBarsComeFromAMidiFile() throws Exception {
    EditedFilm cut = EditedFilm.make(api, 18);
    String path = cut.path + "/songs/" + song(cut).get("id").asLong();
    Sequence sequence = new Sequence(Sequence.PPQ, 96);
    Track track = sequence.createTrack();
    track.add(new MidiEvent(new MetaMessage(0x58, new byte[] {3, 2, 24, 8}, 4), 0));
    track.add(new MidiEvent(new MetaMessage(0x51, new byte[] {9, 39, (byte) 192}, 3), 0));
    // No note is in it: a tempo map counts to its end.
    track.add(new MidiEvent(new MetaMessage(0x2F, new byte[0], 0), 96L * 30));
    ByteArrayOutputStream file = new ByteArrayOutputStream();
    MidiSystem.write(sequence, 0, file);
    assertThat(api.bytes(path + "/tempo-map", file.toByteArray()).status()).isEqualTo(204);
    JsonNode song = song(cut);
    // 0x0927C0 is 600,000 microseconds a quarter.
    assertThat(song.get("bpm").asDouble()).isCloseTo(100, within(0.01));
    assertThat(song.get("beatsPerBar").asInt()).isEqualTo(3);
    assertThat(song.get("beats")).hasSize(30);
    assertThat(cut.past.undoes()).isEqualTo("take the tempo map");
    assertThat(api.bytes(path + "/tempo-map", new byte[] {1, 2, 3}).detail())
        .contains("not a MIDI file");
    assertThat(song(cut).get("beats")).hasSize(30);
  }

  @Test
  void theBandTellsWhereItSingsAndAPersonPutsItRight() {
    long id = api.production("Band", 1280, 720, 20);
    String production = "/api/productions/" + id;
    Map<String, ?> wish =
        Map.of("style", "", "mood", "WARM", "bpm", 120, "seconds", 40, "voice", true, "songs", 2);
    assertThat(api.post(production + "/band", wish).status()).isEqualTo(204);
    JsonNode songs =
        api.until(production + "/songs", s -> s.size() == 2 && !s.toString().contains("PREPARING"));
    JsonNode sung = songs.get(0).get("sung");
    // Bars of 2 s: the voice comes in with the fifth, and the last is left to ring.
    assertThat(sung).hasSize(1);
    assertThat(sung.get(0).get("start").asDouble()).isCloseTo(8, within(0.001));
    String song = production + "/songs/" + songs.get(0).get("id").asLong();
    api.post(song + "/corrections", Map.of("name", "not-sung", "at", 12, "to", 20));
    sung = api.get(production + "/songs").json().get(0).get("sung");
    assertThat(sung).hasSize(2);
    assertThat(sung.get(0).get("end").asDouble()).isEqualTo(12);
    new Past(api, id).undo();
    assertThat(api.get(production + "/songs").json().get(0).get("sung")).hasSize(1);
  }

  @Test
  void whatCannotBePutRightIsSaid() {
    EditedFilm cut = EditedFilm.make(api, 18);
    String path = cut.path + "/songs/" + song(cut).get("id").asLong();
    String before = api.get(cut.path + "/songs").text();
    Api.Answer bars = api.post(path + "/corrections", Map.of("name", "bars", "count", 40));
    assertThat(bars.status()).isEqualTo(422);
    assertThat(bars.detail()).contains("A bar of 40 beats");
    Api.Answer taps =
        api.post(path + "/corrections", Map.of("name", "taps", "taps", java.util.List.of(1, 2)));
    assertThat(taps.detail()).contains("Tap four beats or more");
    assertThat(api.get(cut.path + "/songs").text()).isEqualTo(before);
  }
}
