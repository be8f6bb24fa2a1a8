package app.latethistle.server.history;

import app.latethistle.core.Refused;
import app.latethistle.server.config.StaleRevision;
import app.latethistle.server.stored.Deed;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what was done in each production and takes it back, last first. */
@Service
public class History {
  /** So many steps can be taken back. */
  public static final int KEPT = 500;

  private final Steps steps;
  private final ObjectProvider<Undoable<?>> owners;

  History(Steps steps, ObjectProvider<Undoable<?>> owners) {
    this.steps = steps;
    this.owners = owners;
  }

  /**
   * Notes what the transaction in progress did. All it does is one step, called by what it did
   * first. While steps are taken back or done again nothing is noted.
   *
   * @param label what was done, such as "trim shot 030"
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void did(long productionId, String label, Deed deed) {
    Noting noting = Noting.here();
    if (noting.off) {
      return;
    }
    if (noting.step != null && noting.step.productionId() == productionId) {
      noting.step.add(deed);
      return;
    }
    steps.forgetUndone(productionId);
    String called = noting.label == null ? label : noting.label;
    noting.step = steps.save(new Step(productionId, called, Person.asking(), deed));
    steps.forgetAllBut(productionId, KEPT);
  }

  /**
   * Gives the step of the transaction in progress its name before anything is done, where what it
   * does first does not name the whole.
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void call(String label) {
    Noting noting = Noting.here();
    if (noting.label == null) {
      noting.label = label;
    }
  }

  /** Whether the last thing done in a production is of a kind and has this label. */
  @Transactional(propagation = Propagation.MANDATORY)
  public boolean goesOnFrom(long productionId, String label) {
    return steps
        .findFirstByProductionIdAndUndoneFalseOrderByIdDesc(productionId)
        .filter(step -> step.label().equals(label) && step.person().equals(Person.asking()))
        .isPresent();
  }

  /** Begins anew: what was done so far is not taken back any more. */
  @Transactional
  public void begin(long productionId) {
    steps.deleteByProductionId(productionId);
  }

  /**
   * A step that can be taken back or done again.
   *
   * @param theirs whether another browser than the one that asks did it
   */
  public record Named(long step, String label, boolean theirs) {}

  /** What undo takes back and redo does again; empty for nothing. */
  public record State(Optional<Named> undo, Optional<Named> redo) {}

  /** What can be taken back and done again. */
  @Transactional(readOnly = true)
  public State state(long productionId) {
    return new State(
        steps.findFirstByProductionIdAndUndoneFalseOrderByIdDesc(productionId).map(this::named),
        steps.findFirstByProductionIdAndUndoneTrueOrderById(productionId).map(this::named));
  }

  private Named named(Step step) {
    boolean known = !step.person().isEmpty() && !Person.asking().isEmpty();
    return new Named(step.id(), step.label(), known && !step.person().equals(Person.asking()));
  }

  /**
   * Takes the last step back.
   *
   * @param stepId the step the person saw
   * @throws StaleRevision if that is not the last one any more
   */
  @Transactional
  public void undo(long productionId, long stepId) {
    step(
        productionId,
        stepId,
        steps::findFirstByProductionIdAndUndoneFalseOrderByIdDesc,
        true,
        "There is nothing to take back.");
  }

  /**
   * Does again what was taken back last.
   *
   * @param stepId the step the person saw
   * @throws StaleRevision if that is not the one any more
   */
  @Transactional
  public void redo(long productionId, long stepId) {
    step(
        productionId,
        stepId,
        steps::findFirstByProductionIdAndUndoneTrueOrderById,
        false,
        "There is nothing to do again.");
  }

  /** Finds the step that is next. */
  private interface Next {
    Optional<Step> in(long productionId);
  }

  private void step(long productionId, long stepId, Next next, boolean back, String nothing) {
    steps.lock(productionId);
    Step step = next.in(productionId).orElseThrow(() -> new Refused(nothing));
    if (step.id() != stepId) {
      throw StaleRevision.of("production");
    }
    Noting.here().off = true;
    List<Deed> deeds = new ArrayList<>(step.deeds());
    if (back) {
      Collections.reverse(deeds);
    }
    Map<Class<?>, Undoable<?>> byKind = new HashMap<>();
    owners.forEach(owner -> byKind.put(owner.of(), owner));
    for (Deed deed : deeds) {
      go(byKind.get(deed.getClass()), productionId, deed, back);
    }
    step.takenBack(back);
    steps.flush();
  }

  private static <D extends Deed> void go(
      Undoable<D> owner, long productionId, Deed deed, boolean back) {
    (back ? owner.back() : owner.again()).make(productionId, owner.of().cast(deed));
  }
}
