package app.latethistle.server.material;

import app.latethistle.core.take.Box;
import app.latethistle.server.stored.StoredBoxes;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.util.List;

/** Another take that is being made of one, with something put right in it. */
@Entity
class Repair extends TakeWork {
  @Enumerated(EnumType.STRING)
  private RepairKind kind;

  @Column(columnDefinition = "text")
  private String boxes;

  protected Repair() {}

  Repair(TakeEntry take, RepairKind kind, List<Box> boxes) {
    super(take);
    this.kind = kind;
    this.boxes = StoredBoxes.write(boxes);
  }

  RepairKind kind() {
    return kind;
  }

  /** Those that are filled. */
  List<Box> boxes() {
    return StoredBoxes.read(boxes);
  }

  RepairView repairView() {
    return new RepairView(kind, view());
  }

  /** As it is shown. */
  record RepairView(RepairKind kind, WorkView work) {}
}
