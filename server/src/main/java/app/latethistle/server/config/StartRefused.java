package app.latethistle.server.config;

/** The application cannot start; it says why and what to do. */
final class StartRefused extends RuntimeException {
  private static final long serialVersionUID = 1;

  private final String action;

  StartRefused(String why, String action) {
    super(why);
    this.action = action;
  }

  /** What a person can do. */
  String action() {
    return action;
  }
}
