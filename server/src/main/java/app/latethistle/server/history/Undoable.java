package app.latethistle.server.history;

import app.latethistle.server.stored.Deed;

/**
 * Takes deeds of a kind back and does them again. Deeds are taken back from the last one on, so
 * that what a deed changed is as the deed left it.
 *
 * @param of the kind
 * @param back takes a deed back
 * @param again does a deed again that was taken back
 */
public record Undoable<D extends Deed>(Class<D> of, Change<D> back, Change<D> again) {
  /** What is done with a deed in a production. */
  public interface Change<D> {
    void make(long productionId, D deed);
  }
}
