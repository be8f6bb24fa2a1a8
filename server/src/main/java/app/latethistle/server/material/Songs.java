package app.latethistle.server.material;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** The songs kept. */
public interface Songs extends JpaRepository<Song, Long> {
  List<Song> findByProductionId(long productionId);
}
