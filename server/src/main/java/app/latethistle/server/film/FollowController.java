package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.Following;
import app.latethistle.core.film.ItemKind;
import app.latethistle.core.film.SetAspect;
import java.util.Optional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Titles and sounds that go with a place in a shot. */
@RestController
@RequestMapping("/api/productions/{productionId}/film")
class FollowController {
  private final FilmEdits edits;
  private final FilmService films;
  private final PlaceFollowing following;

  FollowController(FilmEdits edits, FilmService films, PlaceFollowing following) {
    this.edits = edits;
    this.films = films;
    this.following = following;
  }

  /**
   * Has a title or a sound go with a place.
   *
   * @param item the title's or the sound's id
   * @param shot the shot's, in the cut or over it
   * @param frame of the film in which the place is pointed at
   * @param x where it is in the take's picture, share of its width, 0 to 1
   * @param y share of its height
   */
  record FollowPlace(long revision, String item, String shot, long frame, double x, double y) {}

  record FollowNothing(long revision, String item) {}

  @PostMapping("/follow-place")
  FilmView follow(@PathVariable long productionId, @RequestBody FollowPlace f) {
    FilmState state = films.state(productionId);
    Optional<Following> follows =
        Optional.of(following.of(state, f.shot(), f.frame(), f.x(), f.y()));
    return edits.make(
        productionId, f.revision(), now -> edit(now, f.item(), follows, "follow a place"));
  }

  @PostMapping("/follow-nothing")
  FilmView stay(@PathVariable long productionId, @RequestBody FollowNothing f) {
    return edits.make(
        productionId,
        f.revision(),
        now -> edit(now, f.item(), Optional.empty(), "follow a place no longer"));
  }

  private static Edit edit(
      FilmState state, String item, Optional<Following> follows, String called) {
    if (ItemKind.TITLE.find(state.film(), item).isPresent()) {
      return SetAspect.of(Aspect.TITLE_FOLLOWS, item, follows).called(called);
    }
    if (state.film().sound(item).isEmpty()) {
      throw new Refused("What was to follow is not in the film any more: " + item + ".");
    }
    return SetAspect.of(Aspect.SOUND_FOLLOWS, item, follows).called(called);
  }
}
