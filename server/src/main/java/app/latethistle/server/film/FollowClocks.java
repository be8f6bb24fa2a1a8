package app.latethistle.server.film;

import app.latethistle.server.material.GridChanged;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Keeps a film's cuts where they are heard when beats are put right or the voice is another. */
@Component
class FollowClocks {
  private final FilmService films;

  FollowClocks(FilmService films) {
    this.films = films;
  }

  @EventListener
  void changed(GridChanged change) {
    films.followBeats(change);
  }

  @EventListener
  void changed(VoiceChanged change) {
    films.followVoice(change);
  }
}
