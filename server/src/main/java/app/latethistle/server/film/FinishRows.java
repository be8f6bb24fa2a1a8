package app.latethistle.server.film;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** The finishes of the person's own. */
interface FinishRows extends JpaRepository<FinishRow, Long> {
  List<FinishRow> findAllByOrderById();
}
