package app.latethistle.core.film;

/**
 * What holds a placement where it is.
 *
 * @param locked whether edits and a new first cut leave its place, its length and the part of its
 *     take alone
 * @param group placements of one number are taken hold of together; 0 is none
 */
public record Held(boolean locked, int group) {
  /** Free to be moved. */
  public static final Held FREE = new Held(false, 0);

  Held withLocked(boolean newLocked) {
    return new Held(newLocked, group);
  }

  Held withGroup(int newGroup) {
    return new Held(locked, newGroup);
  }
}
