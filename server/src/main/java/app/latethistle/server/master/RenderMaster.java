package app.latethistle.server.master;

import app.latethistle.core.mix.SoundSource;
import app.latethistle.core.render.Program;
import app.latethistle.media.ContentStore;
import app.latethistle.media.MasterCheck;
import app.latethistle.media.MasterRender;
import app.latethistle.media.Originals;
import app.latethistle.server.config.Job;
import app.latethistle.server.material.FilmSoundFiles;
import app.latethistle.server.material.Media;
import app.latethistle.server.stored.StoredOrder;
import com.github.kagkarlsson.scheduler.task.Task;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.Consumer;
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
  Task<Long> renderMaster(
      Masters masters,
      Media media,
      ContentStore store,
      FilmSoundFiles sounds,
      TransactionTemplate transaction) {
    return Job.of(
        "render-master",
        id -> {
          new Run(id, masters, media, store, sounds, transaction).run();
          return Optional.empty();
        },
        (id, why) ->
            transaction.executeWithoutResult(
                status ->
                    masters
                        .lock(id)
                        .filter(m -> m.state().isOpen())
                        .ifPresent(m -> m.end(Master.State.FAILED, "Not rendered: " + why, null))));
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

    void run() throws IOException {
      Master master = masters.findById(id).orElse(null);
      if (master == null || !master.state().isOpen()) {
        return;
      }
      update(Master::begin);
      try {
        StoredOrder order = master.order();
        Path file = fileOf(store, id);
        render(master, order, file);
        update(m -> m.enter(Master.State.CHECKING));
        Program program = order.program();
        MasterCheck check =
            MasterCheck.of(file, program.rate(), program.length(), program.plannedBlack());
        long size = Files.size(file);
        Master.State how = check.faults().isEmpty() ? Master.State.DONE : Master.State.DOUBTFUL;
        String said = check.faults().isEmpty() ? check.report() : String.join(" ", check.faults());
        update(m -> m.end(how, said, size));
      } catch (CancellationException e) {
        LOG.info("Master {} was cancelled.", id);
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

    private void update(Consumer<Master> change) {
      transaction.executeWithoutResult(
          status ->
              masters.lock(id).filter(m -> m.state() != Master.State.CANCELLED).ifPresent(change));
    }
  }
}
