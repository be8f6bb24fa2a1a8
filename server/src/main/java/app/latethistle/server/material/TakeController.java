package app.latethistle.server.material;

import app.latethistle.core.Refused;
import app.latethistle.core.take.Fault;
import app.latethistle.core.time.FrameRate;
import app.latethistle.server.config.Missing;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Jobs;
import app.latethistle.server.production.Productions;
import app.latethistle.server.stored.Deed;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Takes: where they belong, what is said of them, their pictures. */
@RestController
@RequestMapping("/api/productions/{productionId}/takes/{takeId}")
class TakeController {
  private final Productions productions;
  private final Shots shots;
  private final Takes takes;
  private final Picks picks;
  private final TakeSteps takeSteps;
  private final Pictures pictures;
  private final Jobs jobs;
  private final Job prepareTake;

  TakeController(
      Productions productions,
      Shots shots,
      Takes takes,
      Picks picks,
      TakeSteps takeSteps,
      Pictures pictures,
      Jobs jobs,
      @Qualifier("prepare-take") Job prepareTake) {
    this.productions = productions;
    this.shots = shots;
    this.takes = takes;
    this.picks = picks;
    this.takeSteps = takeSteps;
    this.pictures = pictures;
    this.jobs = jobs;
    this.prepareTake = prepareTake;
  }

  record TakeChange(String scene, String shot, int take) {}

  /**
   * What a person says of a take; null leaves a value as it is.
   *
   * @param fault what is wrong with it, or is not after all
   * @param there whether it is
   */
  record Judgement(
      @Schema(nullable = true) Boolean rejected,
      @Schema(nullable = true) Fault fault,
      @Schema(nullable = true) Boolean there,
      @Schema(nullable = true) String note) {}

  /** What a judgement brought with it, in a sentence, or "". */
  record Judged(String says) {}

  /** Moves a take to the shot and number the person says. */
  @PatchMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  public void correct(
      @PathVariable long productionId, @PathVariable long takeId, @RequestBody TakeChange change) {
    productions.getLocked(productionId);
    TakeEntry take = takes.get(productionId, takeId);
    String number = change.shot() == null ? "" : change.shot().strip();
    String scene = change.scene() == null ? "" : change.scene().strip();
    if (!number.matches("\\d{1,6}") || !scene.matches("\\d{0,6}")) {
      throw new Refused(
          "'" + number + "' is not a shot number; give one to six digits, such as 010.");
    }
    if (change.take() < 1 || change.take() > 9999) {
      throw new Refused("Takes are numbered from 1 to 9999.");
    }
    takeSteps.move(take, new Deed.Home(scene, number, change.take()));
  }

  /** Puts a take aside or back, and says what is wrong with it. */
  @PatchMapping("/judgement")
  @Transactional
  public Judged judge(
      @PathVariable long productionId, @PathVariable long takeId, @RequestBody Judgement said) {
    productions.getLocked(productionId);
    TakeEntry take = takes.get(productionId, takeId);
    String note = said.note() == null ? take.note() : said.note().strip();
    if (note.length() > 1000) {
      throw new Refused("A note holds up to 1000 letters.");
    }
    return new Judged(
        takeSteps.judge(
            take,
            t -> {
              t.note(note);
              if (said.fault() != null && said.there() != null) {
                t.note(said.fault(), said.there());
              }
              if (said.rejected() != null) {
                t.putAside(said.rejected());
              }
            }));
  }

  /** Up to 24 pictures of a take side by side, for playing it small; 8 in a row. */
  @GetMapping("/strip.jpg")
  ResponseEntity<byte[]> strip(@PathVariable long productionId, @PathVariable long takeId)
      throws IOException {
    TakeEntry take = withPictures(productionId, takeId);
    FrameRate rate = productions.get(productionId).rate();
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.maxAge(7, TimeUnit.DAYS))
        .body(pictures.strip(take.medium().hash(), rate, take.frames()));
  }

  @GetMapping("/frames/{frame}.jpg")
  ResponseEntity<byte[]> frame(
      @PathVariable long productionId,
      @PathVariable long takeId,
      @PathVariable long frame,
      @RequestParam(defaultValue = "144") int height)
      throws IOException {
    TakeEntry take = withPictures(productionId, takeId);
    FrameRate rate = productions.get(productionId).rate();
    int sensible = Math.max(16, Math.min(640, height));
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        // A slate is drawn anew when its shot's words change.
        .cacheControl(
            take.isPlaceholder() ? CacheControl.noCache() : CacheControl.maxAge(7, TimeUnit.DAYS))
        .body(pictures.jpeg(take.medium().hash(), rate, frame, sensible));
  }

  private TakeEntry withPictures(long productionId, long takeId) {
    TakeEntry take = takes.get(productionId, takeId);
    if (take.state() != State.READY) {
      throw new Missing("Take " + takeId + " has no pictures yet.");
    }
    return take;
  }

  /** Prepares a take once more that could not be. */
  @PostMapping("/again")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  public void again(@PathVariable long productionId, @PathVariable long takeId) {
    productions.getLocked(productionId);
    TakeEntry take = takes.get(productionId, takeId);
    take.again();
    takes.flush();
    picks.refresh(shots.get(productionId, take.shotId()));
    // Its last try may be ending just now.
    jobs.enqueueAnew(prepareTake, takeId);
  }
}
