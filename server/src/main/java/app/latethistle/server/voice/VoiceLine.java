package app.latethistle.server.voice;

import app.latethistle.core.film.Revoice;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.util.List;

/** What is settled of a line of the script. */
@Entity
class VoiceLine {
  /** What a line's start is tied to. */
  enum StartKind {
    /** The end of the line before, and a gap in seconds; the delivery's if none is given. */
    AFTER,
    /** A bar of the song, by its number. */
    BAR,
    /** A shot of the story, by its id. */
    SHOT,
    /** Seconds of the film. */
    FREE
  }

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private Long productionId;
  private String text;
  private Long pickId;

  @Enumerated(EnumType.STRING)
  private StartKind startKind = StartKind.AFTER;

  private Double startValue;
  private Double longest;

  protected VoiceLine() {}

  VoiceLine(long productionId, String text) {
    this.productionId = productionId;
    this.text = text;
  }

  /** One that comes from elsewhere; which reading is used is not known yet. */
  VoiceLine(long productionId, PackedVoice.PackedLine packed) {
    this(productionId, packed.text());
    tie(packed.start(), packed.value());
    tighten(packed.longest());
  }

  PackedVoice.PackedLine packed(List<Reading> readings) {
    return new PackedVoice.PackedLine(
        id,
        text,
        startKind,
        startValue,
        longest,
        readings.stream().map(r -> r.packed(r.id().equals(pickId))).toList());
  }

  Long id() {
    return id;
  }

  Long productionId() {
    return productionId;
  }

  String text() {
    return text;
  }

  /** The reading that is used, or null. */
  Long pickId() {
    return pickId;
  }

  StartKind startKind() {
    return startKind;
  }

  /** What the start is tied to; null for a gap as the delivery has it. */
  Double startValue() {
    return startValue;
  }

  /** The longest pause left in it, in seconds; null if it is as it was read. */
  Double longest() {
    return longest;
  }

  void say(String newText) {
    text = newText;
  }

  void pick(Long reading) {
    pickId = reading;
  }

  void tie(StartKind kind, Double value) {
    startKind = kind;
    startValue = value;
  }

  void tighten(Double seconds) {
    longest = seconds;
  }

  /** What is settled of it, for the film's undo. */
  Revoice.Settled settled() {
    String reading = pickId == null ? "" : Long.toString(pickId);
    return new Revoice.Settled(reading, startKind.name(), startValue, longest);
  }
}
