package app.latethistle.server.material;

import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Component;

/** Keeps each shot's pick sensible while takes come in, move and fall away. */
@Component
class Picks {
  private final Takes takes;

  Picks(Takes takes) {
    this.takes = takes;
  }

  /**
   * Leaves a pick that a person made while its take can be used; else the first take that can be
   * used is the pick for now: one that is not rejected, and a placeholder only if there is no
   * other.
   */
  void refresh(Shot shot) {
    List<TakeEntry> usable =
        takes.findByShotIdOrderByNumberAscIdAsc(shot.id()).stream()
            .filter(t -> t.state() != State.REFUSED)
            .sorted(
                Comparator.comparing(TakeEntry::isPlaceholder).thenComparing(TakeEntry::isRejected))
            .toList();
    boolean stays =
        shot.isPickedByHand() && usable.stream().anyMatch(t -> t.id().equals(shot.pickId()));
    if (!stays) {
      shot.pickForNow(usable.isEmpty() ? null : usable.get(0).id());
    }
  }
}
