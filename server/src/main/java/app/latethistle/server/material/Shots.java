package app.latethistle.server.material;

import app.latethistle.server.config.Missing;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.springframework.data.jpa.repository.JpaRepository;

/** The shots kept. */
public interface Shots extends JpaRepository<Shot, Long> {
  List<Shot> findByProductionIdOrderById(long productionId);

  /** The shot that stands for one of the story's. */
  Optional<Shot> findByProductionIdAndStoryShot(long productionId, int storyShot);

  /** A shot of a production. */
  default Shot get(long productionId, long id) {
    return findById(id)
        .filter(shot -> shot.productionId() == productionId)
        .orElseThrow(() -> new Missing("There is no shot " + id + " here."));
  }

  /** What each shot of a production is called, by its id as films have it; "?" for any other. */
  default UnaryOperator<String> labels(long productionId) {
    Map<String, String> labels =
        findByProductionIdOrderById(productionId).stream()
            .collect(Collectors.toMap(s -> Long.toString(s.id()), Shot::label));
    return shot -> labels.getOrDefault(shot, "?");
  }
}
