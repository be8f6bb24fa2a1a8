package app.latethistle.server.master;

import app.latethistle.server.config.Jobs;
import com.github.kagkarlsson.scheduler.task.Task;
import java.util.List;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Queues at the start the masters that are not ended and that nobody is at. */
@Component
class UnfinishedMasters {
  private final Masters masters;
  private final Jobs jobs;
  private final Task<Long> renderMaster;

  UnfinishedMasters(
      Masters masters, Jobs jobs, @Qualifier("render-master") Task<Long> renderMaster) {
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
