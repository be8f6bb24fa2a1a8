package app.latethistle.server.voice;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** The readings kept. */
interface Readings extends JpaRepository<Reading, Long> {
  /** All readings of lines, those that were taken out too. */
  List<Reading> findByLineIdIn(Collection<Long> lineIds);

  /** The readings of lines that can be used. */
  List<Reading> findByLineIdInAndRemovedFalseOrderByNumber(Collection<Long> lineIds);
}
