package app.latethistle.server.film;

import java.util.List;
import java.util.NoSuchElementException;
import org.springframework.data.jpa.repository.JpaRepository;

/** The versions kept. */
interface FilmVersions extends JpaRepository<FilmVersion, Long> {
  List<FilmVersion> findByProductionIdOrderById(long productionId);

  /**
   * A version of a production.
   *
   * @throws NoSuchElementException if there is none of that id
   */
  default FilmVersion get(long productionId, long id) {
    return findById(id)
        .filter(v -> v.productionId() == productionId)
        .orElseThrow(() -> new NoSuchElementException("There is no version " + id + " here."));
  }
}
