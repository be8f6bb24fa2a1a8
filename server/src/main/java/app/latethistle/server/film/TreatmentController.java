package app.latethistle.server.film;

import app.latethistle.core.film.Layers;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Treating;
import app.latethistle.core.look.Parameter;
import app.latethistle.core.look.Treatment;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.look.Treatments;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What is done to pictures beside their correction. */
@RestController
class TreatmentController {
  private final FilmEdits edits;

  TreatmentController(FilmEdits edits) {
    this.edits = edits;
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

  /** The kinds there are; a table is one only when it is brought in. */
  @GetMapping("/api/treatments")
  List<TreatmentKindView> kinds() {
    return Stream.of(TreatmentKind.values())
        .filter(kind -> kind.chosen() && kind != TreatmentKind.TABLE)
        .map(
            kind ->
                new TreatmentKindView(
                    kind, kind.parameters(), TreatmentView.of(Treatment.usual(kind))))
        .toList();
  }

  @PostMapping("/api/productions/{productionId}/film/set-treatments")
  FilmView setTreatments(@PathVariable long productionId, @RequestBody SetTreatments s) {
    Treatments treatments = TreatmentView.treatments(s.treatments());
    return edits.make(
        productionId,
        s.revision(),
        state -> Treating.set(state.film(), s.items(), now -> treatments));
  }

  @PostMapping("/api/productions/{productionId}/film/lay-treatments")
  FilmView layTreatments(@PathVariable long productionId, @RequestBody LayTreatments l) {
    Treatments treatments = TreatmentView.treatments(l.treatments());
    return edits.make(
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
}
