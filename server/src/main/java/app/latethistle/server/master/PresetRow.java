package app.latethistle.server.master;

import app.latethistle.core.release.Preset;
import app.latethistle.server.stored.StoredPreset;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** A preset, as it is kept. */
@Entity
@Table(name = "preset")
class PresetRow {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(columnDefinition = "text")
  private String document;

  protected PresetRow() {}

  PresetRow(Preset preset) {
    set(preset);
  }

  Long id() {
    return id;
  }

  Preset preset() {
    return StoredPreset.read(document);
  }

  void set(Preset preset) {
    document = StoredPreset.write(preset);
  }
}
