package app.latethistle.server.subject;

import app.latethistle.media.ContentStore;
import app.latethistle.media.MediaFacts;
import app.latethistle.media.Probe;
import app.latethistle.media.RefusedMedia;
import app.latethistle.media.SubjectClip;
import app.latethistle.media.WorkFolder;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Lane;
import app.latethistle.server.material.Media;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.TakeRedrawn;
import app.latethistle.server.material.TakeWork;
import app.latethistle.server.material.TakeWorks;
import app.latethistle.server.material.Takes;
import app.latethistle.server.production.Productions;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.transaction.support.TransactionTemplate;

/** The job that cuts a take's subject out. */
@Configuration(proxyBeanMethods = false)
class CutSubject {

  @Bean("cut-subject")
  Job cutSubjectTask(
      SubjectCuts cuts,
      Takes takes,
      Productions productions,
      Media media,
      ContentStore store,
      ApplicationEventPublisher events,
      TransactionTemplate transaction) {
    Keeping keeping = new Keeping(cuts, takes, productions, media, store, events, transaction);
    return Job.of(
        Lane.DESK,
        "cut-subject",
        id -> cuts.findById(id).map(TakeWork::productionId),
        id -> {
          SubjectCutRow cut = cuts.findById(id).filter(TakeWork::isWorking).orElse(null);
          if (cut == null) {
            return Optional.empty();
          }
          TakeEntry take = takes.get(cut.productionId(), cut.takeId());
          try (WorkFolder work = WorkFolder.make()) {
            Path made = work.path().resolve("subject");
            SubjectClip.make(
                store.path(take.medium().hash()),
                take.medium().facts(),
                productions.get(take.productionId()).rate(),
                cut.guides(),
                made,
                share -> cuts.tell(id, share));
            keeping.keep(cut, made);
          } catch (RefusedMedia e) {
            keeping.failed(id, e.getMessage());
          } catch (TakeWorks.NotWanted e) {
            cuts.deleteById(id);
          }
          return Optional.empty();
        },
        (id, why) -> keeping.failed(id, "It could not be cut out: " + why));
  }

  /** What becomes of a cut. */
  private record Keeping(
      SubjectCuts cuts,
      Takes takes,
      Productions productions,
      Media media,
      ContentStore store,
      ApplicationEventPublisher events,
      TransactionTemplate transaction) {

    void keep(SubjectCutRow cut, Path made) throws IOException {
      MediaFacts facts = Probe.probe(made);
      ContentStore.Stored stored;
      try (InputStream in = Files.newInputStream(made)) {
        stored = store.put(in);
      }
      transaction.executeWithoutResult(
          status -> {
            productions.getLocked(cut.productionId());
            TakeEntry take = takes.get(cut.productionId(), cut.takeId());
            take.cutOut(media.enter(stored, facts), cut.guides());
            cuts.deleteById(cut.id());
            events.publishEvent(new TakeRedrawn(cut.productionId(), cut.takeId()));
          });
    }

    void failed(long id, String why) {
      transaction.executeWithoutResult(status -> cuts.findById(id).ifPresent(c -> c.fail(why)));
    }
  }
}
