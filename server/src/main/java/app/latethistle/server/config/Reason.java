package app.latethistle.server.config;

import app.latethistle.media.MachinePlaces;
import java.nio.file.FileSystemException;

/** Why something failed, as a person can be told: one line, without places of the machine. */
public final class Reason {
  private static final String FULL = "No space left on device";

  private Reason() {}

  /** The reason of a failure; never empty. */
  public static String of(Throwable failure) {
    if (failure instanceof OutOfMemoryError) {
      return "There was not enough memory for it. Use a shorter or smaller file.";
    }
    String message = failure == null ? null : failure.getMessage();
    if (message != null && message.contains(FULL)) {
      return "The disk is full. Make room, then try again.";
    }
    if (failure instanceof FileSystemException) {
      return "A file of the store is missing or cannot be used. Try again, or bring it in anew.";
    }
    if (message == null || message.isBlank()) {
      return failure == null
          ? "It ended without saying why."
          : "It failed (" + failure.getClass().getSimpleName() + "). Try again.";
    }
    String line = message.strip().lines().findFirst().orElse("");
    return MachinePlaces.replaced(line, "a file");
  }

  /** A text cut to so many letters, so that a long list of faults fits where it is kept. */
  public static String within(String text, int most) {
    return text == null || text.length() <= most ? text : text.substring(0, most - 2) + " …";
  }
}
