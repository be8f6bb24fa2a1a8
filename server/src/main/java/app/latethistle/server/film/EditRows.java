package app.latethistle.server.film;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** The edits stored. */
interface EditRows extends JpaRepository<EditRow, Long> {
  List<EditRow> findByProductionIdOrderByPlace(long productionId);

  @Modifying
  @Query("delete from EditRow e where e.productionId = :productionId and e.place >= :from")
  void forget(long productionId, int from);
}
