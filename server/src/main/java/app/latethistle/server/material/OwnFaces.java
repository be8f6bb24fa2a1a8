package app.latethistle.server.material;

import app.latethistle.core.Refused;
import app.latethistle.core.type.FaceFile;
import app.latethistle.core.type.Faces;
import app.latethistle.core.type.LogotypeFile;
import app.latethistle.document.FaceForm;
import app.latethistle.media.ContentStore;
import app.latethistle.media.OwnFace;
import app.latethistle.media.RefusedMedia;
import app.latethistle.media.ShippedFaces;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.util.Collection;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * What words are set in: the faces that ship with the application, and those that people brought,
 * for all productions. A face of one's own is the same for good: what was drawn with it is named by
 * its family alone.
 */
@Component
public class OwnFaces {
  private static final int LONGEST_LICENCE = 500;

  private final OwnFaceRows rows;
  private final ContentStore store;
  private volatile Known known = new Known(List.of(), ShippedFaces.all());

  /** The faces by the fonts that were there. */
  private record Known(List<String> hashes, Faces faces) {}

  OwnFaces(OwnFaceRows rows, ContentStore store) {
    this.rows = rows;
    this.store = store;
  }

  /**
   * A face of one's own.
   *
   * @param licence under what it may be used
   * @param logotype whether it is a picture that stands in place of words
   */
  public record BroughtFace(
      String family, boolean bold, boolean italic, String licence, boolean logotype) {
    static BroughtFace of(OwnFaceRow row) {
      return new BroughtFace(
          row.family(), row.isBold(), row.isItalic(), row.licence(), row.isLogotype());
    }
  }

  /** All there are. What another process brought in meanwhile is among them. */
  public Faces all() {
    return faces(rows.findAllByOrderByFamilyAscBoldAscItalicAsc());
  }

  private Faces faces(List<OwnFaceRow> now) {
    List<String> hashes = now.stream().map(OwnFaceRow::hash).toList();
    Known before = known;
    if (before.hashes.equals(hashes)) {
      return before.faces;
    }
    Faces faces =
        ShippedFaces.all()
            .with(
                now.stream().filter(row -> !row.isLogotype()).map(this::file).toList(),
                now.stream().filter(OwnFaceRow::isLogotype).map(this::logotype).toList());
    known = new Known(hashes, faces);
    return faces;
  }

  private FaceFile file(OwnFaceRow row) {
    return OwnFace.file(row.family(), row.isBold(), row.isItalic(), source(row));
  }

  private LogotypeFile logotype(OwnFaceRow row) {
    return OwnFace.logotype(row.family(), source(row));
  }

  private FaceFile.Source source(OwnFaceRow row) {
    return () -> Files.newInputStream(store.path(row.hash()));
  }

  /** The families that can be chosen. */
  public List<Faces.Family> offered() {
    List<OwnFaceRow> now = rows.findAllByOrderByFamilyAscBoldAscItalicAsc();
    List<String> gone = now.stream().filter(r -> !r.isOffered()).map(OwnFaceRow::family).toList();
    return faces(now).families().stream().filter(family -> !gone.contains(family.name())).toList();
  }

  /** Those of one's own that can be chosen. */
  public List<BroughtFace> own() {
    return rows.findAllByOrderByFamilyAscBoldAscItalicAsc().stream()
        .filter(OwnFaceRow::isOffered)
        .map(BroughtFace::of)
        .toList();
  }

  /** Under what a family may be used, if it is one's own. */
  public Optional<String> licence(String family) {
    return rows.findByFamilyInOrderByFamilyAscBoldAscItalicAsc(List.of(family)).stream()
        .findFirst()
        .map(OwnFaceRow::licence);
  }

  /**
   * Brings a face in, or back.
   *
   * @param name of its file, for messages
   * @param said under what it may be used
   * @throws RefusedMedia if it is no font that can be used
   * @throws IllegalArgumentException if nothing is said of its licence, or another face has its
   *     name
   */
  public BroughtFace bringIn(String name, String said, InputStream font) throws IOException {
    return bringIn(name, FileStem.of(name), said, font);
  }

  /**
   * The same.
   *
   * @param called what a logotype is called
   */
  private BroughtFace bringIn(String name, String called, String said, InputStream font)
      throws IOException {
    OwnFace face;
    try {
      face = OwnFace.read(called, font);
    } catch (RefusedMedia e) {
      throw (RefusedMedia) new RefusedMedia(name + ": " + e.getMessage()).initCause(e);
    }
    String licence = licensed(name, said, face.licence());
    if (ShippedFaces.all().has(face.family())) {
      throw new Refused(
          name + ": “" + face.family() + "” ships with the application; choose it in the list.");
    }
    String hash;
    try (InputStream sound = face.open()) {
      hash = store.put(sound).hash();
    }
    OwnFaceRow row =
        rows.findById(hash)
            .orElseGet(
                () -> {
                  refuseAnother(name, face);
                  return new OwnFaceRow(hash, face, licence);
                });
    row.offer(true);
    row.license(licence);
    return BroughtFace.of(rows.save(row));
  }

  private static String licensed(String name, String said, String ofFile) {
    String licence = said == null ? "" : said.strip();
    if (licence.isEmpty() || licence.length() > LONGEST_LICENCE) {
      String hint = ofFile.isEmpty() ? "" : " The file says: “" + shortened(ofFile) + "”";
      throw new Refused(
          name
              + ": say in up to "
              + LONGEST_LICENCE
              + " letters under what licence it may be used."
              + hint);
    }
    return licence;
  }

  private static String shortened(String text) {
    return text.length() <= 200 ? text : text.substring(0, 200) + "\u2026";
  }

  private void refuseAnother(String name, OwnFace face) {
    boolean taken =
        rows.findByFamilyInOrderByFamilyAscBoldAscItalicAsc(List.of(face.family())).stream()
            .anyMatch(r -> r.isBold() == face.isBold() && r.isItalic() == face.isItalic());
    if (taken) {
      throw new Refused(
          name
              + ": another file of “"
              + face.family()
              + "” is here already, and films are set in it. Give this one another family name.");
    }
  }

  /** Takes a family of one's own off the list; what is set in it stays as it is. */
  public void remove(String family) {
    List<OwnFaceRow> found = rows.findByFamilyInOrderByFamilyAscBoldAscItalicAsc(List.of(family));
    if (found.stream().noneMatch(OwnFaceRow::isOffered)) {
      throw new Refused("There is no face “" + family + "” of your own.");
    }
    found.forEach(row -> row.offer(false));
    rows.saveAll(found);
  }

  /** Those of some families that are one's own, as they go elsewhere. */
  public List<FaceForm> forms(Collection<String> families) {
    return rows.findByFamilyInOrderByFamilyAscBoldAscItalicAsc(families).stream()
        .map(this::form)
        .filter(Objects::nonNull)
        .toList();
  }

  private FaceForm form(OwnFaceRow row) {
    try {
      byte[] font = Files.readAllBytes(store.path(row.hash()));
      return FaceForm.of(row.family(), row.isBold(), row.isItalic(), row.licence(), font);
    } catch (IOException e) {
      throw new UncheckedIOException("The face " + row.family() + " could not be read.", e);
    }
  }

  /**
   * Brings in those that came from elsewhere with what is set in them.
   *
   * @throws IllegalArgumentException if one is no font, or another one has its name here
   */
  public void bringIn(Collection<FaceForm> faces) {
    for (FaceForm face : faces) {
      try {
        bringIn(
            "The face " + face.family(),
            face.family(),
            face.licence(),
            new ByteArrayInputStream(face.bytes()));
      } catch (RefusedMedia e) {
        throw (Refused) new Refused(e.getMessage()).initCause(e);
      } catch (IOException e) {
        throw new UncheckedIOException("The face " + face.family() + " could not be kept.", e);
      }
    }
  }
}
