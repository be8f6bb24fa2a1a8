package app.latethistle.server.master;

import app.latethistle.server.config.Missing;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** The outputs kept. */
interface OutputRows extends JpaRepository<OutputRow, Long> {
  List<OutputRow> findByProductionIdOrderById(long productionId);

  /** An output of a production. */
  default OutputRow get(long productionId, long id) {
    return findById(id)
        .filter(row -> row.productionId() == productionId)
        .orElseThrow(() -> new Missing("There is no output " + id + " here."));
  }
}
