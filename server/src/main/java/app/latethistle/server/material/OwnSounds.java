package app.latethistle.server.material;

import app.latethistle.core.Refused;
import app.latethistle.core.signal.SoundFacts;
import app.latethistle.core.time.Samples;
import app.latethistle.media.ContentStore;
import app.latethistle.media.MediaFacts;
import app.latethistle.media.Probe;
import app.latethistle.media.RefusedMedia;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.stored.Embedded;
import app.latethistle.server.stored.SoundFile;
import app.latethistle.server.stored.StoredSound;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.util.Base64;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Sounds of productions' own, as they go from one to another with their files. */
@ServerOnly
@Component
public class OwnSounds {
  /** In seconds; what is longer is of one film (no source). */
  private static final double LONGEST = 30;

  private final SoundRows rows;
  private final Media media;
  private final ContentStore store;

  OwnSounds(SoundRows rows, Media media, ContentStore store) {
    this.rows = rows;
    this.media = media;
    this.store = store;
  }

  /**
   * Those of a production, up to 30 s long, among some files.
   *
   * @param files their hashes
   */
  public List<SoundFile> of(long productionId, Set<String> files) {
    return rows.findByProductionIdOrderById(productionId).stream()
        .filter(row -> files.contains(row.mediumHash()))
        .filter(row -> Samples.toSeconds(row.facts().length()) <= LONGEST)
        .map(this::file)
        .toList();
  }

  private SoundFile file(SoundRow row) {
    try {
      byte[] bytes = Files.readAllBytes(store.path(row.mediumHash()));
      return new SoundFile(
          row.name(),
          row.kind(),
          row.words(),
          row.source(),
          row.rights(),
          Embedded.of(StoredSound.write(row.facts())),
          Base64.getEncoder().encodeToString(bytes));
    } catch (IOException e) {
      throw new UncheckedIOException("The sound " + row.name() + " could not be read.", e);
    }
  }

  /**
   * Gives them to a production that has them not.
   *
   * @throws IllegalArgumentException if one is no sound, with a sentence for the person
   */
  public void bringIn(long productionId, Collection<SoundFile> sounds) {
    for (SoundFile sound : sounds) {
      try {
        bringIn(productionId, sound);
      } catch (RefusedMedia e) {
        throw (Refused)
            new Refused("The sound “" + sound.name() + "”: " + e.getMessage()).initCause(e);
      } catch (IOException e) {
        throw new UncheckedIOException("The sound " + sound.name() + " could not be kept.", e);
      }
    }
  }

  private void bringIn(long productionId, SoundFile sound) throws IOException {
    ContentStore.Stored stored = store.put(new ByteArrayInputStream(sound.bytes()));
    if (!rows.of(productionId, stored.hash()).isEmpty()) {
      return;
    }
    MediaFacts facts = Probe.probe(stored.path());
    if (!facts.sound()) {
      throw new RefusedMedia("there is nothing to be heard in its file.");
    }
    SoundFacts measured = StoredSound.read(Embedded.text(sound.facts(), "{}"));
    rows.save(
        new SoundRow(
            productionId,
            media.enter(stored, facts).hash(),
            new SoundRow.Said(
                sound.name(), sound.kind(), sound.words(), sound.source(), sound.rights()),
            measured));
  }
}
