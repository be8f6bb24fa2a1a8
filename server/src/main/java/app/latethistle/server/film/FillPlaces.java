package app.latethistle.server.film;

import app.latethistle.server.material.TakeReady;
import app.latethistle.server.material.TakeRedrawn;
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
  void redrawn(TakeRedrawn redrawn) {
    films.redrawn(redrawn.productionId(), redrawn.takeId());
  }

  @TransactionalEventListener
  void ready(TakeReady ready) {
    takes
        .findById(ready.takeId())
        .ifPresent(
            take -> {
              if (take.isPlaceholder()) {
                films.redrawn(ready.productionId(), ready.takeId());
              } else {
                films.fillPlace(ready.productionId(), ready.shotId(), ready.takeId());
              }
            });
  }
}
