package app.latethistle.server.screening;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Marker;
import app.latethistle.core.film.Put;
import app.latethistle.core.film.Tie;
import app.latethistle.server.config.Missing;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.film.FilmService;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.master.Finished;
import io.swagger.v3.oas.annotations.Hidden;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.ModelAndView;

/** What whoever has a link may do: watch, and leave notes. */
@ServerOnly
@RestController
@RequestMapping("/watch/{key}")
class WatchController {
  private static final int LONGEST_NOTE = 500;

  /** More notes than anybody leaves who means them. */
  private static final int MOST_NOTES = 500;

  private final Screenings screenings;
  private final FilmService films;
  private final Finished finished;

  WatchController(Screenings screenings, FilmService films, Finished finished) {
    this.screenings = screenings;
    this.films = films;
    this.finished = finished;
  }

  /**
   * What there is to watch.
   *
   * @param title of the production
   * @param name whom the link is for
   */
  record WatchView(
      String title, String name, Instant endsAt, List<ReelView> reels, List<NoteView> notes) {}

  /**
   * One thing to watch.
   *
   * @param id by which a note says what was watched
   * @param source its playlist (HLS, RFC 8216) or file, from the link on
   * @param seconds how long it is
   * @param from seconds of the film at which it begins
   */
  record ReelView(
      String id, String name, String source, int width, int height, double seconds, double from) {}

  /**
   * A note.
   *
   * @param second of the film it is about
   * @param by who left it
   * @param done whether it was ticked off
   */
  record NoteView(String id, double second, String by, String text, boolean done) {}

  /**
   * A note to leave.
   *
   * @param reel what was watched
   * @param second of it
   */
  record NewNote(String reel, double second, String by, String text) {}

  @GetMapping("/reels")
  WatchView reels(@PathVariable String key) {
    Screening screening = screenings.of(key);
    FilmState state = films.state(screening.productionId());
    return new WatchView(
        state.production().title(),
        screening.name(),
        screening.endsAt(),
        reelsOf(state),
        notes(state));
  }

  private List<ReelView> reelsOf(FilmState state) {
    long production = state.production().id();
    List<ReelView> reels = new ArrayList<>();
    if (!state.film().placements().isEmpty()) {
      reels.add(
          reel(
              state,
              "film",
              "The film as it is now",
              Long.toString(state.production().revision())));
    }
    finished.of(production, state).stream()
        .map(
            m ->
                new ReelView(
                    "master-" + m.id(),
                    m.name(),
                    "masters/" + m.id(),
                    m.width(),
                    m.height(),
                    m.seconds(),
                    state.production().rate().secondsOf(m.start())))
        .forEach(reels::add);
    films
        .versionNames(production)
        .forEach(
            (id, name) ->
                reels.add(
                    reel(
                        films.version(production, id),
                        "version-" + id,
                        "Version: " + name,
                        "version-" + id)));
    return reels;
  }

  private static ReelView reel(FilmState state, String id, String name, String revision) {
    return new ReelView(
        id,
        name,
        "film/" + revision + "/film.m3u8",
        state.production().shape().width(),
        state.production().shape().height(),
        state.production().rate().secondsOf(state.cutting().length()),
        /* from= */ 0);
  }

  private static List<NoteView> notes(FilmState state) {
    return state.film().markers().stream()
        .filter(m -> !m.by().isEmpty())
        .map(m -> note(state, m))
        .sorted(Comparator.comparingDouble(NoteView::second))
        .toList();
  }

  private static NoteView note(FilmState state, Marker m) {
    long frame = state.cutting().beside().markers().getOrDefault(m.id(), 0L);
    return new NoteView(
        m.id(), state.production().rate().secondsOf(frame), m.by(), m.note(), m.done());
  }

  /** Leaves a note, which is a marker of the film then. */
  @PostMapping("/notes")
  @ResponseStatus(HttpStatus.CREATED)
  List<NoteView> leave(@PathVariable String key, @RequestBody NewNote said) {
    Screening screening = screenings.of(key);
    String by = said.by() == null ? "" : said.by().strip();
    String text = said.text() == null ? "" : said.text().strip();
    if (by.isEmpty()) {
      throw new Refused("Say who you are, so that they know whose note it is.");
    }
    if (text.isEmpty() || text.length() > LONGEST_NOTE) {
      throw new Refused("Write a note of up to " + LONGEST_NOTE + " letters.");
    }
    FilmState before = films.state(screening.productionId());
    if (notes(before).size() >= MOST_NOTES) {
      throw new Refused("There are " + MOST_NOTES + " notes already; nobody reads more.");
    }
    ReelView reel =
        reelsOf(before).stream()
            .filter(r -> r.id().equals(said.reel()))
            .findFirst()
            .orElseThrow(() -> new Refused("What you watched is not here any more; load it anew."));
    double second = Math.max(0, Math.min(reel.seconds(), said.second()));
    long frame =
        Math.min(
            before.production().rate().nearestFrame(Math.round(48_000 * (reel.from() + second))),
            Math.max(0, before.cutting().length() - 1));
    return notes(
        films.edit(
            screening.productionId(),
            before.production().revision(),
            state ->
                Put.marker(
                    new Marker(state.film().freshId("note"), Tie.free(frame), text, by, false))));
  }

  /** The film's playlists, and what they name. */
  @Hidden
  @GetMapping("/film/{revision}/{file:(?:film|picture|sound)\\.m3u8|[\\w-]+\\.(?:ts|m4s|mp4)}")
  ModelAndView film(
      @PathVariable String key, @PathVariable String revision, @PathVariable String file) {
    return there(screenings.of(key).productionId(), "/preview/" + revision + "/" + file);
  }

  /** A file that was rendered, or a part of it (RFC 9110, ranges). */
  @Hidden
  @GetMapping("/masters/{master}")
  ModelAndView master(@PathVariable String key, @PathVariable long master) {
    long production = screenings.of(key).productionId();
    return finished.of(production, films.state(production)).stream()
        .filter(m -> m.id() == master)
        .findFirst()
        .map(m -> there(production, "/masters/" + m.id() + "/file"))
        .orElseThrow(() -> new Missing("That film is not here any more; load the page anew."));
  }

  /** Has the cutting room answer: what is watched here is what is watched there. */
  private static ModelAndView there(long production, String path) {
    return new ModelAndView("forward:/api/productions/" + production + path);
  }
}
