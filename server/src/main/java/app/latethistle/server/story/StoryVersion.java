package app.latethistle.server.story;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;

/** A story as it was after a change. */
@Entity
@SuppressWarnings("unused") // some columns are only asked for
class StoryVersion {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private Long productionId;
  private int place;
  private String name;

  @Column(columnDefinition = "text")
  private String body;

  private Instant madeAt;

  protected StoryVersion() {}

  StoryVersion(long productionId, int place, String name, String body) {
    this.productionId = productionId;
    this.place = place;
    this.name = name;
    this.body = body;
    this.madeAt = Instant.now();
  }

  int place() {
    return place;
  }

  String name() {
    return name;
  }

  String body() {
    return body;
  }

  Instant madeAt() {
    return madeAt;
  }

  void goOn(String newBody) {
    body = newBody;
    madeAt = Instant.now();
  }
}
