package app.latethistle.server.master;

import app.latethistle.core.render.Program;
import app.latethistle.core.render.Span;
import app.latethistle.media.ClipPart;
import app.latethistle.media.ContentStore;
import app.latethistle.media.MasterCheck;
import app.latethistle.media.MasterRender;
import app.latethistle.media.MediaFacts;
import app.latethistle.media.Originals;
import app.latethistle.media.SoundTrack;
import app.latethistle.media.Speech;
import app.latethistle.server.material.Media;
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
import java.util.List;
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
      Masters masters, Media media, ContentStore store, TransactionTemplate transaction) {
    return Tasks.oneTime("render-master", Long.class)
        .onFailure(
            (complete, operations) ->
                operations.reschedule(complete, Instant.now().plus(Duration.ofSeconds(2))))
        .execute(
            (instance, context) ->
                new Run(instance.getData(), masters, media, store, transaction).run());
  }

  /** Where a master's file lies. */
  static Path fileOf(ContentStore store, long id) throws IOException {
    return store.derived("masters", id + ".mp4");
  }

  /** One attempt at one master. */
  private record Run(
      long id, Masters masters, Media media, ContentStore store, TransactionTemplate transaction) {

    void run() {
      Master master = masters.findById(id).orElse(null);
      if (master == null || !master.state().isOpen()) {
        return;
      }
      update(Master::begin);
      try {
        MasterOrder order = master.order();
        Path file = fileOf(store, id);
        render(master, order, file);
        masters.enter(id, Master.State.CHECKING);
        Program program = order.program();
        MasterCheck check = MasterCheck.of(file, program.rate(), program.length(), program.fade());
        long size = Files.size(file);
        Master.State how = check.faults().isEmpty() ? Master.State.DONE : Master.State.DOUBTFUL;
        String said = check.faults().isEmpty() ? report(check) : String.join(" ", check.faults());
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

    private static String report(MasterCheck check) {
      return String.format(
          "%d frames, picture %.3f s, sound %.3f s, no unplanned black.",
          check.frames(), check.seconds(), check.soundSeconds());
    }

    private void render(Master master, MasterOrder order, Path file) throws IOException {
      Program program = order.program();
      Map<String, Originals.Original> files = new HashMap<>();
      for (Span span : program.spans()) {
        files.computeIfAbsent(
            span.media(),
            hash ->
                new Originals.Original(
                    store.path(hash), media.findById(hash).orElseThrow().facts()));
      }
      MasterRender render =
          new MasterRender(
              program,
              new Originals(files, program.rate()),
              master.quality(),
              store.derived("segments"));
      render.render(sound(order), file, progress());
    }

    private SoundTrack sound(MasterOrder order) {
      Program program = order.program();
      long length = program.rate().sampleOf(program.length());
      long fade = program.rate().sampleOf(program.fade());
      List<Speech> voice = order.voice().stream().map(part -> part.speech(store)).toList();
      List<ClipPart> clips = order.clips().stream().map(clip -> clip.part(store)).toList();
      if (order.song().isEmpty()) {
        return new SoundTrack(null, null, 0, clips, voice, length, fade);
      }
      MediaFacts facts = media.findById(order.song()).orElseThrow().facts();
      return new SoundTrack(
          store.path(order.song()),
          facts.container(),
          order.songStart(),
          clips,
          voice,
          length,
          fade);
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
