package app.latethistle.server.master;

import app.latethistle.core.Refused;
import app.latethistle.core.release.Output;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.film.FilmService;
import app.latethistle.server.film.FilmState;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What a production delivers: said, changed, rendered. */
@ServerOnly
@RestController
@RequestMapping("/api/productions/{productionId}/outputs")
class OutputController {
  private final Outputs outputs;
  private final OutputViews views;
  private final FilmService films;
  private final Placing placing;
  private final Masters masters;
  private final Measuring measuring;

  OutputController(
      Outputs outputs,
      OutputViews views,
      FilmService films,
      Placing placing,
      Masters masters,
      Measuring measuring) {
    this.measuring = measuring;
    this.masters = masters;
    this.outputs = outputs;
    this.views = views;
    this.films = films;
    this.placing = placing;
  }

  @GetMapping
  List<OutputViews.OutputView> all(@PathVariable long productionId) {
    FilmState state = films.state(productionId);
    return outputs.of(productionId).stream().map(row -> views.of(row, state)).toList();
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  OutputViews.OutputView add(@PathVariable long productionId, @RequestBody OutputSaid form) {
    return views.of(outputs.add(productionId, form.get()), films.state(productionId));
  }

  @PutMapping("/{id}")
  OutputViews.OutputView change(
      @PathVariable long productionId, @PathVariable long id, @RequestBody OutputSaid form) {
    Output now = form.get();
    return views.of(outputs.change(productionId, id, before -> now), films.state(productionId));
  }

  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable long productionId, @PathVariable long id) {
    outputs.remove(productionId, id);
  }

  /** Makes a few seconds of an output, so that it is known how large it will be. */
  @PostMapping("/{id}/measure")
  OutputViews.OutputView measure(@PathVariable long productionId, @PathVariable long id)
      throws IOException {
    OutputRow row = outputs.get(productionId, id);
    measuring.measure(Ordering.of(row.output(), films.state(productionId)));
    return views.of(row, films.state(productionId));
  }

  /** Renders one output as the film is now. */
  @PostMapping("/{id}/render")
  @ResponseStatus(HttpStatus.CREATED)
  @Transactional
  public MasterController.MasterView render(
      @PathVariable long productionId, @PathVariable long id) {
    Output output = outputs.get(productionId, id).output();
    return MasterController.MasterView.of(
        placing.place(Ordering.of(output, films.state(productionId)), Optional.of(id)));
  }

  /** Renders what is ticked and not made as the film is now. */
  @PostMapping("/render")
  @ResponseStatus(HttpStatus.CREATED)
  @Transactional
  public List<MasterController.MasterView> renderTicked(@PathVariable long productionId) {
    FilmState state = films.state(productionId);
    List<OutputRow> ticked =
        outputs.of(productionId).stream().filter(row -> row.output().ticked()).toList();
    if (ticked.isEmpty()) {
      throw new Refused("Tick what is to be rendered first.");
    }
    List<MasterController.MasterView> placed = new ArrayList<>();
    for (OutputRow row : ticked) {
      Ordering now = Ordering.of(row.output(), state);
      boolean there =
          masters
              .findFirstByOutputIdOrderByIdDesc(row.id())
              .filter(last -> last.isMadeOrOnItsWay() && last.isOf(now))
              .isPresent();
      if (!there) {
        placed.add(MasterController.MasterView.of(placing.place(now, Optional.of(row.id()))));
      }
    }
    return placed;
  }
}
