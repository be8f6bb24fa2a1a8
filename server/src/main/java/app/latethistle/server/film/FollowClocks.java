package app.latethistle.server.film;

import app.latethistle.server.material.GridChanged;
import app.latethistle.server.material.PickChosen;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Keeps a film with what is decided elsewhere: beats put right, another voice, another pick. */
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

  @EventListener
  void chosen(PickChosen pick) {
    films.followPick(pick);
  }
}
