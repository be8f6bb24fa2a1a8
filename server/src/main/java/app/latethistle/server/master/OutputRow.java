package app.latethistle.server.master;

import app.latethistle.core.release.Output;
import app.latethistle.server.stored.StoredOutput;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** An output of a production, as it is kept. */
@Entity
@Table(name = "output")
class OutputRow {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private Long productionId;

  @Column(columnDefinition = "text")
  private String document;

  protected OutputRow() {}

  OutputRow(long productionId, Output output) {
    this.productionId = productionId;
    set(output);
  }

  Long id() {
    return id;
  }

  long productionId() {
    return productionId;
  }

  Output output() {
    return StoredOutput.read(document);
  }

  void set(Output output) {
    document = StoredOutput.write(output);
  }
}
