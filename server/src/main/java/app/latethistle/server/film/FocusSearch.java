package app.latethistle.server.film;

import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.ItemKind;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.look.Focus;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.measure.FocusFinder;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.work.AllCores;
import app.latethistle.server.material.Pictures;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Looks for what matters in the pictures of shots. */
@Component
public class FocusSearch {
  /** Pictures of a take that are looked at. */
  private static final int LOOKED_AT = 9;

  private static final int WHOLE = 1000;

  private final Pictures pictures;

  FocusSearch(Pictures pictures) {
    this.pictures = pictures;
  }

  /** The edit that sets the focus of shots where one was found; empty if in none of them. */
  public Optional<Edit> of(FilmState state, List<String> ids) {
    List<Optional<Focus>> focuses = found(state, ids);
    Map<String, ShapedFraming> found = new LinkedHashMap<>();
    for (int i = 0; i < ids.size(); i++) {
      String id = ids.get(i);
      if (focuses.get(i).isPresent()) {
        found.put(id, shot(state, id).framing().withFocus(focuses.get(i)));
      }
    }
    return found.isEmpty()
        ? Optional.empty()
        : Optional.of(SetAspect.of(Aspect.FRAMING, found).called("find the focus"));
  }

  private List<Optional<Focus>> found(FilmState state, List<String> ids) {
    try {
      return AllCores.of(ids, id -> found(state, id));
    } catch (IOException e) {
      throw new UncheckedIOException("The pictures of a take could not be read.", e);
    }
  }

  private static Placement shot(FilmState state, String id) {
    return ItemKind.PLACEMENT.find(state.film(), id).orElseThrow();
  }

  /** What matters in the part of a take that a shot shows. */
  private Optional<Focus> found(FilmState state, String id) {
    Take take = state.takes().get(shot(state, id).take());
    if (take == null) {
      return Optional.empty();
    }
    FrameRange shown = state.resolved().shown(id);
    List<Long> frames = new ArrayList<>();
    for (int i = 0; i < LOOKED_AT; i++) {
      long frame = shown.start() + (shown.length() - 1) * i / (LOOKED_AT - 1);
      frames.add(Math.max(0, Math.min(take.frames() - 1, frame)));
    }
    return pictures.focus(take.media(), state.production().rate(), frames).map(FocusSearch::of);
  }

  private static Focus of(FocusFinder.Found found) {
    return Focus.through(found.places(), thousandths(found.across()), thousandths(found.down()));
  }

  private static int thousandths(double share) {
    return (int) Math.round(share * WHOLE);
  }
}
