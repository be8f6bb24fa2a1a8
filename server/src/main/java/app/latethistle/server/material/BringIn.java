package app.latethistle.server.material;

import app.latethistle.core.Refused;
import app.latethistle.core.music.BeatTracker;
import app.latethistle.core.music.SungPart;
import app.latethistle.core.take.Gathering;
import app.latethistle.core.take.PictureShape;
import app.latethistle.media.ContentStore;
import app.latethistle.media.MediaFacts;
import app.latethistle.media.Probe;
import app.latethistle.media.RefusedMedia;
import app.latethistle.media.StillPicture;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Jobs;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Brings one file into a production: into the store, probed, and under its shot or as a song. */
@Service
public class BringIn {
  private final ContentStore store;
  private final Productions productions;
  private final Media media;
  private final Shots shots;
  private final Takes takes;
  private final Songs songs;
  private final Refusals refusals;
  private final Picks picks;
  private final Jobs jobs;
  private final Job prepareTake;
  private final Job listenToSong;
  private final TransactionTemplate transaction;

  BringIn(
      ContentStore store,
      Productions productions,
      Media media,
      Shots shots,
      Takes takes,
      Songs songs,
      Refusals refusals,
      Picks picks,
      Jobs jobs,
      @Qualifier("prepare-take") Job prepareTake,
      @Qualifier("listen-to-song") Job listenToSong,
      TransactionTemplate transaction) {
    this.store = store;
    this.productions = productions;
    this.media = media;
    this.shots = shots;
    this.takes = takes;
    this.songs = songs;
    this.refusals = refusals;
    this.picks = picks;
    this.jobs = jobs;
    this.prepareTake = prepareTake;
    this.listenToSong = listenToSong;
    this.transaction = transaction;
  }

  /**
   * What became of a file.
   *
   * @param says what there is to say of that, in a sentence, or ""
   */
  public record Arrived(Became became, String says) {
    static Arrived as(Became became) {
      return new Arrived(became, "");
    }
  }

  /** What a file is now. */
  public enum Became {
    TAKE,
    SONG,
    /** The production has it already. */
    KNOWN
  }

  /** Where a take that was made comes from. */
  public record Origin(String service, String prompt, long seed, double cost) {}

  /**
   * Brings a file in under a shot the person says, whatever its name.
   *
   * @throws RefusedMedia if it cannot be used; the refusal is also kept with the production
   */
  public Arrived bringInTo(long productionId, long shotId, String path, InputStream bytes)
      throws IOException {
    return bringIn(productionId, path, bytes, shotId, null);
  }

  /** Brings in what a service made for a shot. */
  public Arrived bringMade(
      long productionId, long shotId, String name, InputStream bytes, Origin origin)
      throws IOException {
    return bringIn(productionId, name, bytes, shotId, origin);
  }

  /**
   * Brings a file in.
   *
   * @param path its name, perhaps with folders before it
   * @throws RefusedMedia if it cannot be used; the refusal is also kept with the production
   */
  public Arrived bringIn(long productionId, String path, InputStream bytes) throws IOException {
    return bringIn(productionId, path, bytes, null, null);
  }

  private Arrived bringIn(
      long productionId, String path, InputStream bytes, Long shotId, Origin origin)
      throws IOException {
    String name = path.substring(path.lastIndexOf('/') + 1);
    Probed probed = probe(productionId, name, bytes);
    return transaction.execute(status -> enter(productionId, name, probed, shotId, origin));
  }

  /**
   * A file in the store and what it holds.
   *
   * @param says what was done to it on the way in, or ""
   */
  private record Probed(ContentStore.Stored stored, MediaFacts facts, String says) {}

  /**
   * Brings in a file that is used for its sound alone.
   *
   * @throws RefusedMedia if it has no sound; the refusal is also kept with the production
   */
  public Medium bringInSound(long productionId, String name, InputStream bytes) throws IOException {
    Probed probed = probe(productionId, name, bytes);
    if (!probed.facts().sound()) {
      throw new RefusedMedia(name + " has no sound.");
    }
    return transaction.execute(
        status -> {
          productions.getLocked(productionId);
          return entered(name, probed.stored(), probed.facts());
        });
  }

  private Probed probe(long productionId, String name, InputStream bytes) throws IOException {
    productions.get(productionId);
    ContentStore.Stored stored = store.put(bytes);
    try {
      return workable(new Probed(stored, facts(stored), ""));
    } catch (RefusedMedia e) {
      if (stored.isNew()) {
        store.remove(stored.hash());
      }
      transaction.executeWithoutResult(
          status -> refusals.save(new Refusal(productionId, name, e.getMessage())));
      throw e;
    }
  }

  /** A large still is kept at a size that can be worked with. */
  private Probed workable(Probed large) throws IOException {
    if (!StillPicture.isLarge(large.facts())) {
      return large;
    }
    byte[] smaller = StillPicture.reduced(large.stored().path(), large.facts());
    ContentStore.Stored stored = store.put(new ByteArrayInputStream(smaller));
    MediaFacts facts = facts(stored);
    if (large.stored().isNew()) {
      store.remove(large.stored().hash());
    }
    String says = "made smaller, " + size(large.facts()) + " to " + size(facts);
    return new Probed(stored, facts, says);
  }

  private static String size(MediaFacts facts) {
    PictureShape shape = facts.shape().orElseThrow();
    return shape.width() + "\u00d7" + shape.height();
  }

  private MediaFacts facts(ContentStore.Stored stored) throws IOException {
    Optional<Medium> known = media.findById(stored.hash());
    return known.isPresent() ? known.get().facts() : Probe.probe(stored.path());
  }

  /** Brings in a song that was made, and keeps where its maker says that somebody sings. */
  void bringSong(long productionId, String name, InputStream bytes, List<SungPart> sung)
      throws IOException {
    Probed probed = probe(productionId, name, bytes);
    transaction.executeWithoutResult(
        status -> {
          enter(productionId, name, probed, null, null);
          songs.findByProductionIdOrderById(productionId).stream()
              .filter(s -> s.medium().hash().equals(probed.stored().hash()))
              .forEach(s -> s.sungIn(sung));
        });
  }

  private Arrived enter(long productionId, String name, Probed probed, Long shotId, Origin origin) {
    // The lock keeps two files of one shot that arrive together from making the shot twice.
    Production production = productions.getLocked(productionId);
    MediaFacts facts = probed.facts();
    Medium medium = entered(name, probed.stored(), facts);
    if (facts.kind() == MediaFacts.Kind.SOUND) {
      return enterSong(production, name, medium);
    }
    Optional<TakeEntry> known =
        takes.findByProductionIdOrderById(productionId).stream()
            .filter(t -> t.medium().hash().equals(medium.hash()))
            .filter(t -> t.state() != State.REFUSED && !t.isPlaceholder())
            .findFirst();
    if (known.isPresent()) {
      Shot where = shots.get(productionId, known.get().shotId());
      return new Arrived(Became.KNOWN, "as take " + known.get().number() + " of " + where.called());
    }
    Gathering.Clip clip = Gathering.Clip.of(name);
    Shot shot =
        shotId == null
            ? shotFor(productionId, Gathering.ShotKey.of(clip), clip)
            : shots.get(productionId, shotId);
    int number = shotId == null ? clip.name().take() : nextNumber(shot);
    TakeEntry take = new TakeEntry(shot, number, name, medium, facts.framesAt(production.rate()));
    if (origin != null) {
      take.madeBy(origin);
    }
    if (!probed.says().isEmpty()) {
      take.note(capital(probed.says()) + ".");
    }
    takes.save(take);
    picks.refresh(shot);
    jobs.enqueue(prepareTake, take.id());
    return new Arrived(Became.TAKE, probed.says());
  }

  private Medium entered(String name, ContentStore.Stored stored, MediaFacts facts) {
    Medium medium = media.enter(stored, facts);
    if (!Files.exists(stored.path())) {
      throw new Refused(name + " was just being cleared from the store; bring it in again.");
    }
    return medium;
  }

  private int nextNumber(Shot shot) {
    return takes.findByShotIdOrderByNumberAscIdAsc(shot.id()).stream()
            .filter(t -> !t.isPlaceholder())
            .mapToInt(TakeEntry::number)
            .max()
            .orElse(0)
        + 1;
  }

  private Arrived enterSong(Production production, String name, Medium medium) {
    List<Song> existing = songs.findByProductionIdOrderById(production.id());
    for (Song song : existing) {
      if (song.medium().hash().equals(medium.hash())) {
        return new Arrived(Became.KNOWN, "as the song " + song.title());
      }
    }
    double seconds = medium.facts().seconds();
    if (seconds < BeatTracker.SHORTEST_SONG) {
      throw new Refused(
          String.format(
              Locale.ROOT,
              "%s lasts %.1f s; a song lasts %.1f s or more.",
              name,
              seconds,
              BeatTracker.SHORTEST_SONG));
    }
    Song song = songs.save(new Song(production.id(), titleOf(name), medium));
    if (production.songId() == null) {
      production.chooseSong(song.id());
    }
    jobs.enqueue(listenToSong, song.id());
    return Arrived.as(Became.SONG);
  }

  /** A file's name as a title; a name of signs alone is none. */
  private static String titleOf(String name) {
    int dot = name.lastIndexOf('.');
    String title = (dot > 0 ? name.substring(0, dot) : name).replace('_', ' ').strip();
    return title.isEmpty() ? "Song" : capital(title);
  }

  private static String capital(String text) {
    return Character.toUpperCase(text.charAt(0)) + text.substring(1);
  }

  private Shot shotFor(long productionId, Gathering.ShotKey key, Gathering.Clip clip) {
    return shots.findByProductionIdOrderById(productionId).stream()
        .filter(shot -> shot.key().equals(key))
        .findFirst()
        .orElseGet(() -> shots.save(new Shot(productionId, key, clip.name().title())));
  }
}
