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

  private int strength;

  protected Repair() {}

  Repair(TakeEntry take, RepairKind kind, List<Box> boxes, int strength) {
    super(take);
    this.kind = kind;
    this.boxes = StoredBoxes.write(boxes);
    this.strength = strength;
  }

  RepairKind kind() {
    return kind;
  }

  /** Those that are filled. */
  List<Box> boxes() {
    return StoredBoxes.read(boxes);
  }

  /** By how much noise and blocks are taken out, 1 for as much as is measured. */
  double strength() {
    return strength / 100.0;
  }

  RepairView repairView() {
    return new RepairView(kind, view());
  }

  /** As it is shown. */
  record RepairView(RepairKind kind, WorkView work) {}
}
