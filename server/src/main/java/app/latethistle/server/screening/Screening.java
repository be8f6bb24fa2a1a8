package app.latethistle.server.screening;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.security.SecureRandom;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;

/** A link by which a production's film is watched. */
@Entity
class Screening {
  static final Duration LASTS = Duration.ofDays(7);

  /** More than anybody can guess. */
  private static final int KEY_BYTES = 18;

  private static final SecureRandom RANDOM = new SecureRandom();

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private Long productionId;
  private String name;
  private String key;
  private Instant endsAt;

  protected Screening() {}

  Screening(long productionId, String name, Instant now) {
    this.productionId = productionId;
    this.name = name;
    byte[] bytes = new byte[KEY_BYTES];
    RANDOM.nextBytes(bytes);
    key = Base64.getUrlEncoder().encodeToString(bytes);
    endsAt = now.plus(LASTS);
  }

  Long id() {
    return id;
  }

  long productionId() {
    return productionId;
  }

  /** Whom it is for. */
  String name() {
    return name;
  }

  /** What stands in its link. */
  String key() {
    return key;
  }

  Instant endsAt() {
    return endsAt;
  }
}
