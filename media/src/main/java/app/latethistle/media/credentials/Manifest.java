package app.latethistle.media.credentials;

import java.nio.ByteBuffer;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/**
 * A statement of where a file is from: that it was made of generated pictures by cutting, grading
 * and laying over, and what its bytes are.
 *
 * @param id by which it is known
 * @param title of what the file shows; blank for none
 */
record Manifest(UUID id, String title) {
  /**
   * What is made of generated pictures by cutting, grading and laying over (IPTC NewsCodes, {@code
   * digitalsourcetype}).
   */
  static final String SOURCE =
      "http://cv.iptc.org/newscodes/digitalsourcetype/compositeWithTrainedAlgorithmicMedia";

  private static final String MAKER = "Late Thistle";

  private static final String ACTIONS = "c2pa.actions.v2";

  /** By which the statement binds itself to a file. */
  private static final String HASH = "sha256";

  static Manifest of(String title) {
    return new Manifest(UUID.randomUUID(), title);
  }

  static MessageDigest digest() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  /**
   * All that a file carries: a store of this manifest.
   *
   * @param binding the kind of assertion that says what the file's bytes are
   * @param bound what it says
   */
  byte[] store(SigningKey key, String binding, Map<String, ?> bound) {
    String label = "urn:c2pa:" + id;
    byte[] actions = Jumbf.cbor(ACTIONS, actions());
    Map<String, Object> hashed = new LinkedHashMap<>(bound);
    hashed.put("alg", HASH);
    hashed.put("name", "all of the file but this");
    byte[] hard = Jumbf.cbor(binding, hashed);
    Map<String, Object> claim = new LinkedHashMap<>();
    claim.put("instanceID", "xmp:iid:" + id);
    claim.put("claim_generator_info", maker());
    claim.put("signature", "self#jumbf=/c2pa/" + label + "/c2pa.signature");
    claim.put("created_assertions", List.of(link(ACTIONS, actions), link(binding, hard)));
    if (!title.isBlank()) {
      claim.put("dc:title", title);
    }
    claim.put("alg", HASH);
    byte[] said = Jumbf.encoded(claim);
    return Jumbf.superbox(
        "c2pa",
        "c2pa",
        Jumbf.superbox(
            "c2ma",
            label,
            Jumbf.superbox("c2as", "c2pa.assertions", actions, hard),
            Jumbf.superbox("c2cl", "c2pa.claim.v2", Jumbf.box("cbor", said)),
            Jumbf.superbox("c2cs", "c2pa.signature", Jumbf.box("cbor", key.sign(said)))));
  }

  private static Map<String, Object> actions() {
    Map<String, Object> made = new LinkedHashMap<>();
    made.put("action", "c2pa.created");
    made.put("softwareAgent", maker());
    made.put("digitalSourceType", SOURCE);
    return Map.of("actions", List.of(made));
  }

  private static Map<String, Object> maker() {
    return Map.of("name", MAKER);
  }

  private static Map<String, Object> link(String label, byte[] assertion) {
    MessageDigest digest = digest();
    ByteBuffer payload = Jumbf.payload(assertion);
    digest.update(payload);
    Map<String, Object> link = new LinkedHashMap<>();
    link.put("url", "self#jumbf=c2pa.assertions/" + label);
    link.put("hash", digest.digest());
    return link;
  }
}
