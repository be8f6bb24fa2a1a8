package app.latethistle.server.checks;

/** What checks need; each group is asked for by itself. */
enum CheckGroup {
  /** Nothing but the film: told at once. */
  FILM,
  /** Its pictures. */
  PICTURES,
  /** Its sound. */
  SOUND
}
