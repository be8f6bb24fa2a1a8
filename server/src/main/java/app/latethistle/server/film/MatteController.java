package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.ItemKind;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.look.Key;
import app.latethistle.core.look.Matte;
import app.latethistle.core.take.Take;
import app.latethistle.server.material.Pictures;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What of a picture stays when it is laid over another. */
@RestController
@RequestMapping("/api/productions/{productionId}/film")
class MatteController {
  private final FilmEdits edits;
  private final Pictures pictures;

  MatteController(FilmEdits edits, Pictures pictures) {
    this.edits = edits;
    this.pictures = pictures;
  }

  /** Takes colours out of a shot, or what lies over the cut, in place of what was taken out. */
  record SetKeys(long revision, String item, List<KeyView> keys) {}

  /** Has the backing of a shot, or of what lies over the cut, found and taken out. */
  record FindBacking(long revision, String item) {}

  @PostMapping("/set-keys")
  FilmView setKeys(@PathVariable long productionId, @RequestBody SetKeys s) {
    Matte matte = new Matte(s.keys().stream().map(KeyView::key).toList());
    return edits.make(
        productionId,
        s.revision(),
        state ->
            SetAspect.of(Aspect.MATTE, s.item(), matte)
                .called(s.keys().isEmpty() ? "put the backing back" : "take the backing out"));
  }

  @PostMapping("/find-backing")
  FilmView findBacking(@PathVariable long productionId, @RequestBody FindBacking f) {
    return edits.make(
        productionId,
        f.revision(),
        state ->
            SetAspect.of(Aspect.MATTE, f.item(), Matte.of(Key.of(backing(state, f.item()))))
                .called("take the backing out"));
  }

  private int backing(FilmState state, String item) {
    Placement shot =
        ItemKind.PLACEMENT
            .find(state.film(), item)
            .orElseThrow(() -> new Refused("That shot is not in the film any more."));
    Take take = state.takes().get(shot.take());
    if (take == null) {
      throw new Refused("This shot has lost its take; choose another one first.");
    }
    try {
      return pictures
          .backing(take.media(), state.production().rate(), state.resolved().shown(item).start())
          .orElseThrow(
              () ->
                  new Refused(
                      "No even colour stands along the edges of this picture; choose the colour"
                          + " that is to go by hand."));
    } catch (IOException e) {
      throw new UncheckedIOException("The pictures of a take could not be read.", e);
    }
  }
}
