package app.latethistle.server.film;

import app.latethistle.server.material.GridChanged;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Keeps a film's cuts where they are heard when its song's beats are put right. */
@Component
class FollowBeats {
  private final FilmService films;

  FollowBeats(FilmService films) {
    this.films = films;
  }

  @EventListener
  void changed(GridChanged change) {
    films.followBeats(change);
  }
}
