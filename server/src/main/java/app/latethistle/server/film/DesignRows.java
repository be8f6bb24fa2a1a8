package app.latethistle.server.film;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** The designs of the person's own. */
interface DesignRows extends JpaRepository<DesignRow, String> {
  List<DesignRow> findAllByOrderByName();
}
