package app.latethistle.server.film;

import app.latethistle.server.config.Missing;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** The versions kept. */
interface FilmVersions extends JpaRepository<FilmVersion, Long> {
  List<FilmVersion> findByProductionIdOrderById(long productionId);

  /**
   * A version of a production.
   *
   * @throws Missing if there is none of that id
   */
  default FilmVersion get(long productionId, long id) {
    return findById(id)
        .filter(v -> v.productionId() == productionId)
        .orElseThrow(() -> new Missing("There is no version " + id + " here."));
  }
}
