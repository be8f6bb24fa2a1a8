package app.latethistle.server.material;

import app.latethistle.server.config.Reason;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;

/** Something that is made of a take and takes its time: it is at work, failed, or was stopped. */
@MappedSuperclass
public abstract class TakeWork {
  private static final int LONGEST_MESSAGE = 1000;

  /** How far it is. */
  public enum Stage {
    WORKING,
    /** Something was wrong, which the message says. */
    FAILED,
    STOPPED
  }

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private Long productionId;
  private Long takeId;
  private double share;

  @Enumerated(EnumType.STRING)
  private Stage state = Stage.WORKING;

  private String message;

  protected TakeWork() {}

  protected TakeWork(TakeEntry take) {
    productionId = take.productionId();
    takeId = take.id();
  }

  public Long id() {
    return id;
  }

  public long productionId() {
    return productionId;
  }

  public long takeId() {
    return takeId;
  }

  /** How much of it is done, 0 to 1. */
  public double share() {
    return share;
  }

  public boolean isWorking() {
    return state == Stage.WORKING;
  }

  /** Notes what was wrong. */
  public void fail(String why) {
    state = Stage.FAILED;
    message = Reason.within(why, LONGEST_MESSAGE);
  }

  /** Nobody wants it any more. */
  public void stop() {
    state = Stage.STOPPED;
  }

  /** As it is shown. */
  public WorkView view() {
    return new WorkView(id, share, state == Stage.FAILED, message == null ? "" : message);
  }

  /**
   * As it is shown.
   *
   * @param share of it that is done, 0 to 1
   * @param message what was wrong, or ""
   */
  public record WorkView(long id, double share, boolean failed, String message) {}
}
