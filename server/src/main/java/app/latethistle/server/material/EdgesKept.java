package app.latethistle.server.material;

import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** The standing edges kept, by their medium's hash. */
interface EdgesKept extends JpaRepository<StandingEdges, String> {
  /** Keeps a medium's edges; two jobs may have measured the same medium. */
  @Modifying
  @Query(
      value =
          "insert into standing_edges (hash, edges) values (:hash, :edges) on conflict do nothing",
      nativeQuery = true)
  void keep(String hash, byte[] edges);
}
