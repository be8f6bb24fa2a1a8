package app.latethistle.server.material;

import app.latethistle.server.config.Missing;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** The songs kept. */
public interface Songs extends JpaRepository<Song, Long> {
  List<Song> findByProductionIdOrderById(long productionId);

  /** The songs in a state. */
  @Query("select s.id from Song s where s.state = :state")
  List<Long> idsIn(State state);

  /** A song of a production. */
  default Song get(long productionId, long id) {
    return findById(id)
        .filter(song -> song.productionId() == productionId)
        .orElseThrow(() -> new Missing("There is no song " + id + " here."));
  }
}
