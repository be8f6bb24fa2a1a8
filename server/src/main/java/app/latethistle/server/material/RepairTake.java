package app.latethistle.server.material;

import app.latethistle.core.time.FrameRate;
import app.latethistle.media.ContentStore;
import app.latethistle.media.MediaFacts;
import app.latethistle.media.RefusedMedia;
import app.latethistle.media.RepairedClip;
import app.latethistle.media.WorkFolder;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Lane;
import app.latethistle.server.production.Productions;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.transaction.support.TransactionTemplate;

/** The job that makes another take of one, with something put right in it. */
@Configuration(proxyBeanMethods = false)
class RepairTake {
  @Bean("repair-take")
  Job repairTakeTask(
      Repairs repairs,
      Takes takes,
      Productions productions,
      ContentStore store,
      ObjectProvider<BringIn> bringIn,
      TransactionTemplate transaction) {
    return Job.of(
        Lane.DESK,
        "repair-take",
        id -> repairs.findById(id).map(Repair::productionId),
        id -> {
          Repair repair = repairs.findById(id).orElse(null);
          if (repair == null || !repair.isWorking()) {
            return Optional.empty();
          }
          TakeEntry take = takes.get(repair.productionId(), repair.takeId());
          FrameRate rate = rate(take, productions.get(take.productionId()).rate());
          try (WorkFolder work = WorkFolder.make()) {
            Path made = work.path().resolve("made.mkv");
            RepairedClip.make(
                store.path(take.medium().hash()),
                take.medium().facts(),
                rate,
                repair.kind().mendings(repair.boxes(), take.measured(), repair.strength(), rate),
                made,
                share -> repairs.tell(id, share));
            bring(bringIn.getObject(), take, repair.kind(), made);
            repairs.deleteById(id);
          } catch (RefusedMedia e) {
            failed(repairs, transaction, id, e.getMessage());
          } catch (TakeWorks.NotWanted e) {
            repairs.deleteById(id);
          }
          return Optional.empty();
        },
        (id, why) -> failed(repairs, transaction, id, "It could not be made: " + why));
  }

  /** Its own rate, so that nothing of it is lost; the film's if its pictures come unevenly. */
  private static FrameRate rate(TakeEntry take, FrameRate film) {
    MediaFacts facts = take.medium().facts();
    return facts.variable() ? film : facts.rate().orElse(film);
  }

  private static void bring(BringIn bringIn, TakeEntry take, RepairKind kind, Path made)
      throws IOException {
    try (InputStream in = Files.newInputStream(made)) {
      bringIn.bringMade(
          take.productionId(),
          take.shotId(),
          kind.nameOf(take.fileName()),
          in,
          new BringIn.Origin(take.service(), take.prompt(), take.seed(), /* cost= */ 0));
    }
  }

  private static void failed(
      Repairs repairs, TransactionTemplate transaction, long id, String why) {
    transaction.executeWithoutResult(
        status -> repairs.findById(id).ifPresent(repair -> repair.fail(why)));
  }
}
