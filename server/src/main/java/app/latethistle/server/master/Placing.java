package app.latethistle.server.master;

import app.latethistle.core.Refused;
import app.latethistle.core.release.Encoding;
import app.latethistle.media.Encoders;
import app.latethistle.media.Tags;
import app.latethistle.media.ZipWriter;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Jobs;
import app.latethistle.server.release.Releases;
import app.latethistle.server.stored.StoredTags;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.stereotype.Component;

/** Places orders: a master of an output, and the job that makes it. */
@ServerOnly
@Component
class Placing {
  private final Masters masters;
  private final MasterParts parts;
  private final MasterOrders orders;
  private final MasterEnds ends;
  private final Releases releases;
  private final Jobs jobs;
  private final Job renderMaster;
  private final Job renderPart;
  private final Encoders encoders;

  Placing(
      Masters masters,
      MasterParts parts,
      MasterOrders orders,
      MasterEnds ends,
      Releases releases,
      Jobs jobs,
      @Qualifier("render-master") Job renderMaster,
      @Qualifier("render-part") Job renderPart,
      Encoders encoders) {
    this.masters = masters;
    this.parts = parts;
    this.orders = orders;
    this.ends = ends;
    this.releases = releases;
    this.jobs = jobs;
    this.renderMaster = renderMaster;
    this.renderPart = renderPart;
    this.encoders = encoders;
  }

  /**
   * Orders an output of a film, in the transaction that asks.
   *
   * @param id of the output, if it is one that is kept
   */
  Master place(Ordering ordering, Optional<Long> id) {
    FilmState state = ordering.state();
    if (!encoders.isWritten(ordering.output().encoding())) {
      throw new Refused(
          "The ffmpeg of this machine does not write "
              + ordering.output().encoding().label()
              + "; choose another way of writing it.");
    }
    // One that is ordered beside the outputs says nothing of itself: it is the film's bare bytes.
    Tags tags = id.isPresent() ? releases.tags(state, ordering.part()) : Tags.NONE;
    Master master =
        masters.save(new Master(state.production().id(), id, ordering, StoredTags.of(tags)));
    if (master.encoding() == Encoding.CAPTIONS) {
      writeCaptions(master, ordering);
    } else {
      jobs.enqueue(renderMaster, master.id());
    }
    return master;
  }

  /** Has a master rendered before all others that wait. */
  void first(long id) {
    jobs.hurry(renderMaster, id);
    jobs.first(
        renderPart,
        parts.findByMasterIdOrderByPlace(id).stream()
            .filter(part -> !part.isDone())
            .map(MasterPart::id)
            .toList());
  }

  private void writeCaptions(Master master, Ordering ordering) {
    List<Ordering.CaptionFile> files = ordering.captionFiles();
    Path file = orders.fileOf(master);
    try {
      try (ZipWriter zip = new ZipWriter(Files.newOutputStream(file))) {
        for (Ordering.CaptionFile one : files) {
          zip.text(one.name(), one.text());
        }
      }
      ends.end(master.id(), Master.State.DONE, files.size() + " files", Files.size(file));
    } catch (IOException e) {
      throw new UncheckedIOException("The captions could not be written.", e);
    }
  }

  /** The places of the segments that are made for a master and not kept from another. */
  Set<Integer> madeFor(Master master) {
    return parts.findByMasterIdOrderByPlace(master.id()).stream()
        .filter(MasterPart::isNew)
        .map(MasterPart::place)
        .collect(Collectors.toSet());
  }
}
