package app.latethistle.server.material;

import app.latethistle.server.config.Reason;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;

/** A file that was refused, kept until the person has seen it. */
@Entity
@SuppressWarnings("unused") // some columns are only written
public class Refusal {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private Long productionId;
  private String fileName;
  private String reason;

  protected Refusal() {}

  Refusal(long productionId, String fileName, String reason) {
    this.productionId = productionId;
    this.fileName = fileName;
    this.reason = Reason.within(reason, 1000);
  }

  public Long id() {
    return id;
  }

  public String fileName() {
    return fileName;
  }

  public String reason() {
    return reason;
  }
}
