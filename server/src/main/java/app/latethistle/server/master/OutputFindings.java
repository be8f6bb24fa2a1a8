package app.latethistle.server.master;

import app.latethistle.core.Refused;
import app.latethistle.core.check.Check;
import app.latethistle.core.check.Finding;
import app.latethistle.core.check.Verdict;
import app.latethistle.core.release.Output;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.film.FilmState;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What is told of a film because of where it goes. */
@ServerOnly
@Component
public class OutputFindings {
  private final Outputs outputs;

  OutputFindings(Outputs outputs) {
    this.outputs = outputs;
  }

  /** Outputs among those that are rendered that are longer than their place takes, or not to be. */
  public List<Finding> of(FilmState state) {
    List<Finding> all = new ArrayList<>();
    for (OutputRow row : outputs.of(state.production().id())) {
      Output output = row.output();
      if (output.ticked()) {
        told(output, state).ifPresent(all::add);
      }
    }
    return all;
  }

  private static Optional<Finding> told(Output output, FilmState state) {
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
