package app.latethistle.server.material;

import app.latethistle.server.config.Missing;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.NoRepositoryBean;
import org.springframework.transaction.annotation.Transactional;

/** What is being made of takes, and what failed. */
@NoRepositoryBean
public interface TakeWorks<W extends TakeWork> extends JpaRepository<W, Long> {
  /** How often it is written down how far one is. */
  int STEPS = 50;

  /** A person does not want it any more. */
  final class NotWanted extends RuntimeException {
    private static final long serialVersionUID = 1;
  }

  List<W> findByTakeIdOrderById(long takeId);

  @Query(
      "select w.id from #{#entityName} w"
          + " where w.state = app.latethistle.server.material.TakeWork.Stage.WORKING")
  List<Long> idsAtWork();

  @Transactional
  @Modifying
  @Query("update #{#entityName} w set w.share = :share where w.id = :id")
  void progress(long id, double share);

  /** One of a production. */
  default W get(long productionId, long id) {
    return findById(id)
        .filter(w -> w.productionId() == productionId)
        .orElseThrow(() -> new Missing("There is no work " + id + " here."));
  }

  /**
   * Notes how far one is.
   *
   * @throws NotWanted if it was stopped meanwhile
   */
  default void tell(long id, double share) {
    W now = findById(id).filter(TakeWork::isWorking).orElseThrow(NotWanted::new);
    if ((int) (share * STEPS) > (int) (now.share() * STEPS)) {
      progress(id, share);
    }
  }

  /** Stops one, or takes away what is said of one that failed. */
  default void stop(long productionId, long id) {
    W work = get(productionId, id);
    if (work.isWorking()) {
      work.stop();
    } else {
      delete(work);
    }
  }
}
