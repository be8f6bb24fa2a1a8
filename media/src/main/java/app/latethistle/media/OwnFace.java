package app.latethistle.media;

import app.latethistle.core.type.FaceFile;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.apache.fontbox.ttf.NameRecord;
import org.apache.fontbox.ttf.NamingTable;
import org.apache.fontbox.ttf.OS2WindowsMetricsTable;
import org.apache.fontbox.ttf.OTFParser;
import org.apache.fontbox.ttf.OpenTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/**
 * A face that somebody brings: OpenType, TrueType, WOFF or WOFF2. What of its file is sound is
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

  /** Bits of the OS/2 table's fsSelection, by the OpenType specification. */
  private static final int ITALIC = 1;

  private static final int BOLD = 1 << 5;

  private final byte[] bytes;
  private final String family;
  private final boolean bold;
  private final boolean italic;
  private final String licence;

  private OwnFace(byte[] bytes, OpenTypeFont font) throws IOException {
    this.bytes = bytes;
    NamingTable names = font.getNaming();
    // The family of up to four weights, as letterings know them: a light one is its own.
    family = names.getFontFamily() == null ? "" : names.getFontFamily().strip();
    String said =
        names.getName(13, NameRecord.PLATFORM_WINDOWS, 1, NameRecord.LANGUAGE_WINDOWS_EN_US);
    licence = said == null ? "" : said.strip();
    OS2WindowsMetricsTable metrics = font.getOS2Windows();
    int selection = metrics == null ? 0 : metrics.getFsSelection();
    bold = (selection & BOLD) != 0;
    italic = (selection & ITALIC) != 0;
    if (family.isEmpty() || family.length() > 100) {
      throw new RefusedMedia("It does not say what the face is called.");
    }
  }

  /**
   * Reads a face.
   *
   * @throws RefusedMedia if it is no font that can be used, saying why
   */
  public static OwnFace read(InputStream in) throws IOException {
    try (WorkFolder work = WorkFolder.make()) {
      Path file = work.path().resolve("face");
      byte[] given = in.readNBytes(LONGEST + 1);
      if (given.length > LONGEST) {
        throw new RefusedMedia(
            "It is larger than the 12 MB that a font may have; one for a single script is smaller.");
      }
      Files.write(file, given);
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
                        + "). Bring a .ttf, .otf, .woff or .woff2.")
                .initCause(e);
      }
      try (OpenTypeFont font = new OTFParser().parse(new RandomAccessReadBuffer(sound))) {
        return new OwnFace(sound, font);
      }
    }
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

  /** The font that was made anew. */
  public InputStream open() {
    return new ByteArrayInputStream(bytes);
  }

  /** The same as one of the faces. */
  public FaceFile file() {
    return file(family, bold, italic, this::open);
  }

  /** One of the faces, whose font lies elsewhere. */
  public static FaceFile file(String family, boolean bold, boolean italic, FaceFile.Source source) {
    return new FaceFile(family, "your own", bold, italic, "own", source);
  }
}
