package app.latethistle.core.type;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.words.Align;
import app.latethistle.core.words.LetterCase;
import app.latethistle.core.words.Lettering;
import app.latethistle.faces.ShippedFile;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Letters in the order they are seen, held against HarfBuzz's own hb-shape. */
class ShaperTest {
  private static final int SIZE = 1000;

  @TempDir Path folder;

  private static ShapedLine shaped(String family, String text) {
    return shaped(Lettering.plain(Lettering.Face.of(family), 100, 0), text);
  }

  private static ShapedLine shaped(Lettering lettering, String text) {
    return new Shaper(TestFaces.ALL, lettering, SIZE).shape(text);
  }

  /** A glyph: its first character, where it stands from the pen, and how far the pen goes on. */
  private record Glyph(int at, double offset, double advance) {}

  /** A Debian font with small capitals of its own; ./test sets it up. */
  private static final Path GARAMOND =
      Path.of("/usr/share/fonts/opentype/ebgaramond/EBGaramond12-Regular.otf");

  /** What hb-shape makes of a text in one of the shipped files, in thousandths of an em. */
  private List<Glyph> harfbuzz(String family, String script, String text)
      throws IOException, InterruptedException {
    ShippedFile file =
        ShippedFile.all().stream()
            .filter(f -> f.family().equals(family) && f.script().equals(script))
            .filter(f -> f.weight() == 400 && !f.italic())
            .findFirst()
            .orElseThrow();
    Path font = folder.resolve(file.file());
    try (InputStream bytes = file.open()) {
      Files.copy(bytes, font);
    }
    return harfbuzz(font, "", text);
  }

  private static List<Glyph> harfbuzz(Path font, String features, String text)
      throws IOException, InterruptedException {
    Process hb =
        new ProcessBuilder(
                "hb-shape",
                "--features=" + features,
                "--font-size=" + SIZE,
                "--cluster-level=1",
                "--utf8-clusters",
                "--no-glyph-names",
                "--output-format=text",
                font.toString(),
                text)
            .redirectErrorStream(true)
            .start();
    String out = new String(hb.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(hb.waitFor()).as(out).isZero();
    List<Glyph> glyphs = new ArrayList<>();
    Matcher found = Pattern.compile("\\d+=(\\d+)(?:@(-?\\d+),-?\\d+)?\\+(-?\\d+)").matcher(out);
    byte[] utf8 = text.getBytes(StandardCharsets.UTF_8);
    while (found.find()) {
      int at = Integer.parseInt(found.group(1));
      int character = new String(utf8, 0, at, StandardCharsets.UTF_8).length();
      double offset = found.group(2) == null ? 0 : Double.parseDouble(found.group(2));
      glyphs.add(new Glyph(character, offset, Double.parseDouble(found.group(3))));
    }
    return glyphs;
  }

  @ParameterizedTest
  @CsvSource({
    "Fraunces,latin,Night Post",
    "EB Garamond,latin,AVATAR Type ffi",
    "Playfair Display,latin,Waffle Tower",
    "Source Sans 3,cyrillic,Ночь",
    "Noto Sans,greek,Νυχτερινό",
    "Noto Sans Arabic,arabic,بريد الليل",
    "Noto Sans Hebrew,hebrew,דואר לילה",
    "Noto Sans Devanagari,devanagari,रात्रि डाक",
    "Noto Sans Thai,thai,ไปรษณีย์",
  })
  void glyphsAndAdvancesAreThoseOfHarfBuzz(String family, String script, String text)
      throws Exception {
    isAs(harfbuzz(family, script, text), shaped(family, text));
  }

  /** Small capitals that a face has of its own are kerned as they are. */
  @ParameterizedTest
  @ValueSource(strings = {"Night Post", "AVATAR Type", "Łódź"})
  void smallCapitalsOfAFaceAreThoseOfHarfBuzz(String text) throws Exception {
    Faces faces =
        new Faces(
            List.of(
                new FaceFile(
                    "Garamond",
                    "",
                    /* bold= */ false,
                    /* italic= */ false,
                    "latin",
                    () -> Files.newInputStream(GARAMOND))));
    Lettering small = small("Garamond");
    ShapedLine line = new Shaper(faces, small, SIZE).shape(text);
    isAs(harfbuzz(GARAMOND, "smcp", text), line);
    ShapedLine written =
        new Shaper(faces, Lettering.plain(Lettering.Face.of("Garamond"), 100, 0), SIZE).shape(text);
    assertThat(line.width()).isNotEqualTo(written.width());
  }

  private static Lettering small(String family) {
    return Lettering.plain(Lettering.Face.of(family), 100, 0)
        .withSpacing(new Lettering.Spacing(0, 115, LetterCase.SMALL_CAPITALS, Align.MIDDLE));
  }

  /** A family's letters lie in several files, whose fonts go by one name. */
  @ParameterizedTest
  @ValueSource(strings = {"Fraunces", "EB Garamond", "Source Sans 3", "Josefin Sans", "Noto Sans"})
  void lettersOfOneFamilyComeFromTheFileThatHasThem(String family) {
    String text = "Řeka ő Łódź żółw";
    ShapedLine line = shaped(family, text);
    assertThat(line.missing()).isEmpty();
    double last = Double.NEGATIVE_INFINITY;
    for (Letter letter : line.letters()) {
      String alone = text.substring(letter.at(), letter.at() + 1);
      if (!alone.isBlank()) {
        Rectangle2D there = letter.outline().getBounds2D();
        Rectangle2D here = shaped(family, alone).letters().get(0).outline().getBounds2D();
        assertThat(there.getWidth()).as(alone).isCloseTo(here.getWidth(), within(1e-3));
        assertThat(there.getHeight()).as(alone).isCloseTo(here.getHeight(), within(1e-3));
      }
      assertThat(letter.x()).isGreaterThan(last);
      last = letter.x();
    }
  }

  private static void isAs(List<Glyph> wanted, ShapedLine line) {
    assertThat(line.missing()).isEmpty();
    assertThat(line.letters()).hasSameSizeAs(wanted);
    double pen = 0;
    for (int i = 0; i < wanted.size(); i++) {
      Glyph glyph = wanted.get(i);
      Letter letter = line.letters().get(i);
      // hb-shape rounds every advance to a whole unit.
      assertThat(letter.x()).as("glyph %d", i).isCloseTo(pen + glyph.offset, within(1.0 + 0.5 * i));
      pen += glyph.advance;
    }
    assertThat(line.width()).isCloseTo(pen, within(1.0 + 0.5 * wanted.size()));
    if (!line.leftwards()) {
      assertThat(line.letters().get(0).at()).isEqualTo(wanted.get(0).at);
    }
  }

  @Test
  void hebrewRunsToTheLeftAndItsFirstLetterIsTheLastFromTheLeft() {
    ShapedLine line = shaped("Noto Sans Hebrew", "דואר");
    assertThat(line.leftwards()).isTrue();
    assertThat(line.letters()).extracting(Letter::at).containsExactly(3, 2, 1, 0);
  }

  @Test
  void aLetterThatAFaceDoesNotHaveComesFromAnother() {
    ShapedLine line = shaped("Bebas Neue", "Ночь דואר");
    assertThat(line.missing()).isEmpty();
    assertThat(line.letters()).allMatch(l -> l.advance() > 0);
  }

  @Test
  void whatNoFaceHasIsReported() {
    // A code point that is not given to any letter.
    assertThat(shaped("Noto Sans", "a\uDB80\uDC00b").missing()).containsExactly(0xF0000);
  }

  @Test
  void trackingIsPutBetweenLettersAndNotAfterTheLast() {
    Lettering plain = Lettering.plain(Lettering.Face.of("Oswald"), 100, 0);
    Lettering apart =
        plain.withSpacing(
            new Lettering.Spacing(100, 115, LetterCase.AS_WRITTEN, plain.spacing().align()));
    double more = shaped(apart, "four").width() - shaped(plain, "four").width();
    assertThat(more).isCloseTo(3 * 0.1 * SIZE, within(0.5));
  }

  @Test
  void smallCapitalsAreSmallerThanCapitalsAndStandAtTheirPlaces() {
    Lettering plain = Lettering.plain(Lettering.Face.of("Cinzel"), 100, 0);
    Lettering small =
        plain.withSpacing(
            new Lettering.Spacing(0, 115, LetterCase.SMALL_CAPITALS, plain.spacing().align()));
    ShapedLine line = shaped(small, "Ab");
    double high = line.letters().get(0).outline().getBounds2D().getHeight();
    double low = line.letters().get(1).outline().getBounds2D().getHeight();
    assertThat(low / high).isBetween(0.7, 0.9);
    assertThat(line.text()).isEqualTo("Ab");
  }
}
