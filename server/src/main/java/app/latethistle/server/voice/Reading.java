package app.latethistle.server.voice;

import app.latethistle.core.signal.Peaks;
import app.latethistle.server.material.Medium;
import app.latethistle.server.stored.Embedded;
import app.latethistle.server.stored.StoredReading;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import java.util.Base64;

/** A line's recording and what was heard in it. */
@Entity
class Reading {
  /** Spans of the waveform a second. */
  static final int PEAKS_A_SECOND = 100;

  /** Where a reading comes from. */
  enum Source {
    NARRATOR,
    FILE,
    RECORDED
  }

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private Long lineId;
  private int number;

  @Enumerated(EnumType.STRING)
  private Source source;

  private String label;
  private String text;

  @ManyToOne(fetch = FetchType.EAGER)
  @JoinColumn(name = "medium_hash")
  private Medium medium;

  @Column(columnDefinition = "text")
  private String heard;

  private byte[] peaks;
  private boolean removed;

  protected Reading() {}

  Reading(long lineId, int number, Source source, String label, String text, Medium medium) {
    this.lineId = lineId;
    this.number = number;
    this.source = source;
    this.label = label.length() > 200 ? label.substring(0, 200) : label;
    this.text = text;
    this.medium = medium;
  }

  Reading with(StoredReading.Heard found, Peaks drawn) {
    heard = StoredReading.write(found);
    peaks = drawn.peak();
    return this;
  }

  /** One that comes from elsewhere, with what was heard in it there. */
  Reading(long lineId, PackedVoice.PackedReading packed, Medium medium) {
    this(lineId, packed.number(), packed.source(), packed.label(), packed.text(), medium);
    heard = StoredReading.write(StoredReading.read(Embedded.text(packed.heard(), "{}")));
    peaks = Base64.getDecoder().decode(packed.outline());
  }

  PackedVoice.PackedReading packed(boolean used) {
    return new PackedVoice.PackedReading(
        used,
        number,
        source,
        label,
        text,
        medium.hash(),
        Embedded.of(heard),
        Base64.getEncoder().encodeToString(peaks));
  }

  Long id() {
    return id;
  }

  Long lineId() {
    return lineId;
  }

  int number() {
    return number;
  }

  Source source() {
    return source;
  }

  /** Who reads, or the name of the file. */
  String label() {
    return label;
  }

  /** The words that were read, as they were written then. */
  String text() {
    return text;
  }

  /** Whether it was taken out; undo may bring it back. */
  boolean isRemoved() {
    return removed;
  }

  void remove(boolean out) {
    removed = out;
  }

  Medium medium() {
    return medium;
  }

  StoredReading.Heard heard() {
    return StoredReading.read(heard);
  }

  /** The highest magnitude of each span of the waveform, 0 to 255. */
  byte[] peaks() {
    return peaks;
  }
}
