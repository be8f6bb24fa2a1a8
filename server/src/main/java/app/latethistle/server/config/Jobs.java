package app.latethistle.server.config;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.SchedulerName;
import com.github.kagkarlsson.scheduler.task.Task;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import javax.sql.DataSource;
import org.springframework.context.SmartLifecycle;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;
import org.springframework.stereotype.Component;

/**
 * Background jobs on db-scheduler. What is queued is queued in the transaction that needs it, so
 * neither is there without the other. Jobs a killed process left behind are taken up at the next
 * start, which counts as a failed try of theirs; jobs of other processes that stopped answering,
 * after some missed heartbeats.
 */
@Component
public class Jobs implements SmartLifecycle {
  /** More than cores: jobs wait for disks and for other programs. */
  private static final int THREADS = 4;

  private final DataSource dataSource;
  private final List<Task<Long>> tasks;
  private final JdbcTemplate jdbc;
  private final String node;
  private final SchedulerClient client;
  private Scheduler scheduler;

  Jobs(DataSource dataSource, List<Task<Long>> tasks, JdbcTemplate jdbc, Settings settings) {
    this.dataSource = dataSource;
    this.tasks = List.copyOf(tasks);
    this.jdbc = jdbc;
    this.node = settings.node();
    client =
        SchedulerClient.Builder.create(
                new TransactionAwareDataSourceProxy(dataSource), List.copyOf(tasks))
            .build();
  }

  /** Runs a task for an entity as soon as the transaction in progress, if any, has ended well. */
  public void enqueue(Task<Long> task, long id) {
    client.scheduleIfNotExists(task.instance(Long.toString(id), id), Instant.now());
    AfterCommit.run(
        () -> {
          Scheduler now = scheduler;
          if (now != null) {
            now.triggerCheckForDueExecutions();
          }
        });
  }

  /** Whether a task for an entity waits or is at work. */
  public boolean isKnown(Task<Long> task, long id) {
    return client.getScheduledExecution(task.instance(Long.toString(id), id)).isPresent();
  }

  @Override
  public void start() {
    jdbc.update(
        "update scheduled_tasks set picked = false, picked_by = null, last_heartbeat = null,"
            + " consecutive_failures = coalesce(consecutive_failures, 0) + 1"
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
    jdbc.update(
        "update scheduled_tasks set picked = false, picked_by = null, last_heartbeat = null"
            + " where picked and picked_by = ?",
        node);
  }

  @Override
  public boolean isRunning() {
    return scheduler != null;
  }
}
