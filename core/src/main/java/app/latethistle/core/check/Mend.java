package app.latethistle.core.check;

import app.latethistle.core.film.Edit;
import java.util.function.Supplier;

/**
 * One act that puts a finding right.
 *
 * @param label of a button: "Stay 0.4 s longer"
 * @param cost what it changes beside that, in words; "" for nothing that is seen
 * @param how works the edit out; only asked for where it is done
 */
public record Mend(String label, String cost, Supplier<Edit> how) {
  /** One whose edit is known. */
  public Mend(String label, String cost, Edit edit) {
    this(label, cost, () -> edit);
  }

  public Edit edit() {
    return how.get();
  }
}
