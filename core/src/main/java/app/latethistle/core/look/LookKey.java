package app.latethistle.core.look;

/** What shots are to look like. */
public sealed interface LookKey {
  /** A shot of the film, by its id. */
  record OfShot(String shot) implements LookKey {}

  /** A still that was brought in for it, by the SHA-256 of its file. */
  record Still(String picture) implements LookKey {}
}
