package app.latethistle.core.interchange;

import java.io.StringWriter;
import java.util.List;
import java.util.Locale;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** Writes captions as text. */
public final class CaptionText {
  private static final String TTML = "http://www.w3.org/ns/ttml";
  private static final String PARAMETER = TTML + "#parameter";
  private static final String STYLING = TTML + "#styling";
  private static final String IMSC = TTML + "/profile/imsc1.1/text";

  /** Percent of the picture's height that captions stand above its lower edge, by EBU R 95. */
  private static final int MARGIN = 5;

  private CaptionText() {}

  /**
   * Captions in a form.
   *
   * @param language as in BCP 47
   * @param bottom where the last line ends, in percent of the picture's height
   */
  public static String write(
      CaptionFormat format, List<TimedText> captions, String language, int bottom) {
    return switch (format) {
      case SRT -> srt(captions);
      case VTT -> vtt(captions, bottom);
      case TTML -> ttml(captions, language, bottom);
    };
  }

  private static String srt(List<TimedText> captions) {
    StringBuilder text = new StringBuilder();
    for (int i = 0; i < captions.size(); i++) {
      TimedText c = captions.get(i);
      text.append(i + 1).append("\r\n");
      text.append(clock(c.start(), ',')).append(" --> ").append(clock(c.end(), ','));
      text.append("\r\n").append(String.join("\r\n", c.lines())).append("\r\n\r\n");
    }
    return text.toString();
  }

  private static String vtt(List<TimedText> captions, int bottom) {
    StringBuilder text = new StringBuilder("WEBVTT\n\n");
    for (TimedText c : captions) {
      text.append(clock(c.start(), '.')).append(" --> ").append(clock(c.end(), '.'));
      if (bottom != 100 - MARGIN) {
        text.append(" line:").append(bottom).append("%,end");
      }
      text.append('\n');
      for (String line : c.lines()) {
        text.append(line.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;"));
        text.append('\n');
      }
      text.append('\n');
    }
    return text.toString();
  }

  private static String ttml(List<TimedText> captions, String language, int bottom) {
    StringWriter text = new StringWriter();
    try {
      XMLStreamWriter xml = XMLOutputFactory.newInstance().createXMLStreamWriter(text);
      xml.writeStartDocument("UTF-8", "1.0");
      xml.writeStartElement("tt");
      xml.writeDefaultNamespace(TTML);
      xml.writeNamespace("ttp", PARAMETER);
      xml.writeNamespace("tts", STYLING);
      xml.writeAttribute("xml:lang", language);
      xml.writeAttribute("ttp", PARAMETER, "contentProfiles", IMSC);
      xml.writeAttribute("ttp", PARAMETER, "timeBase", "media");
      xml.writeStartElement("head");
      xml.writeStartElement("styling");
      xml.writeEmptyElement("style");
      xml.writeAttribute("xml:id", "caption");
      styled(xml, "color", "white");
      styled(xml, "backgroundColor", "#000000a0");
      styled(xml, "fontFamily", "proportionalSansSerif");
      styled(xml, "fontSize", "100%");
      styled(xml, "textAlign", "center");
      xml.writeEndElement();
      xml.writeStartElement("layout");
      xml.writeEmptyElement("region");
      xml.writeAttribute("xml:id", "lower");
      styled(xml, "origin", "5% " + MARGIN + "%");
      styled(xml, "extent", "90% " + (bottom - MARGIN) + "%");
      styled(xml, "displayAlign", "after");
      xml.writeEndElement();
      xml.writeEndElement();
      xml.writeStartElement("body");
      xml.writeStartElement("div");
      xml.writeAttribute("region", "lower");
      for (TimedText c : captions) {
        xml.writeCharacters("\n");
        xml.writeStartElement("p");
        xml.writeAttribute("begin", clock(c.start(), '.'));
        xml.writeAttribute("end", clock(c.end(), '.'));
        xml.writeAttribute("style", "caption");
        for (int i = 0; i < c.lines().size(); i++) {
          if (i > 0) {
            xml.writeEmptyElement("br");
          }
          xml.writeCharacters(c.lines().get(i));
        }
        xml.writeEndElement();
      }
      xml.writeEndDocument();
      xml.close();
    } catch (XMLStreamException e) {
      throw new IllegalStateException("Captions could not be written.", e);
    }
    return text + "\n";
  }

  private static void styled(XMLStreamWriter xml, String name, String value)
      throws XMLStreamException {
    xml.writeAttribute("tts", STYLING, name, value);
  }

  /** Hours, minutes, seconds and milliseconds. */
  private static String clock(long ms, char point) {
    return String.format(
        Locale.ROOT,
        "%02d:%02d:%02d%c%03d",
        ms / 3_600_000,
        ms / 60_000 % 60,
        ms / 1000 % 60,
        point,
        ms % 1000);
  }
}
