package app.latethistle.server.master;

import app.latethistle.server.config.Missing;
import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

/** The masters kept. */
public interface Masters extends JpaRepository<Master, Long> {
  List<Master> findByProductionIdOrderByIdDesc(long productionId);

  Optional<Master> findFirstByOutputIdOrderByIdDesc(long outputId);

  /** A master whose state nobody else may change until the transaction ends. */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select m from Master m where m.id = :id")
  Optional<Master> lock(long id);

  /** The masters in some states. */
  @Query("select m.id from Master m where m.state in :states")
  List<Long> idsIn(List<Master.State> states);

  /** Notes how many frames of a master are in its file. */
  @Transactional
  @Modifying
  @Query("update Master m set m.framesWritten = :frames where m.id = :id")
  void written(long id, long frames);

  /** A master of a production. */
  default Master get(long productionId, long id) {
    return findById(id)
        .filter(m -> m.productionId() == productionId)
        .orElseThrow(() -> new Missing("There is no master " + id + " here."));
  }
}
