package app.latethistle.server.pack;

import app.latethistle.server.production.Production;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import tools.jackson.databind.JsonNode;

/** What a package keeps of a production, as it leaves and comes in. */
public interface PackedPart {
  /** By which it is found in {@code production.json}. */
  String name();

  /** The files it needs: by the hash of each what it is called. */
  default Map<String, String> files(Production production) {
    return Map.of();
  }

  /**
   * What is written of it; JSON can say it.
   *
   * @param files the hashes of all files that go with the production
   */
  Object pack(Production production, Set<String> files);

  /**
   * Documents of their own, by their names in the zip.
   *
   * @param paths where each file is in the zip, by its hash
   */
  default Map<String, String> documents(Production production, UnaryOperator<String> paths) {
    return Map.of();
  }

  /**
   * Brings it into a production that was just made, in the transaction that makes it.
   *
   * @throws IllegalArgumentException if it is not as it is written, with a sentence for the person
   */
  void unpack(Production made, JsonNode part, Arrivals arrivals);
}
