package app.latethistle.server.master;

import app.latethistle.core.mix.SoundSource;
import app.latethistle.core.render.Program;
import app.latethistle.media.ContentStore;
import app.latethistle.media.MasterCheck;
import app.latethistle.media.MasterRender;
import app.latethistle.media.Originals;
import app.latethistle.server.material.FilmSoundFiles;
import app.latethistle.server.material.Media;
import app.latethistle.server.stored.StoredOrder;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.io.IOException;
import java.io.InterruptedIOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.CancellationException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.transaction.support.TransactionTemplate;

/** The job that renders a master and checks the file. */
@Configuration(proxyBeanMethods = false)
class RenderMaster {
  private static final Logger LOG = LoggerFactory.getLogger(RenderMaster.class);
  private static final long TELL_EVERY_NANOS = 300_000_000;

  @Bean("render-master")
  OneTimeTask<Long> renderMaster(
      Masters masters,
      Media media,
      ContentStore store,
      FilmSoundFiles sounds,
      TransactionTemplate transaction) {
    return Tasks.oneTime("render-master", Long.class)
        .onFailure(
            (complete, operations) ->
                operations.reschedule(complete, Instant.now().plus(Duration.ofSeconds(2))))
        .execute(
            (instance, context) ->
                new Run(instance.getData(), masters, media, store, sounds, transaction).run());
  }

  /** Where a master's file lies. */
  static Path fileOf(ContentStore store, long id) throws IOException {
    return store.derived("masters", id + ".mp4");
  }

  /** One attempt at one master. */
  private record Run(
      long id,
      Masters masters,
      Media media,
      ContentStore store,
      SoundSource sounds,
      TransactionTemplate transaction) {

    void run() {
      Master master = masters.findById(id).orElse(null);
      if (master == null || !master.state().isOpen()) {
        return;
      }
      update(Master::begin);
      try {
        StoredOrder order = master.order();
        Path file = fileOf(store, id);
        render(master, order, file);
        masters.enter(id, Master.State.CHECKING);
        Program program = order.program();
        MasterCheck check =
            MasterCheck.of(file, program.rate(), program.length(), program.plannedBlack());
        long size = Files.size(file);
        Master.State how = check.faults().isEmpty() ? Master.State.DONE : Master.State.DOUBTFUL;
        String said = check.faults().isEmpty() ? check.report() : String.join(" ", check.faults());
        update(m -> m.end(how, said, size));
      } catch (CancellationException e) {
        LOG.info("Master {} was cancelled.", id);
      } catch (InterruptedIOException e) {
        // The server is stopping; the next start goes on.
        throw new UncheckedIOException(e);
      } catch (IOException e) {
        LOG.warn("Master {} failed.", id, e);
        String said =
            Thread.currentThread().isInterrupted() ? null : "Not rendered: " + e.getMessage();
        if (said == null) {
          throw new UncheckedIOException(e);
        }
        update(m -> m.end(Master.State.FAILED, said, null));
      }
    }

    private void render(Master master, StoredOrder order, Path file) throws IOException {
      Program program = order.program();
      Map<String, Originals.Original> files = new HashMap<>();
      for (String hash : program.media()) {
        files.put(
            hash,
            new Originals.Original(store.path(hash), media.findById(hash).orElseThrow().facts()));
      }
      MasterRender render =
          new MasterRender(
              program,
              new Originals(files, program.rate()),
              master.quality(),
              store.derived("segments"));
      render.render(order.mix(), sounds, file, progress());
    }

    /** Tells the database now and then, and asks it whether the person has cancelled. */
    private MasterRender.Progress progress() {
      return new MasterRender.Progress() {
        private long told;
        private boolean cancelled;

        @Override
        public void frames(long done) {
          if (System.nanoTime() - told > TELL_EVERY_NANOS) {
            told = System.nanoTime();
            masters.progress(id, done);
            cancelled =
                masters.findById(id).map(m -> m.state() == Master.State.CANCELLED).orElse(true);
          }
        }

        @Override
        public boolean isCancelled() {
          return cancelled;
        }
      };
    }

    private void update(java.util.function.Consumer<Master> change) {
      transaction.executeWithoutResult(
          status ->
              masters
                  .findById(id)
                  .filter(m -> m.state() != Master.State.CANCELLED)
                  .ifPresent(change));
    }
  }
}
