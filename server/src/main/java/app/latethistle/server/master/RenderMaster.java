package app.latethistle.server.master;

import app.latethistle.core.check.FileChecks;
import app.latethistle.core.check.Verdict;
import app.latethistle.core.release.Encoding;
import app.latethistle.core.render.Segment;
import app.latethistle.media.FileCheck;
import app.latethistle.media.MasterRender;
import app.latethistle.media.PictureFileCheck;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Jobs;
import app.latethistle.server.jobs.Lane;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The job that makes a master of its parts: it queues those that are not made, comes back when they
 * are, joins them and checks the file.
 */
@Configuration(proxyBeanMethods = false)
class RenderMaster {
  private static final Logger LOG = LoggerFactory.getLogger(RenderMaster.class);

  /** When to look again, should nobody say that the last part is made. */
  private static final Duration LOOK = Duration.ofSeconds(5);

  @Bean("render-master")
  Job renderMaster(
      Masters masters,
      MasterParts parts,
      MasterOrders orders,
      MasterEnds ends,
      ObjectProvider<Jobs> jobs,
      @Qualifier("render-part") Job renderPart,
      TransactionTemplate transaction) {
    return Job.of(
        Lane.DESK,
        "render-master",
        id -> masters.findById(id).map(Master::productionId),
        id -> {
          Sharing sharing = new Sharing(masters, parts, orders, jobs.getObject(), renderPart);
          return switch (transaction.execute(status -> sharing.look(id))) {
            case PARTS_LEFT -> Optional.of(Instant.now().plus(LOOK));
            case MADE -> {
              finish(masters.findById(id).orElseThrow(), masters, orders, ends);
              yield Optional.empty();
            }
            case ENDED -> Optional.empty();
          };
        },
        ends::fail);
  }

  /** How far the parts of a master are. */
  private enum Stage {
    PARTS_LEFT,
    MADE,
    /** The master has ended, one way or another. */
    ENDED
  }

  /** Shares a master out in parts. */
  private record Sharing(
      Masters masters, MasterParts parts, MasterOrders orders, Jobs jobs, Job renderPart) {

    /** Looks how far the parts are; those that are not made are queued. */
    Stage look(long id) {
      Master master = masters.lock(id).filter(m -> m.state().isOpen()).orElse(null);
      if (master == null) {
        return Stage.ENDED;
      }
      MasterRender render = orders.render(master);
      List<Segment> segments = render.segments();
      if (master.state() == Master.State.WAITING) {
        master.begin();
        List<MasterPart> all = new ArrayList<>();
        int first = master.encoding().hasSound() ? MasterPart.SOUND : 0;
        int end = master.encoding().hasPictures() ? segments.size() : 0;
        for (int place = first; place < end; place++) {
          all.add(new MasterPart(id, place));
        }
        parts.saveAll(all);
      }
      Stage stage = Stage.MADE;
      for (MasterPart part : parts.findByMasterIdOrderByPlace(id)) {
        boolean sound = part.place() == MasterPart.SOUND;
        Segment segment = sound ? null : segments.get(part.place());
        boolean its = sound ? Files.exists(orders.soundOf(master)) : render.isMade(segment);
        part.found(its, its && !sound ? segment.range().length() : 0);
        if (!its) {
          stage = Stage.PARTS_LEFT;
          jobs.enqueue(renderPart, part.id());
        }
      }
      if (stage == Stage.MADE) {
        master.check();
      }
      return stage;
    }
  }

  /** Notes how far a file is written, and whether it is still wanted. */
  private static final class Writing implements MasterRender.Progress {
    private final long id;
    private final Masters masters;
    private long noted;

    Writing(long id, Masters masters) {
      this.id = id;
      this.masters = masters;
    }

    @Override
    public void frames(long done) {
      if (done != noted) {
        masters.written(id, done);
        noted = done;
      }
    }

    @Override
    public boolean isCancelled() {
      return !masters.findById(id).map(m -> m.state().isOpen()).orElse(false);
    }
  }

  private static void finish(Master master, Masters masters, MasterOrders orders, MasterEnds ends)
      throws IOException {
    try {
      orders.write(master, new Writing(master.id(), masters));
    } catch (CancellationException e) {
      LOG.debug("Master {} was cancelled while it was written.", master.id());
      return;
    }
    Path file = orders.fileOf(master);
    FileCheck check =
        master.encoding().holds() == Encoding.Holds.PICTURES
            ? PictureFileCheck.of(file, master.encoding(), master.frames())
            : FileCheck.of(
                file, FileChecks.Wanted.of(master.order().program(), master.order().aim()));
    ends.end(
        master.id(),
        check.passes() ? Master.State.DONE : Master.State.DOUBTFUL,
        said(check),
        Files.size(file));
  }

  /** What must be put right, else what to look at and what is fine. */
  private static String said(FileCheck check) {
    if (!check.passes()) {
      return check.inWords(Verdict.MUST);
    }
    String look = check.inWords(Verdict.LOOK);
    return look.isEmpty() ? check.report() : check.report() + ". Look at: " + look;
  }
}
