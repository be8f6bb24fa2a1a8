package app.latethistle.server.style;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** Which style a production has taken, and as it was when. */
@Entity
@Table(name = "style_follower")
class Follower {
  @Id private Long productionId;
  private long styleId;
  private int revision;

  protected Follower() {}

  Follower(long productionId, StyleRow taken) {
    this(productionId, taken, taken.revision());
  }

  private Follower(long productionId, StyleRow taken, int revision) {
    this.productionId = productionId;
    this.styleId = taken.id();
    this.revision = revision;
  }

  /** One that has what a style was before any revision that is known here. */
  static Follower ofAnother(long productionId, StyleRow now) {
    return new Follower(productionId, now, 0);
  }

  long styleId() {
    return styleId;
  }

  /** The style's, when it was taken. */
  int revision() {
    return revision;
  }
}
