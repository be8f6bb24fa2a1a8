package app.latethistle.server.film;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** A finish of the person's own, as it is kept. */
@Entity
@Table(name = "finish")
class FinishRow {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(columnDefinition = "text")
  private String document;

  protected FinishRow() {}

  FinishRow(String document) {
    this.document = document;
  }

  Long id() {
    return id;
  }

  /** The finish as JSON. */
  String document() {
    return document;
  }
}
