package app.latethistle.server.material;

import app.latethistle.core.Refused;
import app.latethistle.core.signal.SoundFacts;
import app.latethistle.core.sound.SoundWords;
import app.latethistle.core.time.Samples;
import app.latethistle.media.ContentStore;
import app.latethistle.media.MediaFacts;
import app.latethistle.media.Probe;
import app.latethistle.media.RefusedMedia;
import app.latethistle.media.SongDecoder;
import app.latethistle.media.StandInEncoder;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.production.Productions;
import app.latethistle.standins.effects.EffectMaker;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The sounds that can be laid. Those that come with the application are made by the effect maker
 * when somebody first looks for a sound, in the background; a person's own are brought in or asked
 * for in words.
 */
@ServerOnly
@Component
public class SoundShelf {
  private static final Logger LOG = LoggerFactory.getLogger(SoundShelf.class);

  /** Longer files are songs, and their spectra would not fit into memory: ten minutes. */
  private static final double LONGEST = 600;

  private static final int SHOWN = 60;

  private final SoundRows rows;
  private final Media media;
  private final ContentStore store;
  private final BringIn bringIn;
  private final SoundOutlines outlines;
  private final Productions productions;
  private final TransactionTemplate transaction;
  private Thread making;

  SoundShelf(
      SoundRows rows,
      Media media,
      ContentStore store,
      BringIn bringIn,
      SoundOutlines outlines,
      Productions productions,
      TransactionTemplate transaction) {
    this.rows = rows;
    this.media = media;
    this.store = store;
    this.bringIn = bringIn;
    this.outlines = outlines;
    this.productions = productions;
    this.transaction = transaction;
  }

  /** How many sounds of the shelf there are, and how many there will be. */
  public record Made(int made, int all) {}

  /** Begins to make what of the shelf is missing, unless it is being made. */
  public synchronized Made begin() {
    int all = EffectMaker.shelf().size();
    int made = (int) rows.countByProductionIdIsNull();
    if (made < all && (making == null || !making.isAlive())) {
      making = new Thread(() -> EffectMaker.shelf().forEach(this::made), "sounds");
      making.setDaemon(true);
      making.start();
    }
    return new Made(made, all);
  }

  /** A sound of the shelf, made now if it is not there; empty if it cannot be. */
  public Optional<SoundRow> made(String name) {
    return EffectMaker.shelf().stream()
        .filter(sound -> sound.name().equals(name))
        .findFirst()
        .flatMap(this::made);
  }

  private Optional<SoundRow> made(EffectMaker.Known sound) {
    Optional<SoundRow> there = rows.findByProductionIdIsNullAndName(sound.name());
    if (there.isPresent()) {
      return there;
    }
    try {
      return Optional.of(keep(null, EffectMaker.make(sound.number()), "made by the effect maker"));
    } catch (IOException | RuntimeException e) {
      LOG.warn("The sound '{}' could not be made; it is tried again later.", sound.name(), e);
      return Optional.empty();
    }
  }

  private SoundRow keep(Long productionId, EffectMaker.Made made, String source)
      throws IOException {
    Path file = Files.createTempFile("sound", ".flac");
    try {
      StandInEncoder.flac(file, made.stereo());
      try (InputStream in = Files.newInputStream(file)) {
        ContentStore.Stored stored = store.put(in);
        MediaFacts facts = Probe.probe(stored.path());
        outlines.keep(stored.hash(), made.stereo());
        return keep(
            productionId,
            () -> media.enter(stored, facts).hash(),
            new SoundRow.Said(made.name(), made.kind(), made.words(), source, "own"),
            SoundFacts.of(made.stereo()));
      }
    } finally {
      Files.deleteIfExists(file);
    }
  }

  /** What enters a file among the media, in the transaction that keeps its sound. */
  private interface Entering {
    String hash();
  }

  private SoundRow keep(
      Long productionId, Entering entering, SoundRow.Said said, SoundFacts facts) {
    return transaction.execute(
        status -> {
          String hash = entering.hash();
          long of = productionId == null ? 0 : productionId;
          return rows.of(of, hash).stream()
              .findFirst()
              .orElseGet(() -> rows.save(new SoundRow(productionId, hash, said, facts)));
        });
  }

  /**
   * Brings a sound in.
   *
   * @param source where it comes from, for people
   * @param rights under which it may be used
   * @throws app.latethistle.media.RefusedMedia if it has no sound
   */
  SoundRow bringIn(long productionId, String name, String source, String rights, InputStream bytes)
      throws IOException {
    Medium medium;
    try {
      medium = bringIn.bringInSound(productionId, name, bytes);
    } catch (RefusedMedia e) {
      boolean named = e.getMessage().startsWith(name);
      throw named ? e : new RefusedMedia(name + ": " + e.getMessage());
    }
    if (medium.facts().seconds() > LONGEST) {
      throw new Refused(
          name
              + " is longer than ten minutes; bring it in as a song, or cut what is wanted of it.");
    }
    SoundFacts facts =
        SoundFacts.of(SongDecoder.stereo(store.path(medium.hash()), medium.facts().container()));
    String called = FileStem.of(name).replace('_', ' ');
    return keep(
        productionId,
        medium::hash,
        new SoundRow.Said(called, kindOf(facts), List.of(), source, rights),
        facts);
  }

  /** What can go on is a bed, what strikes a hit. */
  private static String kindOf(SoundFacts facts) {
    if (facts.loop().isPresent()) {
      return "BED";
    }
    return facts.strikes().isEmpty() ? "MOVE" : "HIT";
  }

  /** Has sounds made that words ask for. */
  List<SoundRow> ask(long productionId, String words) throws IOException {
    if (words == null || SoundWords.of(words).isEmpty()) {
      throw new Refused("Say in words what is to be heard, such as 'old door, slow creak, 2 s'.");
    }
    productions.get(productionId);
    List<SoundRow> made = new ArrayList<>();
    long seed = words.strip().hashCode() + rows.count();
    for (EffectMaker.Made sound : EffectMaker.ask(words, seed)) {
      made.add(keep(productionId, sound, "asked for: " + words.strip()));
    }
    return made;
  }

  /**
   * Sounds that fit.
   *
   * @param words sought; all if there are none
   * @param kind of them; null for any
   * @param like the sound they are to be like; null for any
   * @param shortest and longest in seconds
   */
  List<SoundRow> find(
      long productionId, String words, String kind, Long like, double shortest, double longest) {
    SoundWords wanted = SoundWords.of(words == null ? "" : words);
    Optional<SoundRow> model = like == null ? Optional.empty() : rows.get(productionId, like);
    return rows.heardIn(productionId).stream()
        .filter(s -> kind == null || s.kind().equals(kind))
        .filter(s -> within(s.facts(), shortest, longest))
        .filter(s -> model.isEmpty() || !s.id().equals(like))
        .map(s -> new Fit(s, away(s, wanted, model)))
        .filter(f -> wanted.isEmpty() || model.isPresent() || f.away < 0)
        .sorted(Comparator.comparingDouble(Fit::away).thenComparing(f -> f.sound.name()))
        .limit(SHOWN)
        .map(Fit::sound)
        .toList();
  }

  private static boolean within(SoundFacts facts, double shortest, double longest) {
    double seconds = Samples.toSeconds(facts.length());
    return seconds >= shortest && seconds <= longest;
  }

  /** A sound and how far it is from what is sought; below 0 the better words fit. */
  private record Fit(SoundRow sound, double away) {}

  private static double away(SoundRow sound, SoundWords wanted, Optional<SoundRow> model) {
    return model.isPresent() ? sound.facts().unlike(model.get().facts()) : -score(wanted, sound);
  }

  private static double score(SoundWords wanted, SoundRow sound) {
    return wanted.score(sound.name(), sound.words());
  }

  /** The sounds that a production may lay, for many questions at once. */
  public Catalogue catalogue(long productionId) {
    return new Catalogue(rows.heardIn(productionId));
  }

  /** Sounds that are looked into several times. */
  public static final class Catalogue {
    private final List<SoundRow> sounds;

    private Catalogue(List<SoundRow> sounds) {
      this.sounds = sounds;
    }

    /** The sound that fits words best; empty if none does. */
    public Optional<SoundRow> best(String words) {
      SoundWords wanted = SoundWords.of(words);
      SoundRow best = null;
      double most = 0;
      for (SoundRow sound : sounds) {
        double fits = score(wanted, sound);
        if (fits > most) {
          most = fits;
          best = sound;
        }
      }
      return Optional.ofNullable(best);
    }

    /** Whether a sound is what words mean. */
    public boolean isMeant(String words, String mediumHash) {
      SoundWords wanted = SoundWords.of(words);
      return of(mediumHash).filter(s -> score(wanted, s) >= 1).isPresent();
    }

    /** The first sound whose name is one, both as some rule folds them. */
    public Optional<SoundRow> called(String name, UnaryOperator<String> folding) {
      return sounds.stream().filter(s -> folding.apply(s.name()).equals(name)).findFirst();
    }

    /** The sound of a file; empty if it is not on the shelf. */
    public Optional<SoundRow> of(String hash) {
      return sounds.stream().filter(s -> s.mediumHash().equals(hash)).findFirst();
    }
  }

  /**
   * A sound that a production may lay.
   *
   * @throws IllegalArgumentException if there is none, with a sentence for the person
   */
  public SoundRow get(long productionId, long id) {
    return rows.get(productionId, id)
        .orElseThrow(() -> new Refused("That sound is not on the shelf any more."));
  }
}
