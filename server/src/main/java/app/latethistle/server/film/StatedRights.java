package app.latethistle.server.film;

import java.util.Map;

/** Under what rights a production's things are used, as its people said. */
public interface StatedRights {
  /** By kind and what is used, such as "song:" and the SHA-256 of its bytes. */
  Map<String, String> statedRights(long productionId);
}
