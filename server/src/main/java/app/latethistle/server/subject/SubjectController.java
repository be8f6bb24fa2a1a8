package app.latethistle.server.subject;

import app.latethistle.core.Refused;
import app.latethistle.core.look.Mask.Spot;
import app.latethistle.core.subject.Guide;
import app.latethistle.core.subject.Stroke;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Jobs;
import app.latethistle.server.material.Pictures;
import app.latethistle.server.material.State;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.TakeRedrawn;
import app.latethistle.server.material.TakeWork;
import app.latethistle.server.material.Takes;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.util.Base64;
import java.util.List;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The subject of a take: what is drawn to say which it is, what that finds, and cutting it out. */
@RestController
@RequestMapping("/api/productions/{productionId}/takes/{takeId}/subject")
class SubjectController {
  private static final int MOST_GUIDES = 50;
  private static final int MOST_HEIGHT = 720;

  private final Productions productions;
  private final Takes takes;
  private final SubjectCuts cuts;
  private final Pictures pictures;
  private final Jobs jobs;
  private final Job cutSubject;
  private final ApplicationEventPublisher events;

  SubjectController(
      Productions productions,
      Takes takes,
      SubjectCuts cuts,
      Pictures pictures,
      Jobs jobs,
      @Qualifier("cut-subject") Job cutSubject,
      ApplicationEventPublisher events) {
    this.productions = productions;
    this.takes = takes;
    this.cuts = cuts;
    this.pictures = pictures;
    this.jobs = jobs;
    this.cutSubject = cutSubject;
    this.events = events;
  }

  /** A place, in thousandths of the picture's width and height. */
  record StrokePoint(int x, int y) {}

  /** A stroke; see {@link Stroke}. */
  record DrawnStroke(Stroke.Kind kind, List<StrokePoint> points) {
    static DrawnStroke of(Stroke stroke) {
      return new DrawnStroke(
          stroke.kind(), stroke.points().stream().map(p -> new StrokePoint(p.x(), p.y())).toList());
    }

    Stroke get() {
      return new Stroke(kind, points.stream().map(p -> new Spot(p.x, p.y)).toList());
    }
  }

  /** What is drawn on a picture; see {@link Guide}. */
  record DrawnGuide(long frame, List<DrawnStroke> strokes) {
    static DrawnGuide of(Guide guide) {
      return new DrawnGuide(guide.frame(), guide.strokes().stream().map(DrawnStroke::of).toList());
    }

    Guide get() {
      return new Guide(frame, strokes.stream().map(DrawnStroke::get).toList());
    }
  }

  /** What is drawn on a take. */
  record DrawnGuides(List<DrawnGuide> guides) {}

  /**
   * A take's subject.
   *
   * @param cut the file that was cut out, or null
   * @param guides what that was cut out by
   * @param work the cut that is being made or failed, or null
   */
  record SubjectView(
      @Schema(nullable = true) String cut,
      List<DrawnGuide> guides,
      @Schema(nullable = true) TakeWork.WorkView work) {}

  /**
   * What is found on a marked picture.
   *
   * @param picture a JPEG as a data URL: light where the subject is
   */
  record FoundOutline(String picture) {}

  @GetMapping
  SubjectView of(@PathVariable long productionId, @PathVariable long takeId) {
    return view(takes.get(productionId, takeId));
  }

  private SubjectView view(TakeEntry take) {
    return new SubjectView(
        take.subject().orElse(null),
        take.guides().stream().map(DrawnGuide::of).toList(),
        cuts.findByTakeIdOrderById(take.id()).stream()
            .findFirst()
            .map(TakeWork::view)
            .orElse(null));
  }

  /** A picture of what was cut out: light where the subject is. */
  @GetMapping(value = "/frames/{frame}.jpg", produces = MediaType.IMAGE_JPEG_VALUE)
  byte[] frame(
      @PathVariable long productionId,
      @PathVariable long takeId,
      @PathVariable long frame,
      @RequestParam(defaultValue = "360") int height)
      throws IOException {
    TakeEntry take = takes.get(productionId, takeId);
    String cut =
        take.subject()
            .orElseThrow(
                () -> new Refused("Nothing has been cut out of take " + take.number() + " yet."));
    return pictures.jpeg(
        cut, productions.get(productionId).rate(), frame, Math.min(MOST_HEIGHT, height));
  }

  /** Looks what the strokes on one picture find there, before it is followed. */
  @PostMapping("/outline")
  FoundOutline outline(
      @PathVariable long productionId, @PathVariable long takeId, @RequestBody DrawnGuide drawn) {
    TakeEntry take = ready(productionId, takeId);
    byte[] jpeg =
        pictures.outline(take.medium().hash(), productions.get(productionId).rate(), drawn.get());
    return new FoundOutline("data:image/jpeg;base64," + Base64.getEncoder().encodeToString(jpeg));
  }

  /** Cuts it out; what was cut out before stays until that is done. */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  @Transactional
  public SubjectView cut(
      @PathVariable long productionId, @PathVariable long takeId, @RequestBody DrawnGuides drawn) {
    productions.getLocked(productionId);
    TakeEntry take = ready(productionId, takeId);
    List<Guide> guides = drawn.guides().stream().map(DrawnGuide::get).toList();
    if (guides.isEmpty() || guides.size() > MOST_GUIDES) {
      throw new Refused("Draw on 1 to " + MOST_GUIDES + " pictures what the subject is.");
    }
    if (guides.stream().anyMatch(g -> g.frame() >= take.frames())) {
      throw new Refused("Take " + take.number() + " has " + take.frames() + " frames.");
    }
    List<SubjectCutRow> before = cuts.findByTakeIdOrderById(takeId);
    if (before.stream().anyMatch(TakeWork::isWorking)) {
      throw new Refused("The subject of take " + take.number() + " is being cut out already.");
    }
    cuts.deleteAll(before);
    SubjectCutRow cut = cuts.saveAndFlush(new SubjectCutRow(take, guides));
    jobs.enqueue(cutSubject, cut.id());
    return view(take);
  }

  private TakeEntry ready(long productionId, long takeId) {
    TakeEntry take = takes.get(productionId, takeId);
    if (take.state() != State.READY) {
      throw new Refused("Take " + take.number() + " is not ready; wait until it is.");
    }
    return take;
  }

  /** Stops cutting it out; if nothing is being cut, throws away what was. */
  @DeleteMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  public void away(@PathVariable long productionId, @PathVariable long takeId) {
    Production production = productions.getLocked(productionId);
    TakeEntry take = takes.get(productionId, takeId);
    List<SubjectCutRow> all = cuts.findByTakeIdOrderById(takeId);
    if (all.isEmpty()) {
      take.whole();
      events.publishEvent(new TakeRedrawn(production.id(), takeId));
    }
    all.forEach(cut -> cuts.stop(productionId, cut.id()));
  }
}
