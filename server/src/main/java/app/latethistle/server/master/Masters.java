package app.latethistle.server.master;

import java.util.List;
import java.util.NoSuchElementException;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

/** The masters kept. */
public interface Masters extends JpaRepository<Master, Long> {
  List<Master> findByProductionIdOrderByIdDesc(long productionId);

  @Transactional
  @Modifying
  @Query("update Master m set m.framesDone = :done where m.id = :id")
  void progress(long id, long done);

  @Transactional
  @Modifying
  @Query("update Master m set m.state = :state where m.id = :id")
  void enter(long id, Master.State state);

  /** A master of a production. */
  default Master get(long productionId, long id) {
    return findById(id)
        .filter(m -> m.productionId() == productionId)
        .orElseThrow(() -> new NoSuchElementException("There is no master " + id + " here."));
  }
}
