package app.latethistle.server.material;

import app.latethistle.core.measure.Box;
import app.latethistle.server.stored.StoredBoxes;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import java.util.List;

/** Another take that is being made of one, with boxes of it filled. */
@Entity
class Repair extends TakeWork {
  @Column(columnDefinition = "text")
  private String boxes;

  protected Repair() {}

  Repair(TakeEntry take, List<Box> boxes) {
    super(take);
    this.boxes = StoredBoxes.write(boxes);
  }

  List<Box> boxes() {
    return StoredBoxes.read(boxes);
  }
}
