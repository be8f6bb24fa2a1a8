package app.latethistle.server.material;

import app.latethistle.server.config.Missing;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.EntityGraph;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

/** The takes kept. */
public interface Takes extends JpaRepository<TakeEntry, Long> {
  @EntityGraph(attributePaths = "medium")
  List<TakeEntry> findByProductionIdOrderById(long productionId);

  /** A production's takes by the ids that films name them by. */
  default Map<String, TakeEntry> byFilmId(long productionId) {
    return findByProductionIdOrderById(productionId).stream()
        .collect(Collectors.toMap(t -> Long.toString(t.id()), t -> t));
  }

  @EntityGraph(attributePaths = "medium")
  List<TakeEntry> findByProductionIdAndServiceOrderByIdDesc(
      long productionId, String service, Limit most);

  List<TakeEntry> findByShotIdOrderByNumberAscIdAsc(long shotId);

  @Transactional
  @Modifying
  @Query("update TakeEntry t set t.framesDone = :done where t.id = :id")
  void progress(long id, long done);

  @Transactional
  @Modifying
  @Query("update TakeEntry t set t.measuredFrames = :done where t.id = :id")
  void measuring(long id, long done);

  /** The takes in a state. */
  @Query("select t.id from TakeEntry t where t.state = :state")
  List<Long> idsIn(State state);

  /** Takes that can be used, have not been measured, and of which nothing says that they cannot. */
  @Query(
      "select t.id from TakeEntry t where t.state = app.latethistle.server.material.State.READY"
          + " and t.placeholder = false and t.reason is null and t.medium.measured is null")
  List<Long> idsNotMeasured();

  /** A take of a production. */
  default TakeEntry get(long productionId, long id) {
    return findById(id)
        .filter(take -> take.productionId() == productionId)
        .orElseThrow(() -> new Missing("There is no take " + id + " here."));
  }
}
