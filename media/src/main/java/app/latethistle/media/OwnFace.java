package app.latethistle.media;

import app.latethistle.core.type.FaceFile;
import app.latethistle.core.type.Faces;
import app.latethistle.core.type.LogotypeFile;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collection;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.apache.fontbox.ttf.NameRecord;
import org.apache.fontbox.ttf.NamingTable;
import org.apache.fontbox.ttf.OS2WindowsMetricsTable;
import org.apache.fontbox.ttf.OTFParser;
import org.apache.fontbox.ttf.OpenTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/**
 * A face that somebody brings: OpenType, TrueType, WOFF or WOFF2; or a logotype: a picture,
 * see-through where it has no ink, that stands in place of words. What of its file is sound is
 * written anew by OTS, the sanitizer that browsers put before fonts of the web, in a sandbox;
 * nothing else of it is ever read. What was written so comes out the same when it is brought again.
 */
public final class OwnFace {
  /**
   * Bytes a file may have: a face for Chinese or Japanese alone has some millions, and a few of
   * them go into a document.
   */
  private static final int LONGEST = 12_000_000;

  private static final int SECONDS = 60;

  /** The longer side of a logotype, in pixels: a quarter of the widest picture. */
  private static final int WIDEST = 1024;

  /** Bits of the OS/2 table's fsSelection, by the OpenType specification. */
  private static final int ITALIC = 1;

  private static final int BOLD = 1 << 5;

  private final byte[] bytes;
  private final String family;
  private final boolean bold;
  private final boolean italic;
  private final String licence;
  private final boolean isLogotype;

  private OwnFace(byte[] bytes, OpenTypeFont font) throws IOException {
    this.bytes = bytes;
    NamingTable names = font.getNaming();
    // The family of up to four weights, as letterings know them: a light one is its own.
    family = named(names.getFontFamily());
    String said =
        names.getName(13, NameRecord.PLATFORM_WINDOWS, 1, NameRecord.LANGUAGE_WINDOWS_EN_US);
    licence = said == null ? "" : said.strip();
    OS2WindowsMetricsTable metrics = font.getOS2Windows();
    int selection = metrics == null ? 0 : metrics.getFsSelection();
    bold = (selection & BOLD) != 0;
    italic = (selection & ITALIC) != 0;
    isLogotype = false;
  }

  private OwnFace(byte[] picture, String name) throws RefusedMedia {
    bytes = picture;
    family = named(name);
    licence = "";
    bold = false;
    italic = false;
    isLogotype = true;
  }

  private static String named(String name) throws RefusedMedia {
    String family = name == null ? "" : name.strip();
    if (family.isEmpty() || family.length() > 100) {
      throw new RefusedMedia("It does not say what the face is called.");
    }
    return family;
  }

  /**
   * Reads a face or a logotype.
   *
   * @param name what a logotype is called, for its picture does not say; a face says it itself
   * @throws RefusedMedia if it is no font or picture that can be used, saying why
   */
  public static OwnFace read(String name, InputStream in) throws IOException {
    try (WorkFolder work = WorkFolder.make()) {
      Path file = work.path().resolve("face");
      byte[] given = in.readNBytes(LONGEST + 1);
      if (given.length > LONGEST) {
        throw new RefusedMedia(
            "It is larger than the 12 MB that a font may have; one for a single script is smaller.");
      }
      Files.write(file, given);
      Optional<MediaFacts> picture = picture(file);
      if (picture.isPresent()) {
        return new OwnFace(logotype(file, picture.get()), name);
      }
      byte[] sound;
      try {
        sound =
            Child.output(
                Sandbox.sanitizer(file, work.path().resolve("sound")), new byte[0], SECONDS);
      } catch (IOException e) {
        throw (RefusedMedia)
            new RefusedMedia(
                    "It is no font that can be used ("
                        + e.getMessage()
                        + "). Bring a .ttf, .otf, .woff or .woff2, or a picture as a logotype.")
                .initCause(e);
      }
      try (OpenTypeFont font = new OTFParser().parse(new RandomAccessReadBuffer(sound))) {
        return new OwnFace(sound, font);
      }
    }
  }

  /** What a file holds if it is a picture. */
  private static Optional<MediaFacts> picture(Path file) throws IOException {
    try {
      return Optional.of(Probe.probe(file)).filter(f -> f.kind() == MediaFacts.Kind.STILL);
    } catch (RefusedMedia e) {
      return Optional.empty();
    }
  }

  /** A picture with what can be seen through it, its sides 1024 pixels at most. */
  private static byte[] logotype(Path file, MediaFacts facts) throws IOException {
    String filter =
        "scale='min(%1$d,iw)':'min(%1$d,ih)':force_original_aspect_ratio=decrease:flags=area"
            .formatted(WIDEST);
    return StillPicture.png(file, facts, List.of("-vf", filter, "-pix_fmt", "rgba"));
  }

  /** What the family is called; up to 100 letters. */
  public String family() {
    return family;
  }

  public boolean isBold() {
    return bold;
  }

  public boolean isItalic() {
    return italic;
  }

  /** Under what licence it may be used, as the file says; "" if it does not. */
  public String licence() {
    return licence;
  }

  /** The font or the PNG that was made anew. */
  public InputStream open() {
    return new ByteArrayInputStream(bytes);
  }

  /** Whether it is a picture that stands in place of words. */
  public boolean isLogotype() {
    return isLogotype;
  }

  /** These with some of one's own. */
  public static Faces with(Faces faces, Collection<OwnFace> own) {
    return faces.with(
        own.stream().filter(f -> !f.isLogotype).map(f -> f.file(f::open)).toList(),
        own.stream().filter(f -> f.isLogotype).map(f -> logotype(f.family, f::open)).toList());
  }

  private FaceFile file(FaceFile.Source source) {
    return file(family, bold, italic, source);
  }

  /** One of the faces, whose font lies elsewhere. */
  public static FaceFile file(String family, boolean bold, boolean italic, FaceFile.Source source) {
    return new FaceFile(family, "your own", bold, italic, "own", source);
  }

  /** A logotype, whose PNG lies elsewhere. */
  public static LogotypeFile logotype(String family, FaceFile.Source source) {
    return new LogotypeFile(
        family,
        () -> {
          try (InputStream png = source.open()) {
            return Objects.requireNonNull(ImageIO.read(png), family);
          }
        });
  }
}
