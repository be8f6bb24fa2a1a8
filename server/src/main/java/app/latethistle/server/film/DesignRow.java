package app.latethistle.server.film;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** A title of the person's own to begin others with, as it is kept. */
@Entity
@Table(name = "title_design")
class DesignRow {
  @Id private String name;

  @Column(columnDefinition = "text")
  private String design;

  protected DesignRow() {}

  DesignRow(String name, String design) {
    this.name = name;
    this.design = design;
  }

  /** The design as JSON. */
  String design() {
    return design;
  }
}
