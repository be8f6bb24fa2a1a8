package app.latethistle.server.pack;

import app.latethistle.document.FilmDocument;
import app.latethistle.document.ProductionDocument;
import app.latethistle.document.ProductionDocument.PackedFile;
import app.latethistle.document.PublishedSchema;
import app.latethistle.media.ByteCount;
import app.latethistle.media.Container;
import app.latethistle.media.ContentStore;
import app.latethistle.media.ZipWriter;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
import app.latethistle.server.stored.Embedded;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Writes productions as zips. */
@ServerOnly
@Component
public class Packer {
  private final Productions productions;
  private final ContentStore store;
  private final ObjectProvider<PackedPart> parts;

  Packer(Productions productions, ContentStore store, ObjectProvider<PackedPart> parts) {
    this.productions = productions;
    this.store = store;
    this.parts = parts;
  }

  /**
   * A production as it was at a moment.
   *
   * @param document of it
   * @param others documents beside it, by their names in the zip
   */
  public record Packed(ProductionDocument document, Map<String, String> others) {
    /** The production's title. */
    public String title() {
      return document.title();
    }
  }

  /**
   * A production as it is.
   *
   * @param withMedia whether its files go with it
   */
  @Transactional
  public Packed now(long productionId, boolean withMedia) throws IOException {
    Production production = productions.get(productionId);
    Map<String, String> named = new LinkedHashMap<>();
    parts.orderedStream().forEach(p -> p.files(production).forEach(named::putIfAbsent));
    List<PackedFile> files = files(named);
    Map<String, String> paths = new HashMap<>();
    files.forEach(f -> paths.put(f.sha256(), f.path()));
    Map<String, JsonNode> written = new LinkedHashMap<>();
    Map<String, String> others = new LinkedHashMap<>();
    parts
        .orderedStream()
        .forEach(
            p -> {
              written.put(p.name(), Embedded.tree(p.pack(production, named.keySet())));
              others.putAll(p.documents(production, paths::get));
            });
    others.put("schemas/production.schema.json", PublishedSchema.PRODUCTION.json());
    others.put("about.txt", about(production.title()));
    return new Packed(
        new ProductionDocument(
            ProductionDocument.VERSION,
            production.title(),
            new FilmDocument.Picture(production.shape().width(), production.shape().height()),
            production.rate().toString(),
            production.targetSeconds(),
            withMedia ? files : files.stream().map(PackedFile::withoutPath).toList(),
            written),
        others);
  }

  private static String about(String title) {
    return """
        %s

        A production of Late Thistle. production.json says what it is, by
        schemas/production.schema.json; film.json is its film, by
        schemas/film-document.schema.json; media has the files of both, which are listed with
        their SHA-256 in production.json.

        ./thistle unpack FILE.zip brings it into another installation;
        ./thistle render FILE.zip draws its film.
        """
        .formatted(title);
  }

  private List<PackedFile> files(Map<String, String> named) throws IOException {
    Set<String> taken = new HashSet<>();
    List<PackedFile> files = new ArrayList<>();
    for (Map.Entry<String, String> file : named.entrySet()) {
      Path kept = store.path(file.getKey());
      String ending = Container.of(kept).ending();
      String path = "media/" + MediaName.of(file.getValue(), file.getKey(), ending);
      while (!taken.add(path.toLowerCase(Locale.ROOT))) {
        path = path.replaceFirst("(\\.[^.]*)?$", "~$1");
      }
      files.add(new PackedFile(file.getValue(), path, file.getKey(), Files.size(kept)));
    }
    return files;
  }

  /** Writes it; the stream is closed. */
  public void write(Packed packed, OutputStream out) throws IOException {
    write(packed, out, (zip, file) -> zip.file(file.path(), store.path(file.sha256())));
  }

  /** How many bytes it has when it is written; its files are not read. */
  public long length(Packed packed) throws IOException {
    ByteCount counted = new ByteCount();
    write(packed, counted, (zip, file) -> zip.fileOf(file.bytes(), file.path()));
    return counted.bytes();
  }

  /** Puts a file into a zip. */
  private interface Adding {
    void add(ZipWriter zip, PackedFile file) throws IOException;
  }

  private static void write(Packed packed, OutputStream out, Adding adding) throws IOException {
    try (ZipWriter zip = new ZipWriter(out)) {
      zip.text(ProductionDocument.NAME, packed.document.write());
      zip.texts(packed.others);
      for (PackedFile file : packed.document.files()) {
        if (file.path() != null) {
          adding.add(zip, file);
        }
      }
    }
  }
}
