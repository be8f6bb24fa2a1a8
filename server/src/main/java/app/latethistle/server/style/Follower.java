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
    this.productionId = productionId;
    this.styleId = taken.id();
    this.revision = taken.revision();
  }

  long styleId() {
    return styleId;
  }

  /** The style's, when it was taken. */
  int revision() {
    return revision;
  }
}
