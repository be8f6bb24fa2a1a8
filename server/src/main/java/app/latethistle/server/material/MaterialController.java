package app.latethistle.server.material;

import app.latethistle.core.Refused;
import app.latethistle.core.story.CameraMove;
import app.latethistle.core.story.StoryShot;
import app.latethistle.core.take.Gathering;
import app.latethistle.core.take.ShotNumbers;
import app.latethistle.media.ContentStore;
import app.latethistle.server.history.History;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
import app.latethistle.server.stored.Deed;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Files brought in, shots with their takes, songs. */
@RestController
@RequestMapping("/api/productions/{productionId}")
class MaterialController {
  private final BringIn bringIn;
  private final Productions productions;
  private final Shots shots;
  private final Takes takes;
  private final Refusals refusals;
  private final WantedShots wantedShots;
  private final ContentStore store;
  private final Picks picks;
  private final History history;

  MaterialController(
      BringIn bringIn,
      Productions productions,
      Shots shots,
      Takes takes,
      Refusals refusals,
      WantedShots wantedShots,
      ContentStore store,
      Picks picks,
      History history) {
    this.bringIn = bringIn;
    this.productions = productions;
    this.shots = shots;
    this.takes = takes;
    this.refusals = refusals;
    this.wantedShots = wantedShots;
    this.store = store;
    this.picks = picks;
    this.history = history;
  }

  record ShotView(
      long id,
      String label,
      String scene,
      String number,
      String title,
      @Schema(nullable = true) Long pick,
      @Schema(nullable = true) Integer storyShot,
      boolean held,
      @Schema(nullable = true) CameraMove asked,
      double wantedSeconds,
      List<String> who,
      List<TakeView> takes) {}

  record RefusalView(long id, String fileName, String reason) {}

  record MaterialView(
      List<ShotView> shots,
      List<String> missing,
      List<String> doubled,
      List<RefusalView> refusals) {}

  record ShotSettled(@Schema(nullable = true) String title, @Schema(nullable = true) Long pick) {}

  /** Brings one file in, under its shot by name or under the one given; its bytes are the body. */
  @PostMapping("/files")
  BringIn.Arrived file(
      @PathVariable long productionId,
      @RequestParam String name,
      @RequestParam(required = false) Long shot,
      HttpServletRequest request)
      throws IOException {
    store.requireRoom(name, request.getContentLengthLong());
    InputStream bytes = request.getInputStream();
    return shot == null
        ? bringIn.bringIn(productionId, name, bytes)
        : bringIn.bringInTo(productionId, shot, name, bytes);
  }

  @GetMapping("/material")
  @Transactional(readOnly = true)
  public MaterialView material(@PathVariable long productionId) {
    Production production = productions.get(productionId);
    List<TakeEntry> all = takes.findByProductionIdOrderById(productionId);
    Map<Long, List<TakeEntry>> byShot =
        all.stream().collect(Collectors.groupingBy(TakeEntry::shotId));
    Map<Integer, StoryShot> wanted = wantedShots.of(productionId);
    List<ShotView> views = new ArrayList<>();
    List<ShotNumbers.Claim> claims = new ArrayList<>();
    for (Shot shot : ordered(shots.findByProductionIdOrderById(productionId))) {
      List<TakeEntry> its = new ArrayList<>(byShot.getOrDefault(shot.id(), List.of()));
      boolean held = its.removeIf(TakeEntry::isPlaceholder);
      StoryShot story = shot.storyShot() == null ? null : wanted.get(shot.storyShot());
      if (story == null && its.isEmpty()) {
        continue;
      }
      its.sort(Comparator.comparingInt(TakeEntry::number).thenComparing(TakeEntry::id));
      for (TakeEntry take : its) {
        claims.add(
            new ShotNumbers.Claim(
                take.fileName(), shot.key().scene(), shot.key().number(), take.number()));
      }
      views.add(
          new ShotView(
              shot.id(),
              shot.label(),
              shot.key().scene(),
              shot.key().number(),
              shot.title(),
              its.stream().anyMatch(t -> t.id().equals(shot.pickId())) ? shot.pickId() : null,
              shot.storyShot(),
              held,
              story == null ? null : story.move(),
              story == null ? 0 : story.seconds(),
              story == null ? List.of() : story.who(),
              its.stream().map(take -> TakeView.of(take, production, story)).toList()));
    }
    List<String> planned =
        views.stream()
            .filter(v -> v.storyShot() != null)
            .map(v -> ShotNumbers.name(v.scene(), v.number()))
            .toList();
    ShotNumbers numbers = ShotNumbers.of(claims, planned);
    return new MaterialView(
        views,
        numbers.missing(),
        numbers.doubled(),
        refusals.findByProductionIdOrderById(productionId).stream()
            .map(r -> new RefusalView(r.id(), r.fileName(), r.reason()))
            .toList());
  }

  static List<Shot> ordered(List<Shot> shots) {
    return shots.stream().sorted(Comparator.comparing(Shot::key, Gathering.ORDER)).toList();
  }

  @PatchMapping("/shots/{shotId}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  public void change(
      @PathVariable long productionId, @PathVariable long shotId, @RequestBody ShotSettled change) {
    productions.getLocked(productionId);
    Shot shot = shots.get(productionId, shotId);
    if (change.title() != null) {
      String before = shot.title();
      shot.rename(change.title().strip());
      history.did(
          productionId, "name " + shot.called(), new Deed.ShotNamed(shotId, before, shot.title()));
    }
    if (change.pick() != null) {
      TakeEntry take = takes.get(productionId, change.pick());
      if (!take.shotId().equals(shot.id()) || take.state() == State.REFUSED) {
        throw new Refused(
            "Take " + take.number() + " cannot be the pick of shot " + shot.label() + ".");
      }
      picks.choose(shot, take);
    }
  }

  @DeleteMapping("/refusals")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  public void dismiss(@PathVariable long productionId) {
    refusals.deleteAll(refusals.findByProductionIdOrderById(productionId));
  }
}
