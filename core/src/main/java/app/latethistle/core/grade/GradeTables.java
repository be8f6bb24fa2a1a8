package app.latethistle.core.grade;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;

/** The tables that were used last, by what they were made of. For one thread. */
public final class GradeTables {
  /**
   * 12 MB each: a frame shows two shots of the cut and three over it, and a finish; two of them may
   * have ranges in parts of their pictures.
   */
  private static final int KEPT = 12;

  private final Map<Object, GradeTable> tables =
      new LinkedHashMap<>(KEPT, 0.75f, /* accessOrder= */ true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Object, GradeTable> eldest) {
          return size() > KEPT;
        }
      };

  /**
   * A table.
   *
   * @param of a value that says what it does: equal ones have one table
   */
  public GradeTable of(Object of, Supplier<ColourChange> change) {
    return tables.computeIfAbsent(of, o -> GradeTable.of(change.get()));
  }

  /** Forgets all. */
  public void clear() {
    tables.clear();
  }
}
