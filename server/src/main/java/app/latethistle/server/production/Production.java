package app.latethistle.server.production;

import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRate;
import app.latethistle.server.stored.StoredSong;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.List;

/** A production: what the film is to be, and where its edit log stands. */
@Entity
public class Production {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private String title;
  private int width;
  private int height;
  private String rate;
  private double targetSeconds;
  private Instant createdAt;
  private Instant changedAt;
  private Long songId;
  private long revision;
  private int done;
  private String pace = "[]";

  /** Which production of the demo it is, or "". */
  private String demo = "";

  /** Whether all of the demo's files are in it, and it is cut. */
  @SuppressWarnings("unused") // asked for in queries only
  private boolean filled = true;

  protected Production() {}

  public Production(String title, PictureShape shape, FrameRate rate, double targetSeconds) {
    this.title = title;
    this.width = shape.width();
    this.height = shape.height();
    this.rate = rate.toString();
    this.targetSeconds = targetSeconds;
    this.createdAt = Instant.now();
    this.changedAt = createdAt;
  }

  /** A production of the demo, which is filled next. */
  public Production ofDemo(String name) {
    demo = name;
    filled = false;
    return this;
  }

  /** Which production of the demo it is, or "". */
  public String demo() {
    return demo;
  }

  /** Notes that a production of the demo has all that belongs to it. */
  public void fill() {
    filled = true;
  }

  public Long id() {
    return id;
  }

  public String title() {
    return title;
  }

  public PictureShape shape() {
    return PictureShape.of(width, height);
  }

  public FrameRate rate() {
    return FrameRate.parse(rate);
  }

  public double targetSeconds() {
    return targetSeconds;
  }

  public Instant createdAt() {
    return createdAt;
  }

  public Instant changedAt() {
    return changedAt;
  }

  /** The chosen song, or null. */
  public Long songId() {
    return songId;
  }

  /** Raised with every change to the film, undo and redo included. */
  public long revision() {
    return revision;
  }

  /** How quickly parts of the film are to move where it has no music. */
  public List<Double> pace() {
    return StoredSong.readPace(pace);
  }

  /** Keeps how quickly equally long parts of the film are to move where it has no music. */
  public void draw(List<Double> speeds) {
    pace = StoredSong.writePace(speeds);
    changedAt = Instant.now();
  }

  /** How many stored edits are in force. */
  public int done() {
    return done;
  }

  public void rename(String newTitle) {
    title = newTitle;
    changedAt = Instant.now();
  }

  public void aimAt(double seconds) {
    targetSeconds = seconds;
    changedAt = Instant.now();
  }

  public void chooseSong(Long id) {
    songId = id;
    filmChanged(done);
  }

  /** Notes that the film changed, with so many edits in force. */
  public void filmChanged(int nowDone) {
    done = nowDone;
    revision++;
    changedAt = Instant.now();
  }
}
