package app.latethistle.core.work;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.function.Function;

/** Does the same with each of many things at once. */
public final class AllCores {
  private AllCores() {}

  /** What is done with a thing. */
  @FunctionalInterface
  public interface Task<T, R> {
    /** Does it, beside others. */
    R of(T what) throws IOException;
  }

  /**
   * What comes of each thing, in their order. Who waits works too, but not on what a task divides
   * further: it is quickest to hand over all there is to do at once.
   *
   * @throws IOException the first that a task threw; the others may be left undone
   */
  public static <T, R> List<R> of(List<T> all, Task<T, R> task) throws IOException {
    try {
      return computed(
          all,
          what -> {
            try {
              return task.of(what);
            } catch (IOException e) {
              throw new UncheckedIOException(e);
            }
          });
    } catch (UncheckedIOException e) {
      throw e.getCause();
    }
  }

  /** What is computed of each thing, in their order, where no file is read or written. */
  public static <T, R> List<R> computed(List<T> all, Function<T, R> of) {
    return all.parallelStream().map(of).toList();
  }
}
