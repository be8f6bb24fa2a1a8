package app.latethistle.server.master;

import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Jobs;
import java.util.List;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Queues at the start the masters that are not ended and that nobody is at. */
@ServerOnly
@Component
class UnfinishedMasters {
  private final Masters masters;
  private final Jobs jobs;
  private final Job renderMaster;

  UnfinishedMasters(Masters masters, Jobs jobs, @Qualifier("render-master") Job renderMaster) {
    this.masters = masters;
    this.jobs = jobs;
    this.renderMaster = renderMaster;
  }

  @EventListener(ApplicationReadyEvent.class)
  void sweep() {
    masters
        .idsIn(List.of(Master.State.WAITING, Master.State.RENDERING, Master.State.CHECKING))
        .forEach(id -> jobs.enqueue(renderMaster, id));
  }
}
