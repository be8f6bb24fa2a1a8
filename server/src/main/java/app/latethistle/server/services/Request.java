package app.latethistle.server.services;

import app.latethistle.core.story.CameraMove;
import app.latethistle.server.config.Reason;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Duration;
import java.time.Instant;

/** Something asked of a service for a shot. */
@Entity
public class Request {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private Long productionId;
  private Long shotId;
  private String service;

  @Enumerated(EnumType.STRING)
  private Kind kind;

  @Column(columnDefinition = "text")
  private String prompt;

  @Column(columnDefinition = "text")
  private String exclusion;

  private long seed;
  private double seconds;
  private int pictures;

  @Enumerated(EnumType.STRING)
  private CameraMove move;

  private Long sourceTake;
  private double cost;

  @Enumerated(EnumType.STRING)
  private State state;

  private int attempts;
  private String message;
  private Instant askedAt;
  private Instant startedAt;
  private Instant endedAt;

  /** Whether the stand-in is to fail, to try what happens then. */
  private boolean willFail;

  private static final int LONGEST_MESSAGE = 1000;

  protected Request() {}

  Request(
      long productionId,
      long shotId,
      String service,
      Kind kind,
      String prompt,
      String exclusion,
      long seed,
      double seconds,
      int pictures,
      CameraMove move,
      Long sourceTake,
      double cost,
      State state) {
    this.productionId = productionId;
    this.shotId = shotId;
    this.service = service;
    this.kind = kind;
    this.prompt = prompt;
    this.exclusion = exclusion;
    this.seed = seed;
    this.seconds = seconds;
    this.pictures = pictures;
    this.move = move;
    this.sourceTake = sourceTake;
    this.cost = cost;
    this.state = state;
    this.askedAt = Instant.now();
  }

  /** What is asked for. */
  public enum Kind {
    /** Pictures or a clip. */
    MAKE,
    /** A take that goes on for longer. */
    EXTEND,
    /** A take twice as large. */
    ENLARGE
  }

  /** How far a request is. */
  public enum State {
    QUEUED,
    RUNNING,
    DONE,
    FAILED,
    CANCELLED
  }

  public Long id() {
    return id;
  }

  public Long productionId() {
    return productionId;
  }

  public Long shotId() {
    return shotId;
  }

  public String service() {
    return service;
  }

  public Kind kind() {
    return kind;
  }

  public String prompt() {
    return prompt;
  }

  public String exclusion() {
    return exclusion;
  }

  public long seed() {
    return seed;
  }

  public double seconds() {
    return seconds;
  }

  /** How many stills are asked for; 0 for a clip. */
  int pictures() {
    return pictures;
  }

  public CameraMove move() {
    return move;
  }

  /** The take it starts from, or null. */
  public Long sourceTake() {
    return sourceTake;
  }

  /** Credits; given back when it fails. */
  public double cost() {
    return cost;
  }

  public State state() {
    return state;
  }

  /** How often the service has worked on it. */
  public int attempts() {
    return attempts;
  }

  public String message() {
    return message;
  }

  public Instant askedAt() {
    return askedAt;
  }

  public Instant startedAt() {
    return startedAt;
  }

  public Instant endedAt() {
    return endedAt;
  }

  void start() {
    state = State.RUNNING;
    attempts++;
    startedAt = Instant.now();
  }

  /** Settles when work begins whether the service will give up half-way. */
  void decide(boolean fails) {
    willFail = fails;
  }

  boolean willFail() {
    return willFail;
  }

  void end(State how, String why) {
    state = how;
    message = Reason.within(why, LONGEST_MESSAGE);
    endedAt = Instant.now();
  }

  /** Sets it back in time: asked so long ago, done after so long a wait. */
  void was(Duration ago, Duration waited) {
    askedAt = Instant.now().minus(ago);
    startedAt = askedAt;
    endedAt = askedAt.plus(waited);
  }

  void again() {
    state = State.QUEUED;
    message = null;
    startedAt = null;
    endedAt = null;
    askedAt = Instant.now();
  }
}
