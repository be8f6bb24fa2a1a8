package app.latethistle.server.storage;

import app.latethistle.media.ContentStore;
import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.function.Supplier;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** How large the store is, in bytes: what was brought in, and what was made of it. */
@Component
class StoreFigures implements MeterBinder {
  private final JdbcTemplate jdbc;
  private final ContentStore store;

  StoreFigures(JdbcTemplate jdbc, ContentStore store) {
    this.jdbc = jdbc;
    this.store = store;
  }

  @Override
  public void bindTo(MeterRegistry registry) {
    gauge(registry, "brought in", this::broughtIn);
    gauge(registry, "made", this::made);
  }

  private static void gauge(MeterRegistry registry, String kind, Supplier<Number> bytes) {
    Gauge.builder("thistle.store", bytes).tag("kind", kind).baseUnit("bytes").register(registry);
  }

  private Number broughtIn() {
    return jdbc.queryForObject("select coalesce(sum(bytes), 0) from medium", Long.class);
  }

  private Number made() {
    try {
      long bytes = 0;
      for (Path file : store.madeFiles()) {
        bytes += Files.size(file);
      }
      return bytes;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
