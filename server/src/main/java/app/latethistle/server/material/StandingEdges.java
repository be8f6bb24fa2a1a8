package app.latethistle.server.material;

import app.latethistle.core.measure.CornerEdges;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;

/**
 * The edges that stand in a medium's corners, kept apart from it because they are large and seldom
 * read.
 */
@Entity
class StandingEdges {
  @Id private String hash;
  private byte[] edges;

  protected StandingEdges() {}

  CornerEdges edges() {
    return CornerEdges.ofBytes(edges);
  }
}
