package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.look.Dial;
import app.latethistle.core.look.Drive;
import app.latethistle.core.look.Treatment;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.look.Treatments;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;

/**
 * A treatment as the page shows and sets it.
 *
 * @param values one for each of the kind's parameters
 * @param bypassed whether it is left out for now
 * @param table what a table looks up in, by its file's SHA-256; null for other kinds
 */
record TreatmentView(
    TreatmentKind kind,
    List<Value> values,
    boolean bypassed,
    @Schema(nullable = true) String table) {

  /**
   * A value.
   *
   * @param value at rest, in its parameter's unit
   * @param follows what moves it; null if it stays
   */
  record Value(int value, @Schema(nullable = true) Follows follows) {
    static Value of(Dial dial) {
      return new Value(dial.value(), dial.drive().map(Follows::of).orElse(null));
    }

    Dial dial() {
      return new Dial(value, Optional.ofNullable(follows).map(Follows::drive));
    }
  }

  /**
   * What a value follows; see {@link Drive}.
   *
   * @param line of the one word that is followed; null for other sources
   * @param word its place in the line, from 0; null for other sources
   */
  record Follows(
      Drive.Source source,
      @Schema(nullable = true) String line,
      @Schema(nullable = true) Integer word,
      int to,
      int attack,
      int decay) {
    static Follows of(Drive drive) {
      return new Follows(
          drive.source(),
          drive.word().map(Drive.Word::line).orElse(null),
          drive.word().map(Drive.Word::index).orElse(null),
          drive.to(),
          drive.attack(),
          drive.decay());
    }

    Drive drive() {
      if (source == null) {
        throw new Refused("Say what the value is to follow.");
      }
      Optional<Drive.Word> one =
          line == null || word == null ? Optional.empty() : Optional.of(new Drive.Word(line, word));
      return new Drive(source, one, to, attack, decay);
    }
  }

  static TreatmentView of(Treatment t) {
    return new TreatmentView(
        t.kind(),
        t.dials().stream().map(Value::of).toList(),
        t.bypassed(),
        t.table().isEmpty() ? null : t.table());
  }

  static List<TreatmentView> of(Treatments treatments) {
    return treatments.list().stream().map(TreatmentView::of).toList();
  }

  /**
   * As the film keeps it.
   *
   * @throws IllegalArgumentException if a value is missing or out of its range
   */
  private Treatment treatment() {
    if (kind == null) {
      throw new Refused("Say what kind of treatment it is to be.");
    }
    List<Dial> dials =
        values == null ? Treatment.usual(kind).dials() : values.stream().map(Value::dial).toList();
    return new Treatment(kind, dials, bypassed, table == null ? "" : table);
  }

  static Treatments treatments(List<TreatmentView> list) {
    return new Treatments(list.stream().map(TreatmentView::treatment).toList());
  }
}
