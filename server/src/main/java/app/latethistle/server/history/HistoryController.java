package app.latethistle.server.history;

import io.swagger.v3.oas.annotations.media.Schema;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Undo and redo over all rooms of a production. */
@RestController
@RequestMapping("/api/productions/{productionId}/history")
class HistoryController {
  private final History history;

  HistoryController(History history) {
    this.history = history;
  }

  /** Which step is meant; the one the person saw. */
  record Seen(long step) {}

  /** A step by what it did. */
  record StepView(long step, String label, boolean theirs) {
    static StepView of(History.Named named) {
      return new StepView(named.step(), named.label(), named.theirs());
    }
  }

  /** What undo takes back and redo does again; null for nothing. */
  record HistoryView(
      @Schema(nullable = true) StepView undo, @Schema(nullable = true) StepView redo) {}

  @GetMapping
  HistoryView history(@PathVariable long productionId) {
    History.State state = history.state(productionId);
    return new HistoryView(
        state.undo().map(StepView::of).orElse(null), state.redo().map(StepView::of).orElse(null));
  }

  @PostMapping("/undo")
  HistoryView undo(@PathVariable long productionId, @RequestBody Seen seen) {
    history.undo(productionId, seen.step());
    return history(productionId);
  }

  @PostMapping("/redo")
  HistoryView redo(@PathVariable long productionId, @RequestBody Seen seen) {
    history.redo(productionId, seen.step());
    return history(productionId);
  }
}
