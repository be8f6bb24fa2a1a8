package app.latethistle.server.story;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** The versions of stories. */
interface StoryVersions extends JpaRepository<StoryVersion, Long> {
  Optional<StoryVersion> findByProductionIdAndPlace(long productionId, int place);

  @Modifying
  @Query("delete from StoryVersion v where v.productionId = :productionId and v.place > :place")
  void forgetAfter(long productionId, int place);

  @Modifying
  @Query("delete from StoryVersion v where v.productionId = :productionId and v.place <= :place")
  void forgetUpTo(long productionId, int place);
}
