package app.latethistle.server.production;

import app.latethistle.server.config.Missing;
import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

/** The productions kept. */
public interface Productions extends JpaRepository<Production, Long> {
  List<Production> findAllByOrderByChangedAtDesc();

  /** Productions of the demo that were begun and not filled. */
  List<Production> findByFilledFalse();

  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select p from Production p where p.id = :id")
  Optional<Production> lock(long id);

  /** A production, for reading. */
  default Production get(long id) {
    return findById(id).orElseThrow(() -> missing(id));
  }

  /** A production that nobody else may change until the transaction ends. */
  default Production getLocked(long id) {
    return lock(id).orElseThrow(() -> missing(id));
  }

  private static Missing missing(long id) {
    return new Missing(
        "There is no production " + id + "; it may have been removed. Go back to the shelf.");
  }
}
