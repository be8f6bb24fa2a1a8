package app.latethistle.server.voice;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** What is settled of lines. */
interface VoiceLines extends JpaRepository<VoiceLine, Long> {
  List<VoiceLine> findByProductionIdOrderById(long productionId);
}
