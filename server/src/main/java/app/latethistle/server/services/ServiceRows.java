package app.latethistle.server.services;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

/** The service profiles kept. */
interface ServiceRows extends JpaRepository<ServiceRow, Long> {
  List<ServiceRow> findAllByOrderById();

  /** A row that nobody else may take until the transaction ends. */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select r from ServiceRow r where r.id = :id")
  Optional<ServiceRow> lock(long id);
}
