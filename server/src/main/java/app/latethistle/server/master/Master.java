package app.latethistle.server.master;

import app.latethistle.core.release.Encoding;
import app.latethistle.core.release.Output;
import app.latethistle.core.release.Quality;
import app.latethistle.core.time.FrameRate;
import app.latethistle.media.OutputFile;
import app.latethistle.media.Tags;
import app.latethistle.server.config.Reason;
import app.latethistle.server.stored.StoredOrder;
import app.latethistle.server.stored.StoredTags;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Optional;
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

    /** Whether there is no file of it and none to come. */
    boolean isGivenUp() {
      return this == FAILED || this == CANCELLED;
    }

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

  @Enumerated(EnumType.STRING)
  private Encoding encoding = Encoding.MP4;

  private Double megabytes;
  private Long outputId;

  /** A hash of all that its file depends on; null of masters of earlier releases. */
  private String content;

  @Column(columnDefinition = "text")
  private String tags;

  private long frames;
  private long framesDone;
  private long framesWritten;

  @Enumerated(EnumType.STRING)
  private State state = State.WAITING;

  private String message;
  private Long bytes;
  private Instant createdAt = Instant.now();
  private Instant startedAt;
  private Instant endedAt;

  private static final int LONGEST_MESSAGE = 2000;

  protected Master() {}

  Master(long productionId, Optional<Long> output, Ordering ordering, StoredTags tags) {
    Output what = ordering.output();
    StoredOrder order = ordering.order();
    this.productionId = productionId;
    this.outputId = output.orElse(null);
    this.name = ordering.called();
    this.orderBody = order.write();
    this.width = order.program().width();
    this.height = order.program().height();
    this.rate = order.program().rate().toString();
    this.quality = what.quality();
    this.encoding = what.encoding();
    this.megabytes = what.megabytes().orElse(null);
    this.content = ordering.content();
    this.tags = tags.write();
    this.frames = order.program().length();
  }

  /** The output it is of; null if that was taken out, or it was ordered without one. */
  Long outputId() {
    return outputId;
  }

  public Encoding encoding() {
    return encoding;
  }

  Optional<Double> megabytes() {
    return Optional.ofNullable(megabytes);
  }

  Tags tags() {
    return tags == null ? Tags.NONE : StoredTags.read(tags).get();
  }

  /** Whether its file is joined of its segments as they are. */
  boolean isJoined() {
    return OutputFile.isJoined(encoding, megabytes());
  }

  /** Whether its file is there or to come. */
  boolean isMadeOrOnItsWay() {
    return !state.isGivenUp();
  }

  /** Whether it is of what an output is now. */
  boolean isOf(Ordering now) {
    return now.content().equals(content);
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

  /** Frames that are in its file, where they are encoded once more when all are drawn. */
  public long framesWritten() {
    return framesWritten;
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
