package app.latethistle.server.config;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerName;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import javax.sql.DataSource;
import org.springframework.context.SmartLifecycle;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Background jobs on db-scheduler. Jobs a killed process left behind are taken up at the next
 * start; jobs of other processes that stopped answering, after some missed heartbeats.
 */
@Component
public class Jobs implements SmartLifecycle {
  /** More than cores: a stand-in that lets a person wait holds one. */
  private static final int THREADS = 4;

  private final DataSource dataSource;
  private final List<OneTimeTask<Long>> tasks;
  private final JdbcTemplate jdbc;
  private final String node;
  private Scheduler scheduler;

  Jobs(DataSource dataSource, List<OneTimeTask<Long>> tasks, JdbcTemplate jdbc, Settings settings) {
    this.dataSource = dataSource;
    this.tasks = tasks;
    this.jdbc = jdbc;
    this.node = settings.node();
  }

  /** Runs a task for an entity as soon as the transaction in progress, if any, has ended well. */
  public void enqueue(OneTimeTask<Long> task, long id) {
    AfterCommit.run(
        () -> scheduler.scheduleIfNotExists(task.instance(Long.toString(id), id), Instant.now()));
  }

  @Override
  public void start() {
    jdbc.update(
        "update scheduled_tasks set picked = false, picked_by = null, last_heartbeat = null"
            + " where picked and picked_by = ?",
        node);
    scheduler =
        Scheduler.create(dataSource, List.copyOf(tasks))
            .schedulerName(new SchedulerName.Fixed(node))
            .threads(THREADS)
            .pollingInterval(Duration.ofSeconds(2))
            .heartbeatInterval(Duration.ofSeconds(5))
            .enableImmediateExecution()
            .shutdownMaxWait(Duration.ofSeconds(2))
            .build();
    scheduler.start();
  }

  @Override
  public void stop() {
    scheduler.stop();
    scheduler = null;
  }

  @Override
  public boolean isRunning() {
    return scheduler != null;
  }
}
