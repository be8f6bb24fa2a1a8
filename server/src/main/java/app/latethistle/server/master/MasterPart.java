package app.latethistle.server.master;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import org.hibernate.annotations.DynamicUpdate;

/** A piece of a master that any process may make: one of its segments, or its sound. */
@Entity
@DynamicUpdate
@SuppressWarnings("unused") // some columns are only written
class MasterPart {
  /** The place of the sound, beside the segments'. */
  static final int SOUND = -1;

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private Long masterId;
  private int place;
  private long framesDone;
  private boolean done;

  @Column(name = "is_new")
  private boolean isNew;

  protected MasterPart() {}

  MasterPart(long masterId, int place) {
    this.masterId = masterId;
    this.place = place;
  }

  Long id() {
    return id;
  }

  long masterId() {
    return masterId;
  }

  /** Which segment it is, from 0, or {@link #SOUND}. */
  int place() {
    return place;
  }

  /** Notes whether it is made, and how many frames of it are. */
  void found(boolean made, long frames) {
    isNew |= !made;
    done = made;
    framesDone = made ? frames : framesDone;
  }

  /** Whether it had to be made for this master. */
  boolean isNew() {
    return isNew;
  }

  boolean isDone() {
    return done;
  }
}
