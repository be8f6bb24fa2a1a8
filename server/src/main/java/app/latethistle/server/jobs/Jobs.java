package app.latethistle.server.jobs;

import app.latethistle.server.config.Settings;
import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.SchedulerName;
import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.TaskInstanceId;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;
import org.springframework.stereotype.Component;

/**
 * Background jobs on db-scheduler. What is queued is queued in the transaction that needs it, so
 * neither is there without the other. Jobs a killed process left behind are taken up at its next
 * start, which counts as a failed try of theirs; jobs of other processes that stopped answering,
 * after some missed heartbeats.
 */
@Component
public class Jobs implements SmartLifecycle {
  private static final Logger LOG = LoggerFactory.getLogger(Jobs.class);

  private static final Duration HEARTBEAT = Duration.ofSeconds(3);

  /** Heartbeats after whose absence a process counts as gone; db-scheduler's least. */
  private static final int MISSED = 4;

  private final DataSource dataSource;
  private final JdbcTemplate jdbc;
  private final Settings settings;
  private final Map<Lane, List<Task<?>>> tasks = new EnumMap<>(Lane.class);
  private final Map<Lane, SchedulerClient> clients = new EnumMap<>(Lane.class);
  private volatile Map<Lane, Scheduler> running = Map.of();

  Jobs(DataSource dataSource, List<Job> jobs, JdbcTemplate jdbc, Settings settings) {
    this.dataSource = dataSource;
    this.jdbc = jdbc;
    this.settings = settings;
    DataSource joining = new TransactionAwareDataSourceProxy(dataSource);
    for (Lane lane : Lane.values()) {
      List<Task<?>> its =
          jobs.stream().filter(j -> j.lane() == lane).<Task<?>>map(Job::task).toList();
      tasks.put(lane, its);
      clients.put(
          lane, SchedulerClient.Builder.create(joining, its).tableName(lane.table()).build());
    }
  }

  /** Runs a job for an entity as soon as the transaction in progress, if any, has ended well. */
  public void enqueue(Job job, long id) {
    schedule(job, Long.toString(id), id);
  }

  /**
   * The same, even if one for the entity is at work: that may have looked already at what has
   * changed, and would end without having seen it.
   */
  public void enqueueAnew(Job job, long id) {
    schedule(job, id + "-" + UUID.randomUUID(), id);
  }

  private void schedule(Job job, String instance, long id) {
    clients.get(job.lane()).scheduleIfNotExists(job.task().instance(instance, id), Instant.now());
    look(job.lane());
  }

  /** Lets a job that waits for something go on now; nothing happens if it is at work. */
  public void hurry(Job job, long id) {
    jdbc.update(
        "update "
            + job.lane().table()
            + " set execution_time = now(), version = version + 1"
            + " where task_name = ? and task_instance = ? and not picked",
        job.task().getName(),
        Long.toString(id));
    look(job.lane());
  }

  /** Lets jobs for entities be taken before all others of their lane that wait. */
  public void first(Job job, List<Long> ids) {
    String table = job.lane().table();
    Timestamp earliest =
        jdbc.queryForObject(
            "select min(execution_time) from " + table + " where not picked", Timestamp.class);
    if (earliest == null) {
      return;
    }
    Timestamp before = Timestamp.from(earliest.toInstant().minusSeconds(1));
    for (long id : ids) {
      jdbc.update(
          "update "
              + table
              + " set execution_time = ?, version = version + 1"
              + " where task_name = ? and task_instance = ? and not picked",
          before,
          job.task().getName(),
          Long.toString(id));
    }
    look(job.lane());
  }

  private void look(Lane lane) {
    AfterCommit.run(
        () -> {
          Scheduler now = running.get(lane);
          if (now != null) {
            now.triggerCheckForDueExecutions();
          }
        });
  }

  /** Whether a job for an entity waits or is at work. */
  public boolean isKnown(Job job, long id) {
    return clients
        .get(job.lane())
        .getScheduledExecution(TaskInstanceId.of(job.task().getName(), Long.toString(id)))
        .isPresent();
  }

  @Override
  public void start() {
    Map<Lane, Scheduler> started = new EnumMap<>(Lane.class);
    for (Lane lane : settings.worker() ? List.of(Lane.RENDER) : List.of(Lane.values())) {
      letGo(lane, ", consecutive_failures = coalesce(consecutive_failures, 0) + 1");
      Scheduler scheduler =
          Scheduler.create(dataSource, tasks.get(lane))
              .tableName(lane.table())
              .schedulerName(new SchedulerName.Fixed(settings.node()))
              .threads(lane.threads())
              .pollingInterval(Duration.ofSeconds(2))
              .heartbeatInterval(HEARTBEAT)
              .missedHeartbeatsLimit(MISSED)
              .enableImmediateExecution()
              .shutdownMaxWait(Duration.ofSeconds(2))
              .build();
      scheduler.start();
      started.put(lane, scheduler);
    }
    running = started;
    if (settings.worker()) {
      LOG.info("Worker {} takes what is to be rendered.", settings.node());
    }
  }

  /** Lets go of what this process holds. */
  private void letGo(Lane lane, String also) {
    jdbc.update(
        "update "
            + lane.table()
            + " set picked = false, picked_by = null, last_heartbeat = null"
            + also
            + " where picked and picked_by = ?",
        settings.node());
  }

  @Override
  public void stop() {
    Map<Lane, Scheduler> ending = running;
    running = Map.of();
    ending.forEach(
        (lane, scheduler) -> {
          scheduler.stop();
          letGo(lane, "");
        });
  }

  @Override
  public boolean isRunning() {
    return !running.isEmpty();
  }
}
