package app.latethistle.server.story;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** Which version of a production's story is in force. */
@Entity
@Table(name = "story")
class StoryRow {
  @Id private Long productionId;
  private long revision;
  private int done;

  protected StoryRow() {}

  StoryRow(long productionId) {
    this.productionId = productionId;
  }

  long revision() {
    return revision;
  }

  /** How many versions are behind and in force; 0 for a story nobody has written. */
  int done() {
    return done;
  }

  void goTo(int place) {
    done = place;
    revision++;
  }
}
