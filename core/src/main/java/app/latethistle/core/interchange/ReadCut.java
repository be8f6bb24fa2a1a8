package app.latethistle.core.interchange;

import java.util.List;

/**
 * A cut that another program wrote, as far as it was understood.
 *
 * @param cut what was
 * @param unread what was not, each in a sentence; nothing is left out in silence
 */
public record ReadCut(PieceList cut, List<String> unread) {
  public ReadCut {
    unread = List.copyOf(unread);
  }
}
