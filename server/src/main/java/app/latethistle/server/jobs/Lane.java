package app.latethistle.server.jobs;

/** A queue of jobs, with threads of its own so that one kind of work does not hold up another. */
public enum Lane {
  /** What arrives, is asked for and is put together: the server's own. */
  DESK("scheduled_tasks"),
  /** Pieces of masters: for the server and its workers. */
  RENDER("render_tasks");

  private final String table;

  Lane(String table) {
    this.table = table;
  }

  /** Where its jobs are kept. */
  String table() {
    return table;
  }

  /** How many of its jobs a process works on at once. */
  int threads() {
    return switch (this) {
      // More than cores: jobs wait for disks and for other programs.
      case DESK -> 4;
      // A segment keeps about two cores busy with its decoders, its drawing and its encoder.
      case RENDER -> Math.max(1, Runtime.getRuntime().availableProcessors() / 2);
    };
  }
}
