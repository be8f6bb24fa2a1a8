package app.latethistle.server.history;

import app.latethistle.server.config.Reason;
import app.latethistle.server.stored.Deed;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/** What one request did. */
@Entity
class Step {
  private static final int LONGEST_LABEL = 300;

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private Long productionId;
  private String label;

  @Column(columnDefinition = "text")
  private String body;

  private String person;

  @SuppressWarnings("unused") // asked for in queries only
  private boolean undone;

  @SuppressWarnings("unused") // only written
  private Instant madeAt;

  protected Step() {}

  Step(long productionId, String label, String person, Deed deed) {
    this.productionId = productionId;
    this.label = Reason.within(label, LONGEST_LABEL);
    this.person = person;
    this.body = Deed.write(List.of(deed));
    this.madeAt = Instant.now();
  }

  Long id() {
    return id;
  }

  long productionId() {
    return productionId;
  }

  /** What it did, as undo names it. */
  String label() {
    return label;
  }

  /** Whose browser asked for it, or "". */
  String person() {
    return person;
  }

  List<Deed> deeds() {
    return Deed.read(body);
  }

  void add(Deed deed) {
    List<Deed> all = new ArrayList<>(deeds());
    all.add(deed);
    body = Deed.write(all);
  }

  void takenBack(boolean back) {
    undone = back;
  }
}
