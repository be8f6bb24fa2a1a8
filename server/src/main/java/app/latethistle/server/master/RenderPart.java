package app.latethistle.server.master;

import app.latethistle.media.MasterRender;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Jobs;
import app.latethistle.server.jobs.Lane;
import java.io.IOException;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * The job that makes one part of a master. It knows of no other part, so that parts are made by
 * several processes at once, and one that dies loses no more than the part it was at.
 */
@Configuration(proxyBeanMethods = false)
class RenderPart {
  private static final Logger LOG = LoggerFactory.getLogger(RenderPart.class);
  private static final long TELL_EVERY_NANOS = 300_000_000;

  @Bean("render-part")
  Job renderPart(
      Masters masters,
      MasterParts parts,
      MasterOrders orders,
      MasterEnds ends,
      ObjectProvider<Jobs> jobs,
      @Qualifier("render-master") ObjectProvider<Job> renderMaster) {
    return Job.of(
        Lane.RENDER,
        "render-part",
        id ->
            parts
                .findById(id)
                .flatMap(part -> masters.findById(part.masterId()))
                .map(Master::productionId),
        id -> {
          MasterPart part = parts.findById(id).filter(p -> !p.isDone()).orElse(null);
          Master master = part == null ? null : masters.findById(part.masterId()).orElse(null);
          if (master == null || !master.state().isOpen()) {
            return Optional.empty();
          }
          try {
            make(master, part, orders, new Told(part, masters, parts));
          } catch (CancellationException e) {
            LOG.debug("A part of master {} was cancelled.", master.id());
            return Optional.empty();
          }
          parts.done(id);
          if (!parts.existsByMasterIdAndDoneFalse(master.id())) {
            jobs.getObject().hurry(renderMaster.getObject(), master.id());
          }
          return Optional.empty();
        },
        (id, why) -> parts.findById(id).ifPresent(p -> ends.fail(p.masterId(), why)));
  }

  private static void make(Master master, MasterPart part, MasterOrders orders, Told told)
      throws IOException {
    if (part.place() == MasterPart.SOUND) {
      orders.makeSound(master);
      return;
    }
    MasterRender render = orders.render(master);
    render.make(render.segments().get(part.place()), told);
  }

  /** Tells the database now and then, and asks it whether the person has cancelled. */
  private static final class Told implements MasterRender.Progress {
    private final MasterPart part;
    private final Masters masters;
    private final MasterParts parts;
    private long told = System.nanoTime();
    private boolean cancelled;

    Told(MasterPart part, Masters masters, MasterParts parts) {
      this.part = part;
      this.masters = masters;
      this.parts = parts;
    }

    @Override
    public void frames(long done) {
      if (System.nanoTime() - told > TELL_EVERY_NANOS) {
        told = System.nanoTime();
        parts.progress(part.id(), done);
        cancelled = !masters.findById(part.masterId()).map(m -> m.state().isOpen()).orElse(false);
      }
    }

    @Override
    public boolean isCancelled() {
      return cancelled;
    }
  }
}
