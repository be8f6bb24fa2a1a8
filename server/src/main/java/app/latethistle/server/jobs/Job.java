package app.latethistle.server.jobs;

import app.latethistle.server.config.Reason;
import com.github.kagkarlsson.scheduler.task.CompletionHandler;
import com.github.kagkarlsson.scheduler.task.ExecutionComplete;
import com.github.kagkarlsson.scheduler.task.ExecutionOperations;
import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Makes background jobs that end. Whatever a job throws, it is tried again a few times, later each
 * time, and then given up in a state that a person sees. What stops with the application is no
 * failure; it goes on at the next start.
 */
public final class Job {
  /** How often a job is tried before it is given up. */
  static final int TRIES = 3;

  private static final Logger LOG = LoggerFactory.getLogger(Job.class);
  private static final Duration FIRST_WAIT = Duration.ofSeconds(2);
  private static final int LATER = 5;

  private final Lane lane;
  private final Task<Long> task;

  private Job(Lane lane, Task<Long> task) {
    this.lane = lane;
    this.task = task;
  }

  Lane lane() {
    return lane;
  }

  Task<Long> task() {
    return task;
  }

  /** What a job does. */
  @FunctionalInterface
  public interface Work {
    /**
     * Works on an entity. It may run again after it was interrupted, so what is done already is
     * found done.
     *
     * @return when to go on, if there is something to wait for; no thread waits meanwhile
     */
    Optional<Instant> run(long id) throws Exception;
  }

  /** Whose entity it is, for the log. */
  @FunctionalInterface
  public interface Whose {
    /** The production's id; empty if the entity is gone. */
    Optional<Long> production(long id);
  }

  /** What becomes of an entity whose job did not end well. */
  @FunctionalInterface
  public interface GivenUp {
    /**
     * Puts it in a state that tells.
     *
     * @param why a sentence for the person
     */
    void tell(long id, String why);
  }

  /** The application stops while a job is at work. */
  private static final class Stopped extends RuntimeException {
    private static final long serialVersionUID = 1;

    Stopped(Throwable cause) {
      super(cause);
    }
  }

  /**
   * A job.
   *
   * @param name unique among jobs; it is stored
   */
  public static Job of(Lane lane, String name, Whose whose, Work work, GivenUp givenUp) {
    return new Job(lane, task(name, whose, work, givenUp));
  }

  private static Task<Long> task(String name, Whose whose, Work work, GivenUp givenUp) {
    return Tasks.custom(name, Long.class)
        .onFailure((complete, operations) -> failed(name, whose, complete, operations, givenUp))
        .execute(
            (instance, context) -> {
              try {
                Optional<Instant> later = work.run(instance.getData());
                return later
                    .<CompletionHandler<Long>>map(
                        at -> (complete, operations) -> operations.reschedule(complete, at))
                    .orElseGet(CompletionHandler.OnCompleteRemove::new);
              } catch (Exception e) {
                if (context.getSchedulerState().isShuttingDown()) {
                  throw new Stopped(e);
                }
                throw e instanceof RuntimeException r ? r : new IllegalStateException(e);
              }
            });
  }

  private static void failed(
      String name,
      Whose whose,
      ExecutionComplete complete,
      ExecutionOperations<Long> operations,
      GivenUp givenUp) {
    Throwable cause = complete.getCause().orElse(null);
    if (cause instanceof Stopped) {
      // It stays taken by this process, which lets go of it when it has stopped.
      return;
    }
    Throwable real =
        cause instanceof IllegalStateException && cause.getCause() != null
            ? cause.getCause()
            : cause;
    long id = (Long) complete.getExecution().taskInstance.getData();
    int failures = complete.getExecution().consecutiveFailures + 1;
    String why = Reason.of(real);
    LOG.warn(
        "{} {} of production {}: try {} of {} failed: {}",
        name,
        id,
        owner(whose, id),
        failures,
        TRIES,
        why);
    LOG.debug("{} {}", name, id, real);
    if (failures < TRIES) {
      Duration wait = FIRST_WAIT.multipliedBy((long) Math.pow(LATER, failures - 1));
      operations.reschedule(complete, Instant.now().plus(wait));
      return;
    }
    try {
      givenUp.tell(id, why);
    } catch (RuntimeException e) {
      LOG.error("{} {}: nobody could be told that it was given up: {}", name, id, Reason.of(e));
    }
    operations.remove();
  }

  private static String owner(Whose whose, long id) {
    try {
      return whose.production(id).map(Object::toString).orElse("(gone)");
    } catch (RuntimeException e) {
      // The database may be what failed.
      return "(unknown)";
    }
  }
}
