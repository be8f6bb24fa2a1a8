package app.latethistle.server.material;

import app.latethistle.media.MediaFacts;
import app.latethistle.server.history.History;
import app.latethistle.server.stored.Deed;
import java.util.Comparator;
import java.util.List;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/** Keeps each shot's pick sensible while takes come in, move and fall away. */
@Component
public class Picks {
  private final Takes takes;
  private final History history;
  private final ApplicationEventPublisher events;

  Picks(Takes takes, History history, ApplicationEventPublisher events) {
    this.takes = takes;
    this.history = history;
    this.events = events;
  }

  /**
   * Leaves a pick that a person made while its take can be used; else the first take that can be
   * used is the pick for now: one that is not rejected, a clip rather than a still, and a
   * placeholder only if there is no other.
   */
  void refresh(Shot shot) {
    List<TakeEntry> usable =
        takes.findByShotIdOrderByNumberAscIdAsc(shot.id()).stream()
            .filter(t -> t.state() != State.REFUSED)
            .sorted(
                Comparator.comparing(TakeEntry::isPlaceholder)
                    .thenComparing(TakeEntry::isRejected)
                    .thenComparing(t -> t.medium().facts().kind() == MediaFacts.Kind.STILL))
            .toList();
    boolean stays =
        shot.isPickedByHand() && usable.stream().anyMatch(t -> t.id().equals(shot.pickId()));
    if (!stays) {
      shot.pickForNow(usable.isEmpty() ? null : usable.get(0).id());
    }
  }

  /** Makes a take the pick because a person says so; the film shows it where it shows the shot. */
  void choose(Shot shot, TakeEntry take) {
    byHand(shot, take.id());
    events.publishEvent(new PickChosen(shot.productionId(), shot.id(), take.id()));
  }

  /** Makes a take the pick because a person says so. */
  public void byHand(Shot shot, long take) {
    Deed.Pick before = shot.pick();
    shot.pickByHand(take);
    noted(shot, before, "pick another take of " + shot.called());
  }

  /** Refreshes a pick as a part of what a person did. */
  void refreshAlong(Shot shot) {
    Deed.Pick before = shot.pick();
    refresh(shot);
    noted(shot, before, "pick another take of " + shot.called());
  }

  private void noted(Shot shot, Deed.Pick before, String label) {
    if (!before.equals(shot.pick())) {
      history.did(shot.productionId(), label, new Deed.Picked(shot.id(), before, shot.pick()));
    }
  }
}
