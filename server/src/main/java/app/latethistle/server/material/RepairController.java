package app.latethistle.server.material;

import app.latethistle.core.Refused;
import app.latethistle.core.measure.TakeFacts;
import app.latethistle.core.repair.Hole;
import app.latethistle.core.take.Box;
import app.latethistle.core.take.PictureShape;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Jobs;
import app.latethistle.server.production.Productions;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Takes made anew with something in their pictures put right. */
@RestController
@RequestMapping("/api/productions/{productionId}")
class RepairController {
  private static final int MOST_BOXES = 4;

  /** In percent of what is measured. */
  private static final int WEAKEST = 25;

  private static final int STRONGEST = 300;

  private final Productions productions;
  private final Takes takes;
  private final Repairs repairs;
  private final Jobs jobs;
  private final Job repairTake;

  RepairController(
      Productions productions,
      Takes takes,
      Repairs repairs,
      Jobs jobs,
      @Qualifier("repair-take") Job repairTake) {
    this.productions = productions;
    this.takes = takes;
    this.repairs = repairs;
    this.jobs = jobs;
    this.repairTake = repairTake;
  }

  /**
   * What is put right.
   *
   * @param boxes what is filled, in parts of the picture's width and height; null for the take's
   *     marks
   * @param strength of noise and blocks in percent of what is measured, 25 to 300; null for 100
   */
  record WantedRepair(
      RepairKind kind,
      @Schema(nullable = true) List<FilledPlace> boxes,
      @Schema(nullable = true) Integer strength) {}

  /** A box of a picture, in parts of its width and height. */
  record FilledPlace(double left, double top, double right, double bottom) {
    Box get() {
      if (!(left >= 0 && top >= 0 && left < right && top < bottom && right <= 1 && bottom <= 1)) {
        throw new Refused("A box lies in the picture: give parts of its sides from 0 to 1.");
      }
      return new Box(left, top, right, bottom);
    }
  }

  /** Those of a take that are at work, or failed. */
  @GetMapping("/takes/{takeId}/repairs")
  List<Repair.RepairView> of(@PathVariable long productionId, @PathVariable long takeId) {
    takes.get(productionId, takeId);
    return repairs.findByTakeIdOrderById(takeId).stream().map(Repair::repairView).toList();
  }

  /** Makes another take of a take, with something put right in it. */
  @PostMapping("/takes/{takeId}/repairs")
  @ResponseStatus(HttpStatus.CREATED)
  @Transactional
  public Repair.RepairView ask(
      @PathVariable long productionId,
      @PathVariable long takeId,
      @RequestBody WantedRepair wanted) {
    productions.getLocked(productionId);
    TakeEntry take = takes.get(productionId, takeId);
    if (wanted.kind() == null) {
      throw new Refused("Say what is to be put right: " + List.of(RepairKind.values()) + ".");
    }
    if (take.state() != State.READY) {
      throw new Refused("Take " + take.number() + " cannot be worked on yet.");
    }
    Optional<TakeFacts> facts = take.measured();
    List<Box> boxes =
        wanted.boxes() == null
            ? facts.map(TakeFacts::marks).orElse(List.of())
            : wanted.boxes().stream().map(FilledPlace::get).toList();
    wanted.kind().check(take.number(), boxes, facts);
    if (boxes.size() > MOST_BOXES) {
      throw new Refused("Up to " + MOST_BOXES + " places are filled at once.");
    }
    int strength = Optional.ofNullable(wanted.strength()).orElse(100);
    if (strength < WEAKEST || strength > STRONGEST) {
      throw new Refused(
          "Noise and blocks are taken out by "
              + WEAKEST
              + " to "
              + STRONGEST
              + " %, not "
              + strength
              + ".");
    }
    PictureShape shape = take.medium().facts().shape().orElseThrow();
    boxes.forEach(box -> Hole.of(box, shape.width(), shape.height()));
    List<Repair> before = repairs.findByTakeIdOrderById(takeId);
    if (before.stream().anyMatch(TakeWork::isWorking)) {
      throw new Refused("Take " + take.number() + " is being put right already.");
    }
    repairs.deleteAll(before);
    Repair repair = repairs.save(new Repair(take, wanted.kind(), boxes, strength));
    jobs.enqueue(repairTake, repair.id());
    return repair.repairView();
  }

  /** Stops a repair, or takes away what is said of one that failed. */
  @DeleteMapping("/repairs/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  public void stop(@PathVariable long productionId, @PathVariable long id) {
    repairs.stop(productionId, id);
  }
}
