package app.latethistle.server.material;

import app.latethistle.server.config.Jobs;
import com.github.kagkarlsson.scheduler.task.Task;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Queues at the start whatever takes and songs wait for and nobody is at, however that came. */
@Component
class Unfinished {
  private final Takes takes;
  private final Songs songs;
  private final Jobs jobs;
  private final Task<Long> prepareTake;
  private final Task<Long> measureTake;
  private final Task<Long> listenToSong;

  Unfinished(
      Takes takes,
      Songs songs,
      Jobs jobs,
      @Qualifier("prepare-take") Task<Long> prepareTake,
      @Qualifier("measure-take") Task<Long> measureTake,
      @Qualifier("listen-to-song") Task<Long> listenToSong) {
    this.takes = takes;
    this.songs = songs;
    this.jobs = jobs;
    this.prepareTake = prepareTake;
    this.measureTake = measureTake;
    this.listenToSong = listenToSong;
  }

  @EventListener(ApplicationReadyEvent.class)
  void sweep() {
    takes.idsIn(State.PREPARING).forEach(id -> jobs.enqueue(prepareTake, id));
    takes.idsNotMeasured().forEach(id -> jobs.enqueue(measureTake, id));
    songs.idsIn(State.PREPARING).forEach(id -> jobs.enqueue(listenToSong, id));
  }
}
