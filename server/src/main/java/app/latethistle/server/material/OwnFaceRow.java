package app.latethistle.server.material;

import app.latethistle.media.OwnFace;
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
  private boolean logotype;
  private boolean offered = true;

  protected OwnFaceRow() {}

  OwnFaceRow(String hash, OwnFace face, String licence) {
    this.hash = hash;
    family = face.family();
    bold = face.isBold();
    italic = face.isItalic();
    logotype = face.isLogotype();
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

  /** Whether it is a picture that stands in place of words. */
  boolean isLogotype() {
    return logotype;
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
