package app.latethistle.server.release;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** A production's release sheet, as it is kept. */
@Entity
@Table(name = "release_sheet")
class ReleaseRow {
  @Id private Long productionId;

  @Column(columnDefinition = "text")
  private String document;

  protected ReleaseRow() {}

  ReleaseRow(long productionId, String document) {
    this.productionId = productionId;
    this.document = document;
  }

  /** The sheet as JSON. */
  String document() {
    return document;
  }
}
