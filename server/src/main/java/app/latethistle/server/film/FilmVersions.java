package app.latethistle.server.film;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** The versions kept. */
interface FilmVersions extends JpaRepository<FilmVersion, Long> {
  List<FilmVersion> findByProductionIdOrderById(long productionId);
}
