package app.latethistle.server.film;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.Lettered;
import app.latethistle.core.film.Replace;
import app.latethistle.core.film.SoundMaterial;
import app.latethistle.core.film.Treating;
import app.latethistle.core.look.LookKey;
import app.latethistle.document.FaceForm;
import app.latethistle.document.FilmDocument;
import app.latethistle.document.FilmForm;
import app.latethistle.document.MediumForm;
import app.latethistle.document.ProductionDocument;
import app.latethistle.document.PublishedSchema;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.material.ColourTables;
import app.latethistle.server.material.KeyStills;
import app.latethistle.server.material.OwnFaces;
import app.latethistle.server.pack.Arrivals;
import app.latethistle.server.pack.PackedPart;
import app.latethistle.server.production.Production;
import app.latethistle.server.stored.ColourFile;
import app.latethistle.server.stored.Embedded;
import app.latethistle.server.stored.StillFile;
import java.time.Instant;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/**
 * A production's film as it is, its versions, the tables they look up in, the stills they are to
 * look like and the faces they are set in.
 */
@ServerOnly
@Component
@Order(PackedFilm.AFTER_VOICE)
class PackedFilm implements PackedPart {
  static final int AFTER_VOICE = 4;

  private final FilmService films;
  private final FilmVersions versions;
  private final FilmDocuments documents;
  private final ColourTables tables;
  private final KeyStills stills;
  private final OwnFaces faces;

  PackedFilm(
      FilmService films,
      FilmVersions versions,
      FilmDocuments documents,
      ColourTables tables,
      KeyStills stills,
      OwnFaces faces) {
    this.films = films;
    this.versions = versions;
    this.documents = documents;
    this.tables = tables;
    this.stills = stills;
    this.faces = faces;
  }

  /** Those packed first had no stills, later ones no faces of one's own. */
  record Films(
      JsonNode now,
      List<Version> versions,
      List<ColourFile> tables,
      List<StillFile> stills,
      List<FaceForm> faces) {}

  record Version(String name, String made, JsonNode film) {}

  @Override
  public String name() {
    return "film";
  }

  private Stream<Film> all(Production production) {
    return Stream.concat(
        Stream.of(films.state(production.id()).film()),
        versions.findByProductionIdOrderById(production.id()).stream().map(v -> v.edit().film()));
  }

  @Override
  public Map<String, String> files(Production production) {
    Map<String, String> files = new LinkedHashMap<>();
    all(production)
        .flatMap(SoundMaterial.OfFile::in)
        .forEach(file -> files.putIfAbsent(file.media(), file.name()));
    return files;
  }

  @Override
  public Object pack(Production production, Set<String> files) {
    return new Films(
        tree(films.state(production.id()).film()),
        versions.findByProductionIdOrderById(production.id()).stream()
            .map(v -> new Version(v.name(), v.madeAt().toString(), tree(v.edit().film())))
            .toList(),
        tables.files(
            all(production).flatMap(film -> Treating.tables(film).stream()).distinct().toList()),
        stills.files(
            all(production)
                .flatMap(film -> film.finish().key().stream())
                .filter(LookKey.Still.class::isInstance)
                .map(key -> ((LookKey.Still) key).picture())
                .distinct()
                .toList()),
        faces.forms(
            all(production).flatMap(film -> Lettered.families(film).stream()).distinct().toList()));
  }

  private static JsonNode tree(Film film) {
    return Embedded.tree(FilmForm.of(film));
  }

  @Override
  public Map<String, String> documents(Production production, UnaryOperator<String> paths) {
    FilmDocument document = documents.of(films.state(production.id()));
    Map<MediumForm, MediumForm> named = new HashMap<>();
    document
        .media()
        .forEach(m -> named.put(m, new MediumForm(m.sha256(), paths.apply(m.sha256()))));
    Map<String, String> all = new LinkedHashMap<>();
    all.put(ProductionDocument.FILM, document.naming(named).write());
    all.put("schemas/film-document.schema.json", PublishedSchema.FILM.json());
    return all;
  }

  @Override
  public void unpack(Production made, JsonNode part, Arrivals arrivals) {
    Films packed = Embedded.as(part, Films.class);
    tables.bringIn(packed.tables);
    stills.bringIn(packed.stills == null ? List.of() : packed.stills);
    faces.bringIn(packed.faces == null ? List.of() : packed.faces);
    for (Version version : packed.versions) {
      versions.save(
          new FilmVersion(
              made.id(), version.name, film(version.film, arrivals), Instant.parse(version.made)));
    }
    Film now = film(packed.now, arrivals);
    films.edit(made.id(), made.revision(), state -> new Replace(now, "bring the film in"));
  }

  private static Film film(JsonNode packed, Arrivals arrivals) {
    return Embedded.as(arrivals.renamed(packed), FilmForm.class).get();
  }
}
