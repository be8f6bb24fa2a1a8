package app.latethistle.server.master;

import app.latethistle.core.time.FrameRate;
import app.latethistle.media.Quality;
import app.latethistle.server.config.Reason;
import app.latethistle.server.stored.StoredOrder;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import org.hibernate.annotations.DynamicUpdate;

/** A master, from order to checked file. */
@Entity
@DynamicUpdate
@SuppressWarnings("unused") // some columns are only written
public class Master {
  /** How far it is. */
  public enum State {
    WAITING,
    RENDERING,
    CHECKING,
    /** Made, and as it was asked for. */
    DONE,
    /** Made, but the check found something; the message says what. */
    DOUBTFUL,
    FAILED,
    CANCELLED;

    boolean isOpen() {
      return this == WAITING || this == RENDERING || this == CHECKING;
    }
  }

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private Long productionId;
  private String name;

  @Column(columnDefinition = "text")
  private String orderBody;

  private int width;
  private int height;
  private String rate;

  @Enumerated(EnumType.STRING)
  private Quality quality;

  private long frames;
  private long framesDone;

  @Enumerated(EnumType.STRING)
  private State state = State.WAITING;

  private String message;
  private Long bytes;
  private Instant createdAt = Instant.now();
  private Instant startedAt;
  private Instant endedAt;

  private static final int LONGEST_MESSAGE = 2000;

  protected Master() {}

  Master(long productionId, String name, StoredOrder order, Quality quality) {
    this.productionId = productionId;
    this.name = name;
    this.orderBody = order.write();
    this.width = order.program().width();
    this.height = order.program().height();
    this.rate = order.program().rate().toString();
    this.quality = quality;
    this.frames = order.program().length();
  }

  public Long id() {
    return id;
  }

  public Long productionId() {
    return productionId;
  }

  public String name() {
    return name;
  }

  StoredOrder order() {
    return StoredOrder.read(orderBody);
  }

  public int width() {
    return width;
  }

  public int height() {
    return height;
  }

  public FrameRate rate() {
    return FrameRate.parse(rate);
  }

  public Quality quality() {
    return quality;
  }

  public long frames() {
    return frames;
  }

  public long framesDone() {
    return framesDone;
  }

  public State state() {
    return state;
  }

  public String message() {
    return message;
  }

  public Long bytes() {
    return bytes;
  }

  public Instant createdAt() {
    return createdAt;
  }

  public Instant startedAt() {
    return startedAt;
  }

  void begin() {
    state = State.RENDERING;
    startedAt = Instant.now();
  }

  void check() {
    state = State.CHECKING;
  }

  void end(State how, String why, Long size) {
    state = how;
    message = Reason.within(why, LONGEST_MESSAGE);
    bytes = size;
    endedAt = Instant.now();
  }
}
