package app.latethistle.server.master;

import app.latethistle.core.render.Program;
import app.latethistle.server.film.HeardClip;
import app.latethistle.server.film.SpokenPart;
import java.util.List;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * All that a render needs, as it was when the master was ordered: later edits do not change it.
 *
 * @param song the hash of the song's file, or ""
 * @param songStart the sample of the song heard first
 * @param clips what is heard of clips
 * @param voice the lines that are spoken
 */
record MasterOrder(
    Program program, String song, long songStart, List<HeardClip> clips, List<SpokenPart> voice) {
  /** Orders of before there were voices and clips' sounds have none. */
  MasterOrder {
    clips = clips == null ? List.of() : List.copyOf(clips);
    voice = voice == null ? List.of() : List.copyOf(voice);
  }

  private static final JsonMapper JSON =
      JsonMapper.builder().disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES).build();

  String write() {
    return JSON.writeValueAsString(this);
  }

  static MasterOrder read(String text) {
    return JSON.readValue(text, MasterOrder.class);
  }
}
