package app.latethistle.server.services;

import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Jobs;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Puts services and requests in order at the start. */
@ServerOnly
@Component
public class UnfinishedRequests {
  private final Requests requests;
  private final ServiceDesk desk;
  private final Jobs jobs;
  private final Job askService;

  UnfinishedRequests(
      Requests requests, ServiceDesk desk, Jobs jobs, @Qualifier("ask-service") Job askService) {
    this.requests = requests;
    this.desk = desk;
    this.jobs = jobs;
    this.askService = askService;
  }

  /** What was being made and nobody is at any more waits again; nothing was charged for it. */
  @EventListener(ApplicationReadyEvent.class)
  @Transactional
  public void sweep() {
    desk.furnish();
    for (ServiceRow row : desk.all()) {
      requests.findByServiceAndStateOrderById(row.profile().name(), Request.State.RUNNING).stream()
          .filter(request -> !jobs.isKnown(askService, request.id()))
          .forEach(Request::again);
    }
  }
}
