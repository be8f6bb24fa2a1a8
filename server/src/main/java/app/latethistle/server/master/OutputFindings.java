package app.latethistle.server.master;

import app.latethistle.core.Refused;
import app.latethistle.core.check.Check;
import app.latethistle.core.check.Finding;
import app.latethistle.core.check.MarkChecks;
import app.latethistle.core.check.Verdict;
import app.latethistle.core.look.Shape;
import app.latethistle.core.marks.Marked;
import app.latethistle.core.release.Output;
import app.latethistle.core.take.PictureShape;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.material.OwnFaces;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** What is told of a film because of where it goes. */
@ServerOnly
@Component
public class OutputFindings {
  private final Outputs outputs;
  private final OwnFaces faces;

  OutputFindings(Outputs outputs, OwnFaces faces) {
    this.outputs = outputs;
    this.faces = faces;
  }

  /**
   * Of the outputs that are rendered: those that are longer than their place takes, or not to be;
   * marks that are seen in shapes other than the film's.
   */
  public List<Finding> of(FilmState state) {
    List<Finding> all = new ArrayList<>();
    Set<String> told = new HashSet<>();
    for (OutputRow row : outputs.of(state.production().id())) {
      Output output = row.output();
      if (output.ticked()) {
        tooLong(output, state).ifPresent(all::add);
        output
            .pictures()
            .shape()
            .filter(shape -> output.encoding().hasPictures() && !shape.equals(state.shape()))
            .ifPresent(
                shape ->
                    marks(output, shape, state).stream()
                        .filter(mark -> told.add(shape + " " + mark.item()))
                        .forEach(all::add));
      }
    }
    return all;
  }

  private List<Finding> marks(Output output, Shape shape, FilmState state) {
    try {
      Ordering ordering = Ordering.of(output, state);
      PictureShape picture =
          PictureShape.of(ordering.program().width(), ordering.program().height());
      return MarkChecks.of(
          new Marked(state.resolved(), picture, Optional.of(shape)),
          ordering.part(),
          ordering.called(),
          faces.all());
    } catch (Refused e) {
      // It cannot be made, which is told already.
      return List.of();
    }
  }

  private static Optional<Finding> tooLong(Output output, FilmState state) {
    try {
      double over = output.over(state.resolved());
      String name = Ordering.of(output, state).called();
      return over <= 0
          ? Optional.empty()
          : Optional.of(
              Finding.of(
                  Check.LENGTH,
                  Verdict.MUST,
                  String.format(
                      Locale.ROOT,
                      "%s is %.1f s longer than the %d s its place takes",
                      name,
                      over,
                      output.part().longest().orElseThrow())));
    } catch (Refused e) {
      return Optional.of(Finding.of(Check.LENGTH, Verdict.MUST, e.getMessage()));
    }
  }
}
