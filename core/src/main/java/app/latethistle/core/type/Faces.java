package app.latethistle.core.type;

import app.latethistle.core.words.Lettering.Face;
import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.GraphicsEnvironment;
import java.awt.font.TextAttribute;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;

/**
 * The faces there are. A letter that its family does not have comes from the plain family, then
 * from any other that has it, then from what is found on the machine. Files are read when a letter
 * of them is first needed. Safe for use by several threads.
 */
public final class Faces {
  /** The family that stands in for letters that others do not have. */
  private static final String PLAIN = "Noto Sans";

  private final List<FaceFile> files;
  private final Map<FaceFile, Font> fonts;
  private final Map<FaceFile, Optional<Font>> small = new ConcurrentHashMap<>();
  private final List<LogotypeFile> logotypes;
  private final Map<LogotypeFile, Logotype> pictures = new ConcurrentHashMap<>();
  private final Map<Wish, Optional<Font>> found = new ConcurrentHashMap<>();
  private volatile List<Font> machine;

  private record Wish(Face face, int codePoint) {}

  /**
   * A family.
   *
   * @param name as it is called
   * @param character what it looks like
   * @param bold whether it has a heavier weight
   * @param italic whether it has slanted letters
   * @param logotype whether it is a picture in place of words
   */
  public record Family(
      String name, String character, boolean bold, boolean italic, boolean logotype) {}

  /**
   * @param files those of a family in the order in which they are asked for a letter
   */
  public Faces(List<FaceFile> files) {
    this(files, List.of(), new ConcurrentHashMap<>());
  }

  private Faces(List<FaceFile> files, List<LogotypeFile> logotypes, Map<FaceFile, Font> fonts) {
    this.files = List.copyOf(files);
    this.logotypes = List.copyOf(logotypes);
    this.fonts = fonts;
  }

  /** These and more; files that were read for these are not read again. */
  public Faces with(List<FaceFile> more, List<LogotypeFile> pictures) {
    return new Faces(joined(files, more), joined(logotypes, pictures), fonts);
  }

  private static <T> List<T> joined(List<T> some, List<T> more) {
    List<T> all = new ArrayList<>(some);
    all.addAll(more);
    return all;
  }

  /** The families, in their order. */
  public List<Family> families() {
    Map<String, Family> families = new LinkedHashMap<>();
    for (FaceFile file : files) {
      families.merge(
          file.family(),
          new Family(file.family(), file.character(), file.bold(), file.italic(), false),
          (a, b) -> new Family(a.name, a.character, a.bold || b.bold, a.italic || b.italic, false));
    }
    for (LogotypeFile file : logotypes) {
      families.put(file.family(), new Family(file.family(), "a logotype", false, false, true));
    }
    return List.copyOf(families.values());
  }

  /** Whether there is a family of a name. */
  public boolean has(String family) {
    return files.stream().anyMatch(f -> f.family().equals(family))
        || logotypes.stream().anyMatch(f -> f.family().equals(family));
  }

  /**
   * A font, 1 unit high, that has a letter; empty if none on this machine has it. Fonts that are
   * the same object are of one file; those of one family may be equal and are not.
   *
   * @throws UncheckedIOException if a file cannot be read, naming its family
   */
  Optional<Font> font(Face face, int codePoint) {
    return found.computeIfAbsent(new Wish(face, codePoint), this::find);
  }

  /**
   * The picture that stands in place of words which are set in a family; empty if it has letters.
   *
   * @throws UncheckedIOException if its file cannot be read, naming its family
   */
  Optional<Logotype> logotype(String family) {
    return logotypes.stream()
        .filter(file -> file.family().equals(family))
        .findFirst()
        .map(file -> pictures.computeIfAbsent(file, Faces::read));
  }

  private static Logotype read(LogotypeFile file) {
    try {
      return new Logotype(file.source().read());
    } catch (IOException e) {
      throw new UncheckedIOException("The logotype " + file.family() + " cannot be read.", e);
    }
  }

  private Optional<Font> find(Wish wish) {
    Face face = wish.face;
    List<FaceFile> asked = new ArrayList<>(files);
    asked.sort(
        Comparator.comparingInt(
            (FaceFile f) ->
                (f.family().equals(face.family()) ? 0 : f.family().equals(PLAIN) ? 4 : 8)
                    + (f.bold() == face.bold() ? 0 : 2)
                    + (f.italic() == face.italic() ? 0 : 1)));
    for (FaceFile file : asked) {
      Font font = fonts.computeIfAbsent(file, Faces::read);
      if (font.canDisplay(wish.codePoint)) {
        return Optional.of(font);
      }
    }
    return machine().stream().filter(f -> f.canDisplay(wish.codePoint)).findFirst();
  }

  /** The font of a file of a family that has a letter, with small capitals where it has its own. */
  @SuppressWarnings("ReferenceEquality")
  Optional<Font> smallCapitals(Face face, int codePoint) {
    Optional<Font> font = font(face, codePoint);
    return files.stream()
        .filter(file -> file.family().equals(face.family()))
        .filter(file -> font.isPresent() && fonts.get(file) == font.get())
        .findFirst()
        .flatMap(file -> small.computeIfAbsent(file, Faces::readSmall));
  }

  private static Optional<Font> readSmall(FaceFile file) {
    try (InputStream bytes = file.source().open()) {
      Optional<byte[]> made = SmallCapitals.of(bytes.readAllBytes());
      return made.isEmpty()
          ? Optional.empty()
          : Optional.of(read(file, new ByteArrayInputStream(made.get())));
    } catch (IOException e) {
      throw new UncheckedIOException("The face " + file.family() + " cannot be read.", e);
    }
  }

  private List<Font> machine() {
    if (machine == null) {
      machine =
          Stream.of(GraphicsEnvironment.getLocalGraphicsEnvironment().getAllFonts())
              .map(Faces::set)
              .toList();
    }
    return machine;
  }

  private static Font read(FaceFile file) {
    try (InputStream bytes = file.source().open()) {
      return read(file, bytes);
    } catch (IOException e) {
      throw new UncheckedIOException("The face " + file.family() + " cannot be read.", e);
    }
  }

  private static Font read(FaceFile file, InputStream bytes) throws IOException {
    try {
      return set(Font.createFont(Font.TRUETYPE_FONT, bytes));
    } catch (FontFormatException e) {
      throw new IOException("The face " + file.family() + " is not a font that can be used.", e);
    }
  }

  private static Font set(Font font) {
    return font.deriveFont(
        Map.of(
            TextAttribute.KERNING, TextAttribute.KERNING_ON,
            TextAttribute.LIGATURES, TextAttribute.LIGATURES_ON));
  }
}
