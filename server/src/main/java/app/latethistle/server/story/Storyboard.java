package app.latethistle.server.story;

import app.latethistle.core.story.SpokenLine;
import app.latethistle.core.story.Story;
import app.latethistle.core.story.StoryShot;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.image.JPEGFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/** A storyboard to print: A4, upright, eight cards a page. */
final class Storyboard {
  private static final int COLUMNS = 2;
  private static final int ROWS = 4;
  private static final float MARGIN = 40;
  private static final float GAP = 18;
  private static final float SMALL = 8.5f;
  private static final float TEXT_LINES = 4;

  private final PDDocument document = new PDDocument();
  private final PDFont font;
  private final Story story;
  private final List<SpokenLine> lines;
  private final String title;
  private final double aspect;

  private Storyboard(Story story, String title, double aspect) throws IOException {
    this.story = story;
    this.lines = story.script().lines();
    this.title = title;
    this.aspect = aspect;
    try (InputStream in =
        PDDocument.class.getResourceAsStream(
            "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf")) {
      font = PDType0Font.load(document, in);
    }
  }

  /**
   * Draws one.
   *
   * @param pictures JPEGs by the shot's id; a shot without one gets a placeholder
   * @param aspect the film's width over its height
   */
  static byte[] draw(Story story, String title, double aspect, Map<Integer, byte[]> pictures)
      throws IOException {
    Storyboard board = new Storyboard(story, title, aspect);
    try (PDDocument document = board.document) {
      List<StoryShot> shots = story.shots().shots();
      int perPage = COLUMNS * ROWS;
      for (int from = 0; from == 0 || from < shots.size(); from += perPage) {
        board.page(shots.subList(from, Math.min(shots.size(), from + perPage)), pictures);
      }
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      document.save(out);
      return out.toByteArray();
    }
  }

  private void page(List<StoryShot> shots, Map<Integer, byte[]> pictures) throws IOException {
    PDPage page = new PDPage(PDRectangle.A4);
    document.addPage(page);
    float width = (PDRectangle.A4.getWidth() - 2 * MARGIN - GAP) / COLUMNS;
    float top = PDRectangle.A4.getHeight() - MARGIN - 22;
    float height = (top - MARGIN) / ROWS;
    try (PDPageContentStream c = new PDPageContentStream(document, page)) {
      String foot =
          String.format(
              Locale.ROOT,
              "%.1f s in %d shots",
              story.shots().seconds(),
              story.shots().shots().size());
      write(c, title, MARGIN, top + 8, 14);
      write(c, foot, PDRectangle.A4.getWidth() - MARGIN - width(foot, SMALL), top + 8, SMALL);
      for (int i = 0; i < shots.size(); i++) {
        float x = MARGIN + i % COLUMNS * (width + GAP);
        float y = top - (i / COLUMNS) * height;
        card(c, shots.get(i), pictures.get(shots.get(i).id()), x, y, width, height - 10);
      }
    }
  }

  private void card(
      PDPageContentStream c,
      StoryShot shot,
      byte[] picture,
      float x,
      float top,
      float width,
      float height)
      throws IOException {
    float room = height - (TEXT_LINES + 1.4f) * (SMALL + 2);
    float w = (float) Math.min(width, room * aspect);
    float h = (float) (w / aspect);
    if (picture == null) {
      c.setStrokingColor(0.6f);
      c.setLineDashPattern(new float[] {3, 3}, 0);
      c.addRect(x, top - h, w, h);
      c.stroke();
      c.setLineDashPattern(new float[0], 0);
      write(c, "no take yet", x + 8, top - h / 2, SMALL);
    } else {
      PDImageXObject image = JPEGFactory.createFromByteArray(document, picture);
      c.drawImage(image, x, top - h, w, h);
    }
    float y = top - h - SMALL - 4;
    String length = String.format(Locale.ROOT, "%.1f s", shot.seconds());
    write(c, shot.number() + "   " + length + "   " + shot.move().label(), x, y, SMALL + 1);
    List<String> text = new ArrayList<>(wrapped(shot.seen(), width, 2));
    if (shot.line() > 0 && shot.line() <= lines.size()) {
      SpokenLine line = lines.get(shot.line() - 1);
      text.addAll(wrapped(line.speaker() + ": " + line.text(), width, 2));
    }
    for (String line : text) {
      y -= SMALL + 2;
      write(c, line, x, y, SMALL);
    }
  }

  private List<String> wrapped(String text, float width, int most) throws IOException {
    List<String> rows = new ArrayList<>();
    StringBuilder row = new StringBuilder();
    for (String word : printable(text).split("\\s+")) {
      String longer = row.isEmpty() ? word : row + " " + word;
      if (width(longer, SMALL) > width && !row.isEmpty()) {
        rows.add(row.toString());
        row.setLength(0);
        row.append(word);
        if (rows.size() == most) {
          String last = rows.get(most - 1);
          rows.set(most - 1, last + "…");
          return rows;
        }
      } else {
        row.setLength(0);
        row.append(longer);
      }
    }
    if (!row.isEmpty()) {
      rows.add(row.toString());
    }
    return rows;
  }

  private void write(PDPageContentStream c, String text, float x, float y, float size)
      throws IOException {
    c.beginText();
    c.setFont(font, size);
    c.newLineAtOffset(x, y);
    c.showText(printable(text));
    c.endText();
  }

  private float width(String text, float size) throws IOException {
    return font.getStringWidth(printable(text)) / 1000 * size;
  }

  /** What the font has no letter for is printed as a question mark. */
  private String printable(String text) {
    StringBuilder out = new StringBuilder();
    text.codePoints()
        .forEach(
            p -> {
              String letter = Character.toString(Character.isISOControl(p) ? ' ' : p);
              try {
                font.encode(letter);
                out.append(letter);
              } catch (IOException | IllegalArgumentException e) {
                out.append('?');
              }
            });
    return out.toString();
  }
}
