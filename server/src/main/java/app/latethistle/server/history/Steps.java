package app.latethistle.server.history;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;

/** The steps kept; their ids grow in the order they were made. */
interface Steps extends JpaRepository<Step, Long> {
  /** The last step in force. */
  Optional<Step> findFirstByProductionIdAndUndoneFalseOrderByIdDesc(long productionId);

  /** The step that was taken back last. */
  Optional<Step> findFirstByProductionIdAndUndoneTrueOrderById(long productionId);

  /** Forgets what was taken back. */
  @Modifying
  @Query("delete from Step s where s.productionId = :productionId and s.undone")
  void forgetUndone(long productionId);

  /** Forgets all but the newest. */
  @Modifying
  @NativeQuery(
      "delete from step where production_id = :productionId and id <="
          + " (select id from step where production_id = :productionId"
          + " order by id desc offset :kept limit 1)")
  void forgetAllBut(long productionId, int kept);

  /** Lets nobody else change a production until the transaction ends. */
  @NativeQuery("select id from production where id = :productionId for update")
  Optional<Long> lock(long productionId);

  void deleteByProductionId(long productionId);
}
