package app.latethistle.server.release;

import app.latethistle.faces.ShippedFile;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Calendar;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** Sets a sheet on pages of A4, in a face that ships, with all its letters in the file. */
final class SheetPdf {
  private static final String FAMILY = "Source Sans 3";

  /** Sizes in points, 1/72 inch: common practice, no source. */
  private static final float TEXT = 10.5f;

  private static final float HEADING = 17;
  private static final float LEADING = 1.4f;
  private static final float MARGIN = 64;

  private final PDDocument document;
  private final List<PDFont> fonts = new ArrayList<>();
  private PDPageContentStream page;
  private float y;

  private SheetPdf(PDDocument document) throws IOException {
    this.document = document;
    for (ShippedFile file : ShippedFile.all()) {
      if (file.family().equals(FAMILY) && file.weight() < 600 && !file.italic()) {
        try (InputStream in = file.open()) {
          fonts.add(PDType0Font.load(document, in));
        }
      }
    }
  }

  /** A part of a sheet under its heading; lines stand as they are. */
  record Section(String heading, String text) {}

  /**
   * The pages.
   *
   * @param title of the document
   */
  static byte[] of(String title, List<Section> sections) throws IOException {
    try (PDDocument document = new PDDocument()) {
      document.getDocumentInformation().setTitle(title);
      document.getDocumentInformation().setCreationDate(Calendar.getInstance());
      SheetPdf pdf = new SheetPdf(document);
      pdf.turn();
      for (Section section : sections) {
        if (!section.text.isBlank()) {
          pdf.line(section.heading, HEADING);
          for (String line : section.text.strip().split("\n")) {
            pdf.paragraph(line);
          }
          pdf.y -= TEXT;
        }
      }
      pdf.page.close();
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      document.save(out);
      return out.toByteArray();
    }
  }

  private void turn() throws IOException {
    if (page != null) {
      page.close();
    }
    PDPage next = new PDPage(PDRectangle.A4);
    document.addPage(next);
    page = new PDPageContentStream(document, next);
    y = PDRectangle.A4.getHeight() - MARGIN;
  }

  private void paragraph(String text) throws IOException {
    float wide = PDRectangle.A4.getWidth() - 2 * MARGIN;
    StringBuilder line = new StringBuilder();
    for (String word : text.split(" ")) {
      String longer = line.isEmpty() ? word : line + " " + word;
      if (!line.isEmpty() && width(longer, TEXT) > wide) {
        line(line.toString(), TEXT);
        line.setLength(0);
        line.append(word);
      } else {
        line.setLength(0);
        line.append(longer);
      }
    }
    line(line.toString(), TEXT);
  }

  private void line(String text, float size) throws IOException {
    if (y - size < MARGIN) {
      turn();
    }
    y -= size * LEADING;
    page.beginText();
    page.newLineAtOffset(MARGIN, y);
    for (Map.Entry<String, PDFont> run : runs(text)) {
      page.setFont(run.getValue(), size);
      page.showText(run.getKey());
    }
    page.endText();
  }

  private float width(String text, float size) throws IOException {
    float width = 0;
    for (Map.Entry<String, PDFont> run : runs(text)) {
      width += run.getValue().getStringWidth(run.getKey()) / 1000 * size;
    }
    return width;
  }

  /** A text in pieces that one font has each; a letter that none has becomes a question mark. */
  private List<Map.Entry<String, PDFont>> runs(String text) {
    List<Map.Entry<String, PDFont>> runs = new ArrayList<>();
    Map<PDFont, StringBuilder> open = new LinkedHashMap<>();
    text.codePoints()
        .filter(letter -> !Character.isISOControl(letter))
        .forEach(
            letter -> {
              String one = Character.toString(letter);
              PDFont font = fonts.stream().filter(f -> has(f, one)).findFirst().orElse(null);
              PDFont used = font == null ? fonts.get(0) : font;
              if (!open.containsKey(used)) {
                close(open, runs);
              }
              open.computeIfAbsent(used, f -> new StringBuilder()).append(font == null ? "?" : one);
            });
    close(open, runs);
    return runs;
  }

  private static void close(Map<PDFont, StringBuilder> open, List<Map.Entry<String, PDFont>> runs) {
    open.forEach((font, text) -> runs.add(Map.entry(text.toString(), font)));
    open.clear();
  }

  private static boolean has(PDFont font, String letter) {
    try {
      font.encode(letter);
      return true;
    } catch (IOException | IllegalArgumentException e) {
      return false;
    }
  }
}
