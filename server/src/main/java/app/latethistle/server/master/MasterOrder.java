package app.latethistle.server.master;

import app.latethistle.core.render.Program;
import tools.jackson.databind.json.JsonMapper;

/**
 * All that a render needs, as it was when the master was ordered: later edits do not change it.
 *
 * @param song the hash of the song's file, or ""
 * @param songStart the sample of the song heard first
 */
record MasterOrder(Program program, String song, long songStart) {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  String write() {
    return JSON.writeValueAsString(this);
  }

  static MasterOrder read(String text) {
    return JSON.readValue(text, MasterOrder.class);
  }
}
