package app.latethistle.core.interchange;

import java.util.List;

/**
 * A cut that another program wrote, as far as it was understood.
 *
 * @param cut what was
 * @param beside tracks over and under the cut, those of pictures from the lowest up
 * @param unread what was not, each in a sentence; nothing is left out in silence
 */
public record ReadCut(PieceList cut, List<Strand> beside, List<String> unread) {
  public ReadCut {
    beside = List.copyOf(beside);
    unread = List.copyOf(unread);
  }
}
