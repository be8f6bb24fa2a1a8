package app.latethistle.server.services;

import app.latethistle.core.story.ServiceProfile;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Jobs;
import java.util.List;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Sends waiting requests off, first come first served, as many at once as each service takes. */
@Component
public class Queue {
  private final Requests requests;
  private final ServiceDesk desk;
  private final Jobs jobs;
  private final Job askService;

  Queue(Requests requests, ServiceDesk desk, Jobs jobs, @Qualifier("ask-service") Job askService) {
    this.requests = requests;
    this.desk = desk;
    this.jobs = jobs;
    this.askService = askService;
  }

  @Scheduled(fixedDelay = 700)
  void dispatch() {
    if (!jobs.isRunning()) {
      return;
    }
    for (ServiceRow row : desk.all()) {
      ServiceProfile profile = row.profile();
      List<Request> waiting =
          requests.findByServiceAndStateOrderById(profile.name(), Request.State.QUEUED);
      if (waiting.isEmpty()) {
        continue;
      }
      long running = requests.countByServiceAndState(profile.name(), Request.State.RUNNING);
      long free = Math.min(waiting.size(), profile.atOnce() - running);
      for (int i = 0; i < free; i++) {
        jobs.enqueue(askService, waiting.get(i).id());
      }
    }
  }

  /** What there is to say of a service's waits now. */
  Outlook outlook(ServiceProfile profile) {
    String name = profile.name();
    return new Outlook(
        profile,
        requests.findByServiceAndStateOrderById(name, Request.State.QUEUED),
        requests.countByServiceAndState(name, Request.State.RUNNING),
        requests.findTop10ByServiceAndStateOrderByEndedAtDesc(name, Request.State.DONE));
  }
}
