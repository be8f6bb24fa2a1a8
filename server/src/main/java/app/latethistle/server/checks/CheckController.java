package app.latethistle.server.checks;

import app.latethistle.core.Refused;
import app.latethistle.core.check.Check;
import app.latethistle.core.check.Finding;
import app.latethistle.core.check.Mend;
import app.latethistle.core.check.Verdict;
import app.latethistle.core.key.Fingerprint;
import app.latethistle.core.time.FrameRange;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.film.FilmFindings;
import app.latethistle.server.film.FilmService;
import app.latethistle.server.film.FilmState;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What has to be put right before a film leaves, and what puts it right. */
@ServerOnly
@RestController
@RequestMapping("/api/productions/{productionId}/film")
class CheckController {
  private static final int KEY = 16;

  private final FilmService films;
  private final FilmFindings rooms;
  private final Findings findings;

  CheckController(FilmService films, FilmFindings rooms, Findings findings) {
    this.films = films;
    this.rooms = rooms;
    this.findings = findings;
  }

  /** The room in which something is put right. */
  enum Room {
    TAKES,
    SCORE,
    WORDS,
    LOOK,
    MIX,
    MASTER
  }

  /**
   * What was found.
   *
   * @param done parts of the film that are looked at
   * @param of so many; while fewer are done the findings are not there, and are to be asked for
   *     again
   */
  record ChecksView(long revision, List<FindingView> findings, int done, int of) {}

  /**
   * A finding.
   *
   * @param key by which it is mended
   * @param shot the label of the shot it is about; "" if it is about none
   * @param item the id of the film's item it is about; "" if it is about none
   * @param frame a frame that shows it; null if none does
   */
  record FindingView(
      String key,
      Check check,
      Verdict verdict,
      String shot,
      String item,
      @Schema(nullable = true) Long frame,
      String said,
      Room room,
      List<MendView> mends) {}

  /** A way to put it right, and what that costs in words. */
  record MendView(String label, String cost) {}

  @GetMapping("/checks")
  ChecksView checks(@PathVariable long productionId, @RequestParam CheckGroup group)
      throws IOException {
    FilmState state = films.state(productionId);
    if (state.film().placements().isEmpty()) {
      return new ChecksView(state.production().revision(), List.of(), 1, 1);
    }
    Findings.Looked looked = findings.of(group, state);
    Map<String, String> labels = rooms.labels(state);
    return new ChecksView(
        state.production().revision(),
        looked.findings().stream().map(f -> view(f, labels)).toList(),
        looked.done(),
        looked.of());
  }

  private static FindingView view(Finding f, Map<String, String> labels) {
    return new FindingView(
        key(f),
        f.check(),
        f.verdict(),
        labels.getOrDefault(f.item(), ""),
        f.item(),
        f.at().map(CheckController::middle).orElse(null),
        f.said(),
        room(f.check()),
        f.mends().stream().map(m -> new MendView(m.label(), m.cost())).toList());
  }

  private static long middle(FrameRange at) {
    return (at.start() + at.end()) / 2;
  }

  /** The same finding has the same key as long as nothing of it changes. */
  private static String key(Finding f) {
    return Fingerprint.of(f.check() + "\n" + f.item() + "\n" + f.said()).substring(0, KEY);
  }

  private static Room room(Check check) {
    return switch (check) {
      case SLATES, MARKS -> Room.TAKES;
      case DRIFT, LEVELS -> Room.LOOK;
      case LOUDNESS, PEAK, SPEECH, SILENCE, AMBIENCE, CLICKS -> Room.MIX;
      case TITLES, CAPTIONS, SPELLING -> Room.WORDS;
      case RIGHTS, WHOLE -> Room.MASTER;
      case LENGTH, MATERIAL, BLACK, FROZEN, REPEATED, FLASHES, ENLARGED, CUTS -> Room.SCORE;
    };
  }

  /** Puts a finding right, one of its ways. */
  record MendFinding(long revision, CheckGroup group, String key, int way) {}

  /** The film's revision then. */
  record Mended(long revision) {}

  @PostMapping("/checks/mend")
  Mended mend(@PathVariable long productionId, @RequestBody MendFinding m) {
    FilmState after = films.edit(productionId, m.revision(), state -> wanted(state, m).edit());
    return new Mended(after.production().revision());
  }

  private Mend wanted(FilmState state, MendFinding m) {
    try {
      return findings.of(m.group(), state).findings().stream()
          .filter(f -> key(f).equals(m.key()))
          .filter(f -> m.way() >= 0 && m.way() < f.mends().size())
          .findFirst()
          .map(f -> f.mends().get(m.way()))
          .orElseThrow(() -> new Refused("The film has changed since; look at the list again."));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
