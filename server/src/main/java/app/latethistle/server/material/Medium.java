package app.latethistle.server.material;

import app.latethistle.core.measure.TakeFacts;
import app.latethistle.core.take.Box;
import app.latethistle.media.MediaFacts;
import app.latethistle.server.stored.StoredFacts;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Transient;
import java.util.List;
import java.util.Optional;

/** A file in the store and what it holds. */
@Entity
public class Medium {
  @Id private String hash;
  private long bytes;

  @Column(columnDefinition = "text")
  private String facts;

  @Column(columnDefinition = "text")
  private String measured;

  @Transient private MediaFacts read;

  protected Medium() {}

  Medium(String hash, long bytes, MediaFacts facts) {
    this.hash = hash;
    this.bytes = bytes;
    this.facts = StoredFacts.write(facts);
  }

  public String hash() {
    return hash;
  }

  public long bytes() {
    return bytes;
  }

  public MediaFacts facts() {
    if (read == null) {
      read = StoredFacts.read(facts);
    }
    return read;
  }

  boolean isMeasured() {
    return measured != null;
  }

  /** What was measured of its pictures, once it has been. */
  public Optional<TakeFacts> measured() {
    return Optional.ofNullable(measured).map(StoredFacts::readMeasured);
  }

  void measure(TakeFacts facts) {
    measured = StoredFacts.writeMeasured(facts);
  }

  void mark(List<Box> marks) {
    measured = StoredFacts.writeMeasured(measured().orElseThrow().withMarks(marks));
  }
}
