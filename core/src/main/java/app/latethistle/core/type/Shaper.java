package app.latethistle.core.type;

import app.latethistle.core.words.LetterCase;
import app.latethistle.core.words.Lettering;
import java.awt.Font;
import java.awt.Shape;
import java.awt.font.FontRenderContext;
import java.awt.font.GlyphVector;
import java.awt.geom.AffineTransform;
import java.text.Bidi;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * Makes letters of a line's text: the order in which they are seen (Unicode's bidirectional
 * algorithm), faces that have them, joins, marks, kerning (OpenType, by Java's text layout), and
 * tracking.
 */
final class Shaper {
  /** Small capitals of faces that have none of their own, as a share of capitals. */
  private static final double SMALL = 0.8;

  private static final FontRenderContext CONTEXT =
      new FontRenderContext(new AffineTransform(), true, true);

  /** Scripts whose letters hang together, so that nothing is put between them. */
  private static final Set<Character.UnicodeScript> JOINED =
      Set.of(
          Character.UnicodeScript.ARABIC,
          Character.UnicodeScript.SYRIAC,
          Character.UnicodeScript.DEVANAGARI);

  private final Faces faces;
  private final Lettering.Face face;
  private final LetterCase letters;
  private final double size;
  private final double tracking;

  /**
   * @param size of the letters, in pixels
   */
  Shaper(Faces faces, Lettering lettering, double size) {
    this.faces = faces;
    this.size = size;
    face = lettering.face();
    letters = lettering.spacing().letters();
    tracking = lettering.spacing().tracking() * size / 1000;
  }

  /**
   * A font, and how it is used.
   *
   * @param scale of the letters' size
   * @param raised whether capitals are drawn in place of small letters
   */
  private record Use(Font font, double scale, boolean raised) {
    /** Fonts of one family may be equal and have other letters. */
    @SuppressWarnings("ReferenceEquality")
    boolean isAs(Use other) {
      return font == other.font && scale == other.scale && raised == other.raised;
    }
  }

  /** Characters that one font draws at one size. */
  private record Run(int start, int end, Use use) {}

  /** A line, which has no line ends. */
  ShapedLine shape(String written) {
    String text = letters == LetterCase.CAPITALS ? written.toUpperCase(Locale.ROOT) : written;
    List<Letter> placed = new ArrayList<>();
    List<Integer> missing = new ArrayList<>();
    if (text.isEmpty()) {
      return new ShapedLine(text, placed, 0, false, missing);
    }
    Bidi bidi = new Bidi(text, Bidi.DIRECTION_DEFAULT_LEFT_TO_RIGHT);
    byte[] levels = new byte[bidi.getRunCount()];
    Integer[] runs = new Integer[levels.length];
    for (int i = 0; i < levels.length; i++) {
      levels[i] = (byte) bidi.getRunLevel(i);
      runs[i] = i;
    }
    Bidi.reorderVisually(levels, 0, runs, 0, runs.length);
    double x = 0;
    for (int i : runs) {
      boolean leftwards = bidi.getRunLevel(i) % 2 != 0;
      List<Run> parts = runs(text, bidi.getRunStart(i), bidi.getRunLimit(i), missing);
      for (int k = 0; k < parts.size(); k++) {
        Run part = parts.get(leftwards ? parts.size() - 1 - k : k);
        x = place(text, part, leftwards, x, placed);
      }
    }
    boolean tracked = tracking != 0 && !placed.isEmpty() && !isJoined(text.codePointAt(0));
    return new ShapedLine(
        text,
        List.copyOf(placed),
        tracked ? x - tracking : x,
        !bidi.baseIsLeftToRight(),
        List.copyOf(missing));
  }

  private List<Run> runs(String text, int start, int end, List<Integer> missing) {
    List<Run> runs = new ArrayList<>();
    Use now = null;
    int from = start;
    for (int at = start; at < end; ) {
      int point = text.codePointAt(at);
      Use use = now != null && followsFace(point) ? now : use(point, missing);
      if (now != null && !use.isAs(now)) {
        runs.add(new Run(from, at, now));
        from = at;
      }
      now = use;
      at += Character.charCount(point);
    }
    if (from < end) {
      runs.add(new Run(from, end, now));
    }
    return runs;
  }

  /** Marks, joiners and spaces are drawn by the font of what they follow. */
  private static boolean followsFace(int point) {
    int type = Character.getType(point);
    return type == Character.NON_SPACING_MARK
        || type == Character.COMBINING_SPACING_MARK
        || type == Character.ENCLOSING_MARK
        || type == Character.FORMAT
        || Character.isSpaceChar(point);
  }

  private Use use(int point, List<Integer> missing) {
    if (letters == LetterCase.SMALL_CAPITALS) {
      Optional<Font> own = faces.smallCapitals(face, point);
      if (own.isPresent()) {
        return new Use(own.get(), 1, /* raised= */ false);
      }
    }
    boolean small = letters == LetterCase.SMALL_CAPITALS && Character.isLowerCase(point);
    int drawn = small ? Character.toUpperCase(point) : point;
    Optional<Font> font = faces.font(face, drawn);
    if (font.isEmpty() && !missing.contains(point) && !followsFace(point)) {
      missing.add(point);
    }
    Font any =
        font.or(() -> faces.font(face, 'o')).orElseGet(() -> new Font(Font.SANS_SERIF, 0, 1));
    return new Use(any, small ? SMALL : 1, letters == LetterCase.SMALL_CAPITALS);
  }

  private double place(String text, Run run, boolean leftwards, double from, List<Letter> into) {
    String part = text.substring(run.start, run.end);
    String drawn = run.use.raised ? capitals(part) : part;
    Font font = run.use.font.deriveFont((float) (run.use.scale * size));
    char[] chars = drawn.toCharArray();
    int flags = leftwards ? Font.LAYOUT_RIGHT_TO_LEFT : Font.LAYOUT_LEFT_TO_RIGHT;
    GlyphVector glyphs = font.layoutGlyphVector(CONTEXT, chars, 0, chars.length, flags);
    double x = from;
    for (int g = 0; g < glyphs.getNumGlyphs(); g++) {
      double at = glyphs.getGlyphPosition(g).getX();
      double next = glyphs.getGlyphPosition(g + 1).getX();
      int character = glyphs.getGlyphCharIndex(g);
      Shape outline =
          AffineTransform.getTranslateInstance(x - at, 0)
              .createTransformedShape(glyphs.getGlyphOutline(g));
      boolean ends = g + 1 == glyphs.getNumGlyphs() || glyphs.getGlyphCharIndex(g + 1) != character;
      boolean spaced = ends && next > at && !isJoined(drawn.codePointAt(character));
      double advance = next - at + (spaced ? tracking : 0);
      into.add(new Letter(outline, x, advance, run.start + character));
      x += advance;
    }
    return x;
  }

  /** Capitals, letter for letter, so that places stay. */
  private static String capitals(String text) {
    StringBuilder capitals = new StringBuilder();
    text.codePoints().map(Character::toUpperCase).forEach(capitals::appendCodePoint);
    return capitals.toString();
  }

  private static boolean isJoined(int point) {
    return JOINED.contains(Character.UnicodeScript.of(point));
  }
}
