package app.latethistle.server.subject;

import app.latethistle.core.subject.Guide;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.TakeWork;
import app.latethistle.server.stored.StoredGuides;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.List;

/** A subject that is being cut out of a take. */
@Entity
@Table(name = "subject_cut")
class SubjectCutRow extends TakeWork {
  @Column(columnDefinition = "text")
  private String guides;

  protected SubjectCutRow() {}

  SubjectCutRow(TakeEntry take, List<Guide> guides) {
    super(take);
    this.guides = StoredGuides.write(guides);
  }

  List<Guide> guides() {
    return StoredGuides.read(guides);
  }
}
