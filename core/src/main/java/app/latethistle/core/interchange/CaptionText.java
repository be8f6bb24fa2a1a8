package app.latethistle.core.interchange;

import app.latethistle.core.words.Align;
import app.latethistle.core.words.CaptionStyle;
import app.latethistle.core.words.Plate;
import app.latethistle.core.words.Speakers;
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

  /** Captions in a form, as far as it can say how they look. */
  public static String write(CaptionFormat format, List<TimedText> captions, CaptionLook look) {
    return switch (format) {
      case SRT -> srt(captions);
      case VTT -> vtt(captions, look);
      case TTML -> ttml(captions, look);
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

  /** By WebVTT (W3C): its look as a style sheet, who speaks as voices, each in a colour's class. */
  private static String vtt(List<TimedText> captions, CaptionLook look) {
    StringBuilder text = new StringBuilder("WEBVTT\n\n");
    List<String> voices = voices(captions);
    look.style().ifPresent(style -> text.append(sheet(style, voices.size())));
    for (TimedText c : captions) {
      text.append(clock(c.start(), '.')).append(" --> ").append(clock(c.end(), '.'));
      if (look.bottom() != 100 - MARGIN) {
        text.append(" line:").append(look.bottom()).append("%,end");
      }
      text.append(
          switch (aligned(look, voices.indexOf(c.voice()))) {
            case START -> " align:start";
            case MIDDLE -> "";
            case END -> " align:end";
          });
      text.append('\n');
      for (String line : c.lines()) {
        text.append(voiced(escaped(line), c.voice(), voices.indexOf(c.voice()))).append('\n');
      }
      text.append('\n');
    }
    return text.toString();
  }

  /** Where the captions of one who speaks stand. */
  private static Align aligned(CaptionLook look, int voice) {
    return look.style()
        .filter(style -> style.speakers() == Speakers.PLACES)
        .map(style -> style.lettering(voice).spacing().align())
        .orElse(Align.MIDDLE);
  }

  private static String voiced(String line, String voice, int number) {
    if (number < 0) {
      return line;
    }
    return "<v.s%d %s>%s</v>".formatted(number, escaped(voice), line);
  }

  private static String escaped(String text) {
    return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
  }

  private static String sheet(CaptionStyle style, int voices) {
    StringBuilder text = new StringBuilder("STYLE\n::cue { color: ");
    text.append(hex(style.lettering().colour()));
    text.append("; background-color: ").append(behind(style)).append(" }\n");
    for (int i = 0; i < voices; i++) {
      int colour = style.lettering(i).colour();
      if (colour != style.lettering().colour()) {
        text.append("::cue(.s").append(i).append(") { color: ").append(hex(colour)).append(" }\n");
      }
    }
    return text.append('\n').toString();
  }

  /** Those who speak, in the order they do first. */
  private static List<String> voices(List<TimedText> captions) {
    return captions.stream().map(TimedText::voice).filter(v -> !v.isEmpty()).distinct().toList();
  }

  private static String hex(int colour) {
    return String.format(Locale.ROOT, "#%06x", colour);
  }

  /** What lies behind the letters, as red, green, blue and opacity in hexadecimal. */
  private static String behind(CaptionStyle style) {
    Plate plate = style.lettering().plate();
    int opacity = plate.kind() == Plate.Kind.NONE ? 0 : Math.round(plate.opacity() * 2.55f);
    return hex(plate.colour()) + String.format(Locale.ROOT, "%02x", opacity);
  }

  private static String ttml(List<TimedText> captions, CaptionLook look) {
    List<String> voices = voices(captions);
    StringWriter text = new StringWriter();
    try {
      XMLStreamWriter xml = XMLOutputFactory.newInstance().createXMLStreamWriter(text);
      xml.writeStartDocument("UTF-8", "1.0");
      xml.writeStartElement("tt");
      xml.writeDefaultNamespace(TTML);
      xml.writeNamespace("ttp", PARAMETER);
      xml.writeNamespace("tts", STYLING);
      xml.writeAttribute("xml:lang", look.language());
      xml.writeAttribute("ttp", PARAMETER, "contentProfiles", IMSC);
      xml.writeAttribute("ttp", PARAMETER, "timeBase", "media");
      xml.writeStartElement("head");
      xml.writeStartElement("styling");
      xml.writeEmptyElement("style");
      xml.writeAttribute("xml:id", "caption");
      styled(xml, "color", look.style().map(s -> hex(s.lettering().colour())).orElse("#ffffff"));
      styled(xml, "backgroundColor", look.style().map(CaptionText::behind).orElse("#000000a0"));
      styled(xml, "fontFamily", "proportionalSansSerif");
      styled(xml, "fontSize", "100%");
      styled(xml, "textAlign", "center");
      for (int i = 0; i < voices.size() && look.style().isPresent(); i++) {
        xml.writeEmptyElement("style");
        xml.writeAttribute("xml:id", "s" + i);
        styled(xml, "color", hex(look.style().get().lettering(i).colour()));
        Align align = aligned(look, i);
        if (align != Align.MIDDLE) {
          styled(xml, "textAlign", align == Align.START ? "start" : "end");
        }
      }
      xml.writeEndElement();
      xml.writeStartElement("layout");
      xml.writeEmptyElement("region");
      xml.writeAttribute("xml:id", "lower");
      styled(xml, "origin", "5% " + MARGIN + "%");
      styled(xml, "extent", "90% " + (look.bottom() - MARGIN) + "%");
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
        int voice = look.style().isPresent() ? voices.indexOf(c.voice()) : -1;
        xml.writeAttribute("style", voice < 0 ? "caption" : "caption s" + voice);
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
