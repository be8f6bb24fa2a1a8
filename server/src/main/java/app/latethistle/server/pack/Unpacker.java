package app.latethistle.server.pack;

import app.latethistle.core.FirstFew;
import app.latethistle.core.Refused;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRate;
import app.latethistle.document.BrokenDocument;
import app.latethistle.document.ProductionDocument;
import app.latethistle.document.ProductionDocument.PackedFile;
import app.latethistle.media.ContentStore;
import app.latethistle.media.PackedZip;
import app.latethistle.media.Probe;
import app.latethistle.media.RefusedMedia;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.history.History;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

/** Brings packed productions in. */
@ServerOnly
@Component
public class Unpacker {
  /** Missing files that are named. */
  private static final int NAMED = 10;

  private final Productions productions;
  private final ContentStore store;
  private final History history;
  private final ObjectProvider<PackedPart> parts;
  private final TransactionTemplate transaction;

  Unpacker(
      Productions productions,
      ContentStore store,
      History history,
      ObjectProvider<PackedPart> parts,
      TransactionTemplate transaction) {
    this.productions = productions;
    this.store = store;
    this.history = history;
    this.parts = parts;
    this.transaction = transaction;
  }

  /**
   * Brings a packed production in as one more.
   *
   * @throws RefusedMedia if the zip is not what it should be; nothing of it stays
   */
  public Production unpack(Path file) throws IOException {
    List<String> isNew = new ArrayList<>();
    try (PackedZip zip = PackedZip.open(file)) {
      ProductionDocument document = read(zip);
      Map<String, Arrivals.File> files = files(zip, document, isNew);
      return transaction.execute(status -> make(document, new Arrivals(files)));
    } catch (IOException | RuntimeException e) {
      for (String hash : isNew) {
        store.remove(hash);
      }
      throw e;
    }
  }

  private static ProductionDocument read(PackedZip zip) throws IOException {
    if (!zip.has(ProductionDocument.NAME)) {
      throw new RefusedMedia(
          "This zip is no packed production: it has no " + ProductionDocument.NAME + ".");
    }
    try {
      return ProductionDocument.read(zip.text(ProductionDocument.NAME, ProductionDocument.LONGEST));
    } catch (BrokenDocument e) {
      throw (RefusedMedia)
          new RefusedMedia(ProductionDocument.NAME + " in the zip: " + e.getMessage()).initCause(e);
    }
  }

  private Map<String, Arrivals.File> files(
      PackedZip zip, ProductionDocument document, List<String> isNew) throws IOException {
    long all = 0;
    for (PackedFile file : document.files()) {
      all = Math.addExact(all, file.path() == null ? 0 : file.bytes());
    }
    store.requireRoom("The packed production", all);
    Map<String, Arrivals.File> files = new HashMap<>();
    List<String> missing = new ArrayList<>();
    for (PackedFile file : document.files()) {
      if (file.path() == null && !Files.exists(store.path(file.sha256()))) {
        missing.add(file.name());
        continue;
      }
      ContentStore.Stored stored = file.path() == null ? here(file) : stored(zip, file, isNew);
      try {
        files.put(file.sha256(), new Arrivals.File(stored, Probe.probe(stored.path())));
      } catch (RefusedMedia e) {
        throw (RefusedMedia) new RefusedMedia(file.name() + ": " + e.getMessage()).initCause(e);
      }
    }
    if (!missing.isEmpty()) {
      throw new RefusedMedia(
          "The production was packed without its files, and these are not here: "
              + FirstFew.of(missing, NAMED, ", ")
              + ". Pack it with its files, or bring them into another production first.");
    }
    return files;
  }

  private ContentStore.Stored here(PackedFile file) throws IOException {
    Path path = store.path(file.sha256());
    return new ContentStore.Stored(file.sha256(), Files.size(path), path, /* isNew= */ false);
  }

  private ContentStore.Stored stored(PackedZip zip, PackedFile file, List<String> isNew)
      throws IOException {
    ContentStore.Stored stored;
    try (InputStream in = zip.read(file.path(), file.bytes())) {
      stored = store.put(in);
    }
    if (stored.isNew()) {
      isNew.add(stored.hash());
    }
    PackedZip.requireHash(file.path(), file.sha256(), stored.hash());
    return stored;
  }

  private Production make(ProductionDocument document, Arrivals arrivals) {
    Production made =
        productions.saveAndFlush(
            new Production(
                document.title(),
                PictureShape.of(document.picture().width(), document.picture().height()),
                FrameRate.parse(document.rate()),
                document.seconds()));
    parts
        .orderedStream()
        .forEach(
            part -> {
              JsonNode packed = document.parts().get(part.name());
              if (packed != null) {
                unpack(part, made, packed, arrivals);
              }
            });
    history.begin(made.id());
    return made;
  }

  private static void unpack(PackedPart part, Production made, JsonNode packed, Arrivals arrivals) {
    try {
      part.unpack(made, packed, arrivals);
    } catch (IllegalArgumentException | IllegalStateException e) {
      throw new Refused(
          "The part '" + part.name() + "' of the packed production: " + e.getMessage());
    }
  }
}
