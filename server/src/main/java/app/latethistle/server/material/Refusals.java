package app.latethistle.server.material;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** The refusals kept. */
public interface Refusals extends JpaRepository<Refusal, Long> {
  List<Refusal> findByProductionIdOrderById(long productionId);
}
