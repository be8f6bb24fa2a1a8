package app.latethistle.server.jobs;

import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** How many jobs wait, are worked on and have failed at least once, of all processes together. */
@Component
class JobFigures implements MeterBinder {
  private final JdbcTemplate jdbc;

  JobFigures(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  @Override
  public void bindTo(MeterRegistry registry) {
    for (Lane lane : Lane.values()) {
      gauge(registry, lane, "waiting", "not picked");
      gauge(registry, lane, "running", "picked");
      gauge(registry, lane, "failed", "coalesce(consecutive_failures, 0) > 0");
    }
  }

  private void gauge(MeterRegistry registry, Lane lane, String state, String where) {
    String query = "select count(*) from " + lane.table() + " where " + where;
    Gauge.builder("thistle.jobs", () -> jdbc.queryForObject(query, Long.class))
        .tag("lane", lane.name())
        .tag("state", state)
        .register(registry);
  }
}
