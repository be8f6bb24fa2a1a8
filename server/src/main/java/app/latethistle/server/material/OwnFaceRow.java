package app.latethistle.server.material;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** A face that a person brought. */
@Entity
@Table(name = "own_face")
class OwnFaceRow {
  @Id private String hash;
  private String family;
  private boolean bold;
  private boolean italic;
  private String licence;
  private boolean offered = true;

  protected OwnFaceRow() {}

  OwnFaceRow(String hash, String family, boolean bold, boolean italic, String licence) {
    this.hash = hash;
    this.family = family;
    this.bold = bold;
    this.italic = italic;
    this.licence = licence;
  }

  /** The SHA-256 of its font, by which the store has it. */
  String hash() {
    return hash;
  }

  String family() {
    return family;
  }

  boolean isBold() {
    return bold;
  }

  boolean isItalic() {
    return italic;
  }

  /** Under what it may be used. */
  String licence() {
    return licence;
  }

  /** Whether it can be chosen; what is set in it stays so either way. */
  boolean isOffered() {
    return offered;
  }

  void offer(boolean wanted) {
    offered = wanted;
  }

  void license(String other) {
    licence = other;
  }
}
