package app.latethistle.server.master;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

/** The parts of masters. */
interface MasterParts extends JpaRepository<MasterPart, Long> {
  List<MasterPart> findByMasterIdOrderByPlace(long masterId);

  void deleteByMasterId(long masterId);

  boolean existsByMasterIdAndDoneFalse(long masterId);

  /** Notes how many frames of a part are done, and with that of its master. */
  @Transactional
  @Modifying
  @NativeQuery(
      """
      with told as (
        update master_part set frames_done = :frames where id = :id
        returning master_id, id)
      update master m set frames_done = :frames + (
        select coalesce(sum(p.frames_done), 0) from master_part p
        where p.master_id = m.id and p.id <> :id)
      from told where m.id = told.master_id""")
  void progress(long id, long frames);

  @Transactional
  @Modifying
  @Query("update MasterPart p set p.done = true where p.id = :id")
  void done(long id);
}
