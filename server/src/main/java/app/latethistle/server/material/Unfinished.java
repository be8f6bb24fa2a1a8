package app.latethistle.server.material;

import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Jobs;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Queues at the start whatever takes and songs wait for and nobody is at, however that came. */
@ServerOnly
@Component
class Unfinished {
  private final Takes takes;
  private final Songs songs;
  private final Repairs repairs;
  private final Jobs jobs;
  private final Job prepareTake;
  private final Job measureTake;
  private final Job listenToSong;
  private final Job repairTake;

  Unfinished(
      Takes takes,
      Songs songs,
      Repairs repairs,
      Jobs jobs,
      @Qualifier("prepare-take") Job prepareTake,
      @Qualifier("measure-take") Job measureTake,
      @Qualifier("listen-to-song") Job listenToSong,
      @Qualifier("repair-take") Job repairTake) {
    this.takes = takes;
    this.songs = songs;
    this.repairs = repairs;
    this.jobs = jobs;
    this.prepareTake = prepareTake;
    this.measureTake = measureTake;
    this.listenToSong = listenToSong;
    this.repairTake = repairTake;
  }

  @EventListener(ApplicationReadyEvent.class)
  void sweep() {
    takes.idsIn(State.PREPARING).forEach(id -> jobs.enqueue(prepareTake, id));
    takes.idsNotMeasured().forEach(id -> jobs.enqueue(measureTake, id));
    songs.idsIn(State.PREPARING).forEach(id -> jobs.enqueue(listenToSong, id));
    repairs.idsAtWork().forEach(id -> jobs.enqueue(repairTake, id));
  }
}
