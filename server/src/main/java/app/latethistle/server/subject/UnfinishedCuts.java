package app.latethistle.server.subject;

import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Jobs;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Goes on at the start with what was being cut out. */
@ServerOnly
@Component
class UnfinishedCuts {
  private final SubjectCuts cuts;
  private final Jobs jobs;
  private final Job cutSubject;

  UnfinishedCuts(SubjectCuts cuts, Jobs jobs, @Qualifier("cut-subject") Job cutSubject) {
    this.cuts = cuts;
    this.jobs = jobs;
    this.cutSubject = cutSubject;
  }

  @EventListener(ApplicationReadyEvent.class)
  void sweep() {
    cuts.idsAtWork().forEach(id -> jobs.enqueue(cutSubject, id));
  }
}
