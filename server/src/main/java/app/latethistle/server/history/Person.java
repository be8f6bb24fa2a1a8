package app.latethistle.server.history;

import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * Who asks: a mark that a browser keeps and sends with each change. It tells persons of a team
 * apart for undo and protects nothing.
 */
final class Person {
  private static final String HEADER = "X-Person";
  private static final int LONGEST = 40;

  private Person() {}

  /** The mark of whoever asks, or "" for the application itself. */
  static String asking() {
    if (RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes web) {
      String mark = web.getRequest().getHeader(HEADER);
      return mark == null || mark.length() > LONGEST ? "" : mark;
    }
    return "";
  }
}
