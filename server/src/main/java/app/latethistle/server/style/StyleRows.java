package app.latethistle.server.style;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** The styles kept. */
interface StyleRows extends JpaRepository<StyleRow, Long> {
  List<StyleRow> findAllByOrderById();

  Optional<StyleRow> findByName(String name);
}
