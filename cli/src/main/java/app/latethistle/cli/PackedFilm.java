package app.latethistle.cli;

import app.latethistle.document.FilmDocument;
import app.latethistle.document.MediumForm;
import app.latethistle.document.ProductionDocument;
import app.latethistle.document.ProductionDocument.PackedFile;
import app.latethistle.media.PackedZip;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.stream.Collectors;

/** The film of a packed production, with the files it needs. */
final class PackedFilm {
  private PackedFilm() {}

  /**
   * Writes it into a folder.
   *
   * @return its document
   * @throws IOException if the zip is not what it should be, naming it and what is wrong
   */
  static Path unpack(Path file, Path folder) throws IOException {
    try (PackedZip zip = PackedZip.open(file)) {
      ProductionDocument production =
          ProductionDocument.read(zip.text(ProductionDocument.NAME, ProductionDocument.LONGEST));
      String film = zip.text(ProductionDocument.FILM, ProductionDocument.LONGEST);
      Set<String> needed =
          FilmDocument.read(film).media().stream()
              .map(MediumForm::path)
              .collect(Collectors.toSet());
      for (PackedFile packed : production.files()) {
        if (packed.path() != null && needed.contains(packed.path())) {
          Path to = folder.resolve(packed.path());
          zip.copy(packed.path(), packed.bytes(), packed.sha256(), to);
        }
      }
      return Files.writeString(folder.resolve(ProductionDocument.FILM), film);
    } catch (IOException e) {
      throw new IOException(file + ": " + e.getMessage(), e);
    }
  }
}
