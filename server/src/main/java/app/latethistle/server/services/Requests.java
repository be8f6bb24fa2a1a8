package app.latethistle.server.services;

import app.latethistle.server.config.Missing;
import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

/** The requests kept. */
public interface Requests extends JpaRepository<Request, Long> {
  List<Request> findByProductionIdOrderById(long productionId);

  /** The last that ended in a state. */
  List<Request> findTop10ByServiceAndStateOrderByEndedAtDesc(String service, Request.State state);

  List<Request> findByServiceAndStateOrderById(String service, Request.State state);

  long countByServiceAndState(String service, Request.State state);

  /** Credits a service was paid since a time; what failed or was cancelled costs nothing. */
  @Query(
      "select coalesce(sum(r.cost), 0) from Request r where r.service = :service and r.askedAt >="
          + " :since and r.state in (QUEUED, RUNNING, DONE)")
  double spentSince(String service, Instant since);

  /** How often a service has worked on a request. */
  @Query("select coalesce(sum(r.attempts), 0) from Request r where r.service = :service")
  long worked(String service);

  /** A request whose state nobody else may change until the transaction ends. */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select r from Request r where r.id = :id")
  Optional<Request> lock(long id);

  /** A request of a production, locked. */
  default Request getLocked(long productionId, long id) {
    return lock(id)
        .filter(r -> r.productionId() == productionId)
        .orElseThrow(() -> new Missing("There is no request " + id + " here."));
  }
}
