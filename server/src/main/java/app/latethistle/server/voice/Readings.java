package app.latethistle.server.voice;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** The readings kept. */
interface Readings extends JpaRepository<Reading, Long> {
  List<Reading> findByLineIdInOrderByNumber(Collection<Long> lineIds);
}
