package app.latethistle.server.material;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** The sounds that can be laid. */
interface SoundRows extends JpaRepository<SoundRow, Long> {
  @Query(
      "select s from SoundRow s where s.productionId is null or s.productionId = ?1 order by s.id")
  List<SoundRow> heardIn(long productionId);

  List<SoundRow> findByProductionIdOrderById(long productionId);

  long countByProductionIdIsNull();

  /** One of the shelf. */
  Optional<SoundRow> findByProductionIdIsNullAndName(String name);

  @Query(
      "select s from SoundRow s where s.mediumHash = ?2"
          + " and (s.productionId is null or s.productionId = ?1)")
  List<SoundRow> of(long productionId, String hash);

  /** One that a production may lay. */
  default Optional<SoundRow> get(long productionId, long id) {
    return findById(id)
        .filter(s -> s.productionId() == null || s.productionId().equals(productionId));
  }
}
