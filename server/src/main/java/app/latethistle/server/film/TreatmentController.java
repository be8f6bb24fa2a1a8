package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Compound;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.Layers;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.look.Parameter;
import app.latethistle.core.look.Treatment;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.look.Treatments;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What is done to pictures beside their correction. */
@RestController
class TreatmentController {
  /** What the whole film is called where items are named. */
  private static final String WHOLE_FILM = "";

  private final FilmService films;
  private final FilmViews views;

  TreatmentController(FilmService films, FilmViews views) {
    this.films = films;
    this.views = views;
  }

  /** A kind of treatment, the values that can be said of it, and how it is if nothing is. */
  record TreatmentKindView(TreatmentKind kind, List<Parameter> parameters, TreatmentView usual) {}

  /**
   * What is done to items, in place of what was.
   *
   * @param items their ids: shots, what lies over the cut, or "" for the whole film
   */
  record SetTreatments(long revision, List<String> items, List<TreatmentView> treatments) {}

  /** Treatments over a stretch of the film, on all that lies under them there. */
  record LayTreatments(long revision, Moment start, Moment end, List<TreatmentView> treatments) {}

  /** The kinds there are. */
  @GetMapping("/api/treatments")
  List<TreatmentKindView> kinds() {
    return Stream.of(TreatmentKind.values())
        .map(
            kind ->
                new TreatmentKindView(
                    kind, kind.parameters(), TreatmentView.of(Treatment.usual(kind))))
        .toList();
  }

  @PostMapping("/api/productions/{productionId}/film/set-treatments")
  FilmView setTreatments(@PathVariable long productionId, @RequestBody SetTreatments s) {
    Treatments treatments = TreatmentView.treatments(s.treatments());
    return edit(
        productionId,
        s.revision(),
        state -> {
          List<Edit> edits = new ArrayList<>();
          Map<String, Treatments> shots = new LinkedHashMap<>();
          for (String id : s.items()) {
            if (id.equals(WHOLE_FILM)) {
              edits.add(
                  SetAspect.of(
                      Aspect.FINISH, "", state.film().finish().withTreatments(treatments)));
            } else {
              shots.put(id, treatments);
            }
          }
          if (!shots.isEmpty()) {
            edits.add(SetAspect.of(Aspect.TREATMENTS, shots));
          }
          if (edits.isEmpty()) {
            throw new Refused("Choose a shot first, or the whole film.");
          }
          return new Compound(Aspect.TREATMENTS.label(), edits);
        });
  }

  @PostMapping("/api/productions/{productionId}/film/lay-treatments")
  FilmView layTreatments(@PathVariable long productionId, @RequestBody LayTreatments l) {
    Treatments treatments = TreatmentView.treatments(l.treatments());
    return edit(
        productionId,
        l.revision(),
        state -> {
          Placement none = Placement.gap("treated");
          return Layers.layOver(
              state.resolved(),
              none.withAppearance(none.how().withTreatments(treatments)),
              l.start().tie(),
              l.end().tie());
        });
  }

  private FilmView edit(long productionId, long revision, Function<FilmState, Edit> edit) {
    return views.of(films.edit(productionId, revision, edit));
  }
}
