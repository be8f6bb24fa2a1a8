package app.latethistle.server.screening;

import app.latethistle.server.config.Missing;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** The links there are. */
interface Screenings extends JpaRepository<Screening, Long> {
  List<Screening> findByProductionIdAndEndsAtAfterOrderById(long productionId, Instant now);

  Optional<Screening> findByKeyAndEndsAtAfter(String key, Instant now);

  void deleteByEndsAtBefore(Instant now);

  /**
   * The link of a key.
   *
   * @throws Missing if there is none, or not any more
   */
  default Screening of(String key) {
    return findByKeyAndEndsAtAfter(key, Instant.now())
        .orElseThrow(() -> new Missing("This link has ended or was withdrawn; ask for another."));
  }

  /** A link of a production. */
  default Screening get(long productionId, long id) {
    return findById(id)
        .filter(s -> s.productionId() == productionId)
        .orElseThrow(() -> new Missing("There is no link " + id + " here."));
  }
}
