package app.latethistle.server.material;

import app.latethistle.core.take.Gathering;
import app.latethistle.server.history.History;
import app.latethistle.server.history.Undoable;
import app.latethistle.server.stored.Deed;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Component;

/** What persons do with takes, and how it is taken back. */
@Component
class TakeSteps {
  private final Shots shots;
  private final Takes takes;
  private final Picks picks;
  private final History history;

  TakeSteps(Shots shots, Takes takes, Picks picks, History history) {
    this.shots = shots;
    this.takes = takes;
    this.picks = picks;
    this.history = history;
  }

  /**
   * Judges a take.
   *
   * @return what that brought with it, in a sentence, or ""
   */
  String judge(TakeEntry take, Consumer<TakeEntry> judgement) {
    Deed.Said before = take.said();
    judgement.accept(take);
    Deed.Said after = take.said();
    if (after.equals(before)) {
      return "";
    }
    Shot shot = shots.get(take.productionId(), take.shotId());
    String which = "take " + take.number() + " of " + shot.called();
    String label =
        before.rejected() != after.rejected()
            ? (after.rejected() ? "put aside " : "take back ") + which
            : "judge " + which;
    history.did(take.productionId(), label, new Deed.Judged(take.id(), before, after));
    takes.flush();
    Long pick = shot.pickId();
    picks.refreshAlong(shot);
    List<String> says = new ArrayList<>();
    if (before.faults().size() != after.faults().size() && before.rejected() != after.rejected()) {
      says.add(
          after.rejected()
              ? "Take " + take.number() + " is put aside for its fault."
              : "Take " + take.number() + " has no fault any more and is back.");
    }
    if (pick != null && shot.pickId() != null && !pick.equals(shot.pickId())) {
      int now = takes.get(take.productionId(), shot.pickId()).number();
      says.add("Take " + now + " is the pick of " + shot.called() + " now.");
    }
    if (!says.isEmpty()) {
      says.add("Ctrl+Z takes it back.");
    }
    return String.join(" ", says);
  }

  /** Moves a take to a shot and number. */
  void move(TakeEntry take, Deed.Home to) {
    Shot from = shots.get(take.productionId(), take.shotId());
    Deed.Home before = new Deed.Home(from.key().scene(), from.key().number(), take.number());
    if (!before.equals(to)) {
      history.did(
          take.productionId(),
          "move take " + take.number() + " of " + from.called(),
          new Deed.TakeMoved(take.id(), before, to));
      place(take, to);
    }
  }

  private void place(TakeEntry take, Deed.Home to) {
    Shot from = shots.get(take.productionId(), take.shotId());
    Gathering.ShotKey key = new Gathering.ShotKey(to.scene(), to.shot(), "");
    Shot shot =
        shots.findByProductionIdOrderById(take.productionId()).stream()
            .filter(s -> s.key().equals(key))
            .findFirst()
            .orElseGet(() -> shots.save(new Shot(take.productionId(), key, from.title())));
    take.moveTo(shot, to.number());
    takes.flush();
    picks.refreshAlong(shot);
    if (takes.findByShotIdOrderByNumberAscIdAsc(from.id()).isEmpty()) {
      shots.delete(from);
    } else {
      picks.refreshAlong(from);
    }
  }

  /**
   * Each kind, taken back by what was before and done again by what was after. A shot goes when its
   * last take moves away, and comes back as another one; what was done to the one that is gone is
   * left.
   */
  @Configuration
  static class Kinds {
    @Bean
    Undoable<Deed.Judged> judged(Takes takes) {
      return new Undoable<>(
          Deed.Judged.class,
          (production, deed) -> takes.get(production, deed.take()).say(deed.before()),
          (production, deed) -> takes.get(production, deed.take()).say(deed.after()));
    }

    @Bean
    Undoable<Deed.Picked> picked(Shots shots) {
      return new Undoable<>(
          Deed.Picked.class,
          (production, deed) -> shots.findById(deed.shot()).ifPresent(s -> s.pick(deed.before())),
          (production, deed) -> shots.findById(deed.shot()).ifPresent(s -> s.pick(deed.after())));
    }

    @Bean
    Undoable<Deed.TakeMoved> moved(TakeSteps steps, Takes takes) {
      return new Undoable<>(
          Deed.TakeMoved.class,
          (production, deed) -> steps.place(takes.get(production, deed.take()), deed.before()),
          (production, deed) -> steps.place(takes.get(production, deed.take()), deed.after()));
    }

    @Bean
    Undoable<Deed.ShotNamed> named(Shots shots) {
      return new Undoable<>(
          Deed.ShotNamed.class,
          (production, deed) -> shots.findById(deed.shot()).ifPresent(s -> s.rename(deed.before())),
          (production, deed) -> shots.findById(deed.shot()).ifPresent(s -> s.rename(deed.after())));
    }
  }
}
