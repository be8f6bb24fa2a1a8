package app.latethistle.server.material;

/** How far a take or song is. */
public enum State {
  /** A background job is still at it. */
  PREPARING,
  /** It can be used. */
  READY,
  /** It cannot be used; the reason says why. */
  REFUSED
}
