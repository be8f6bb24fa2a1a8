package app.latethistle.server.material;

import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** The shots kept. */
public interface Shots extends JpaRepository<Shot, Long> {
  List<Shot> findByProductionId(long productionId);

  /** The shot that stands for one of the story's. */
  Optional<Shot> findByProductionIdAndStoryShot(long productionId, int storyShot);

  /** A shot of a production. */
  default Shot get(long productionId, long id) {
    return findById(id)
        .filter(shot -> shot.productionId() == productionId)
        .orElseThrow(() -> new NoSuchElementException("There is no shot " + id + " here."));
  }
}
