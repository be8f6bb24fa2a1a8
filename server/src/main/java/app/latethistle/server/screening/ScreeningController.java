package app.latethistle.server.screening;

import app.latethistle.core.Refused;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.production.Productions;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
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

/** Links by which a film is watched: made, shown, withdrawn. */
@ServerOnly
@RestController
@RequestMapping("/api/productions/{productionId}/screenings")
class ScreeningController {
  private static final int LONGEST = 80;

  private final Screenings screenings;
  private final Productions productions;
  private final Beyond beyond;

  ScreeningController(Screenings screenings, Productions productions, Beyond beyond) {
    this.screenings = screenings;
    this.productions = productions;
    this.beyond = beyond;
  }

  record NewScreening(String name) {}

  /**
   * A link.
   *
   * @param name whom it is for
   * @param path under the address of whoever serves it
   */
  record ScreeningView(long id, String name, String path, Instant endsAt) {
    static ScreeningView of(Screening s) {
      return new ScreeningView(s.id(), s.name(), "/watch/" + s.key(), s.endsAt());
    }
  }

  /**
   * The links there are.
   *
   * @param address at which they are served beyond this machine; null for nowhere
   */
  record ScreeningsView(@Schema(nullable = true) String address, List<ScreeningView> links) {}

  @GetMapping
  ScreeningsView all(@PathVariable long productionId) {
    return new ScreeningsView(
        beyond.address().orElse(null),
        screenings.findByProductionIdAndEndsAtAfterOrderById(productionId, Instant.now()).stream()
            .map(ScreeningView::of)
            .toList());
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  @Transactional
  public ScreeningView make(@PathVariable long productionId, @RequestBody NewScreening asked) {
    String name = asked.name() == null ? "" : asked.name().strip();
    if (name.isEmpty() || name.length() > LONGEST) {
      throw new Refused("Say whom the link is for, in up to " + LONGEST + " letters.");
    }
    screenings.deleteByEndsAtBefore(Instant.now());
    return ScreeningView.of(
        screenings.save(new Screening(productions.get(productionId).id(), name, Instant.now())));
  }

  /** Withdraws a link: it shows nothing from now on. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void withdraw(@PathVariable long productionId, @PathVariable long id) {
    screenings.delete(screenings.get(productionId, id));
  }
}
