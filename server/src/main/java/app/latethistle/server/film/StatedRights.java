package app.latethistle.server.film;

import java.util.Map;

/** Under what rights a production's things are used, as its people said. */
public interface StatedRights {
  /**
   * The key of something that is used.
   *
   * @param kind pictures, song, voice, sound or face
   * @param of what tells it from others of its kind: a name, or the SHA-256 of its bytes
   */
  static String key(String kind, String of) {
    return kind + ":" + of;
  }

  /** By their keys. */
  Map<String, String> statedRights(long productionId);
}
