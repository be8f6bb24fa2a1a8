package app.latethistle.server.film;

import app.latethistle.server.material.TakeReady;
import app.latethistle.server.material.Takes;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;

/** Puts the first take that comes for a shot where its placeholder holds its time. */
@Component
class FillPlaces {
  private final FilmService films;
  private final Takes takes;

  FillPlaces(FilmService films, Takes takes) {
    this.films = films;
    this.takes = takes;
  }

  @TransactionalEventListener
  void ready(TakeReady take) {
    boolean real = takes.findById(take.takeId()).map(t -> !t.isPlaceholder()).orElse(false);
    if (real) {
      films.fillPlace(take.productionId(), take.shotId(), take.takeId());
    }
  }
}
