package app.latethistle.core.film;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * A film and how it came to be: the edits done, and those undone that can be done again. A new edit
 * forgets the undone ones. Immutable.
 */
public final class EditLog {
  private final Film film;
  private final List<Step> steps;
  private final int done;

  private record Step(Edit edit, Edit inverse) {}

  private EditLog(Film film, List<Step> steps, int done) {
    this.film = film;
    this.steps = steps;
    this.done = done;
  }

  /** A log without edits. */
  public static EditLog of(Film film) {
    return new EditLog(film, List.of(), 0);
  }

  /**
   * Replays stored edits on an empty film.
   *
   * @param edits in the order they were made; each is understood on the film as it was before it
   * @param done how many of them are in force; the rest were undone
   */
  public static EditLog replay(List<Function<Film, Edit>> edits, int done) {
    EditLog log = of(Film.EMPTY);
    for (Function<Film, Edit> edit : edits) {
      log = log.apply(edit.apply(log.film));
    }
    while (log.done > done) {
      log = log.undo();
    }
    return log;
  }

  /** The film as it is now. */
  public Film film() {
    return film;
  }

  /** How many edits are in force. */
  public int done() {
    return done;
  }

  /** What undo would take back, or "" if nothing. */
  public String undoLabel() {
    return done == 0 ? "" : steps.get(done - 1).edit().label();
  }

  /** What redo would do again, or "" if nothing. */
  public String redoLabel() {
    return done == steps.size() ? "" : steps.get(done).edit().label();
  }

  /** The edit that undo makes. */
  public Optional<Edit> toUndo() {
    return done == 0 ? Optional.empty() : Optional.of(steps.get(done - 1).inverse());
  }

  /** The edit that redo makes. */
  public Optional<Edit> toRedo() {
    return done == steps.size() ? Optional.empty() : Optional.of(steps.get(done).edit());
  }

  /**
   * The log with one more edit.
   *
   * @throws IllegalArgumentException if the edit does not fit the film
   */
  public EditLog apply(Edit edit) {
    Film after = edit.apply(film);
    List<Step> kept = new ArrayList<>(steps.subList(0, done));
    kept.add(new Step(edit, edit.inverse(film)));
    return new EditLog(after, List.copyOf(kept), done + 1);
  }

  /** The log with the last edit in force taken back; the same log if there is none. */
  public EditLog undo() {
    return toUndo().map(edit -> new EditLog(edit.apply(film), steps, done - 1)).orElse(this);
  }

  /** The log with the last edit taken back done again; the same log if there is none. */
  public EditLog redo() {
    return toRedo().map(edit -> new EditLog(edit.apply(film), steps, done + 1)).orElse(this);
  }
}
