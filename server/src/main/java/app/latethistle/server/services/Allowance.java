package app.latethistle.server.services;

import app.latethistle.core.story.ServiceProfile;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import org.springframework.stereotype.Component;

/** What is left of each service's allowance for the day or month, by this machine's calendar. */
@Component
class Allowance {
  private final Requests requests;
  private final Clock clock = Clock.system(ZoneId.systemDefault());

  Allowance(Requests requests) {
    this.requests = requests;
  }

  /** Credits left; never below 0. */
  double left(ServiceProfile service) {
    return Math.max(
        0, service.allowance() - requests.spentSince(service.name(), start(service.period())));
  }

  private Instant start(ServiceProfile.Period period) {
    ZoneId zone = clock.getZone();
    LocalDate today = LocalDate.now(clock);
    LocalDate from = period == ServiceProfile.Period.DAY ? today : today.withDayOfMonth(1);
    return from.atStartOfDay(zone).toInstant();
  }
}
