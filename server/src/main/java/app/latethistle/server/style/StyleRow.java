package app.latethistle.server.style;

import app.latethistle.server.stored.StoredStyle;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** A channel's style, as it is kept. */
@Entity
@Table(name = "channel_style")
class StyleRow {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private String name;
  private int revision;

  @Column(columnDefinition = "text")
  private String document;

  protected StyleRow() {}

  StyleRow(String name) {
    this.name = name;
  }

  Long id() {
    return id;
  }

  String name() {
    return name;
  }

  /** Raised each time it is kept anew. */
  int revision() {
    return revision;
  }

  String document() {
    return document;
  }

  StoredStyle stored() {
    return StoredStyle.read(document);
  }

  void set(StoredStyle stored) {
    document = stored.write();
    revision++;
  }
}
