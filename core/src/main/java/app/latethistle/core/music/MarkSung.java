package app.latethistle.core.music;

import app.latethistle.core.Refused;
import java.util.List;

/**
 * Says whether somebody sings in a span.
 *
 * @param from in samples
 * @param to in samples, after {@code from}
 */
public record MarkSung(long from, long to, boolean sung) implements SongCorrection {
  /**
   * @throws IllegalArgumentException if the span is empty
   */
  public MarkSung {
    if (to <= from) {
      throw new Refused("Mark a span of the song; this one is empty.");
    }
  }

  @Override
  public List<SungPart> applyToSung(List<SungPart> parts) {
    return sung ? SungPart.with(parts, from, to) : SungPart.without(parts, from, to);
  }

  @Override
  public String label() {
    return sung ? "mark a sung part" : "unmark a sung part";
  }
}
