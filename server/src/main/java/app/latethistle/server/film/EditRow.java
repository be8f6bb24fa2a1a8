package app.latethistle.server.film;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** One edit as it is stored. */
@Entity
@SuppressWarnings("unused") // some columns are only written
@Table(name = "edit")
class EditRow {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private Long productionId;
  private int place;

  @Column(columnDefinition = "text")
  private String body;

  private Instant madeAt;

  protected EditRow() {}

  EditRow(long productionId, int place, String body) {
    this.productionId = productionId;
    this.place = place;
    this.body = body;
    this.madeAt = Instant.now();
  }

  String body() {
    return body;
  }
}
