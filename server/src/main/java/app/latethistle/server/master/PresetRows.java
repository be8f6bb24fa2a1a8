package app.latethistle.server.master;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** The presets kept. */
interface PresetRows extends JpaRepository<PresetRow, Long> {
  List<PresetRow> findAllByOrderById();
}
