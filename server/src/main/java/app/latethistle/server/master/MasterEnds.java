package app.latethistle.server.master;

import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** How masters end: once, whoever comes first, and with nothing of them left to be made. */
@Component
class MasterEnds {
  private static final Logger LOG = LoggerFactory.getLogger(MasterEnds.class);

  private final Masters masters;
  private final MasterParts parts;
  private final MasterOrders orders;

  MasterEnds(Masters masters, MasterParts parts, MasterOrders orders) {
    this.masters = masters;
    this.parts = parts;
    this.orders = orders;
  }

  /**
   * Ends a master, unless it has ended.
   *
   * @param bytes how long its file is, or null if there is none
   */
  @Transactional
  void end(long id, Master.State how, String why, Long bytes) {
    masters
        .lock(id)
        .filter(m -> m.state().isOpen())
        .ifPresent(
            m -> {
              m.end(how, why, bytes);
              parts.deleteByMasterId(id);
              removeParts(m);
            });
  }

  /** Ends a master that cannot be made. */
  @Transactional
  void fail(long id, String why) {
    end(id, Master.State.FAILED, "Not rendered: " + why, null);
  }

  private void removeParts(Master master) {
    try {
      orders.removeParts(master);
    } catch (IOException e) {
      LOG.warn("The sound of master {} is left behind.", master.id());
    }
  }
}
