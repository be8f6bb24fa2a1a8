package app.latethistle.core.interchange;

import app.latethistle.core.Refused;
import java.io.StringReader;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * Reads captions of TTML 2 (W3C), of which IMSC 1.1 is a profile: each paragraph with the times it
 * says, from those of what it is in. Looks and places are not read.
 */
final class TtmlReader {
  /** Frames a second where a document says none. */
  private static final double USUAL_RATE = 30;

  private static final Pattern CLOCK =
      Pattern.compile("(\\d{2,3}):(\\d{2}):(\\d{2})(?:(\\.\\d+)|:(\\d{2,3})(?:\\.\\d+)?)?");
  private static final Pattern OFFSET = Pattern.compile("(\\d+(?:\\.\\d+)?)(h|m|s|ms|f|t)");

  private final String name;
  private final List<String> mended;
  private final List<CaptionReader.Block> blocks = new ArrayList<>();
  private final Deque<Span> within = new ArrayDeque<>();
  private double frames = USUAL_RATE;
  private double ticks;

  /** What an element says of its time: its first millisecond, and the one after its last. */
  private record Span(long start, long end) {}

  /** A paragraph that is being read. */
  private record Paragraph(Span at, int line, StringBuilder text) {}

  private TtmlReader(String name, List<String> mended) {
    this.name = name;
    this.mended = mended;
    within.push(new Span(0, Long.MAX_VALUE));
  }

  /**
   * The captions of a document.
   *
   * @throws IllegalArgumentException if it is none; names the line
   */
  static List<CaptionReader.Block> read(String name, String text, List<String> mended) {
    TtmlReader reader = new TtmlReader(name, mended);
    try {
      XMLInputFactory factory = XMLInputFactory.newInstance();
      factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
      factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
      factory.setProperty(XMLInputFactory.IS_COALESCING, true);
      reader.read(factory.createXMLStreamReader(new StringReader(text)));
    } catch (XMLStreamException e) {
      int line = e.getLocation() == null ? 1 : e.getLocation().getLineNumber();
      throw new Refused(name + ", line " + line + ": this is no XML that can be read.");
    }
    return reader.blocks;
  }

  private void read(XMLStreamReader xml) throws XMLStreamException {
    Paragraph open = null;
    int depth = 0;
    int ignored = 0;
    while (xml.hasNext()) {
      switch (xml.next()) {
        case XMLStreamConstants.START_ELEMENT -> {
          String element = xml.getLocalName();
          if (depth++ == 0) {
            root(xml, element);
          }
          ignored += ignored > 0 || element.equals("metadata") ? 1 : 0;
          Span at = span(xml);
          within.push(at);
          if (element.equals("p") && ignored == 0) {
            open = new Paragraph(at, xml.getLocation().getLineNumber(), new StringBuilder());
          } else if (element.equals("br") && open != null) {
            open.text.append('\n');
          }
        }
        case XMLStreamConstants.CHARACTERS -> {
          if (open != null && ignored == 0) {
            open.text.append(xml.getText().replaceAll("\\s+", " "));
          }
        }
        case XMLStreamConstants.END_ELEMENT -> {
          depth--;
          ignored -= ignored > 0 ? 1 : 0;
          within.pop();
          if (xml.getLocalName().equals("p") && open != null) {
            close(open);
            open = null;
          }
        }
        default -> {
          // Comments and instructions say nothing.
        }
      }
    }
  }

  private void root(XMLStreamReader xml, String element) {
    if (!element.equals("tt")) {
      throw new Refused(name + " is XML, but no TTML: it begins with <" + element + ">.");
    }
    for (int i = 0; i < xml.getAttributeCount(); i++) {
      String value = xml.getAttributeValue(i).strip();
      switch (xml.getAttributeLocalName(i)) {
        case "frameRate" -> frames *= number(value) / USUAL_RATE;
        case "frameRateMultiplier" -> {
          String[] parts = value.split("[ :]");
          frames *= parts.length == 2 ? number(parts[0]) / number(parts[1]) : 1;
        }
        case "tickRate" -> ticks = number(value);
        default -> {
          // Nothing that times hang on.
        }
      }
    }
  }

  private double number(String text) {
    try {
      double value = Double.parseDouble(text);
      if (value > 0) {
        return value;
      }
    } catch (NumberFormatException e) {
      // Told below.
    }
    throw new Refused(name + ": “" + text + "” is no rate; write a number such as 24.");
  }

  private Span span(XMLStreamReader xml) {
    Span outer = within.element();
    String begin = xml.getAttributeValue(null, "begin");
    String end = xml.getAttributeValue(null, "end");
    String dur = xml.getAttributeValue(null, "dur");
    long start = outer.start + (begin == null ? 0 : time(xml, begin));
    long until = end == null ? outer.end : outer.start + time(xml, end);
    return new Span(start, dur == null ? until : Math.min(until, start + time(xml, dur)));
  }

  /** A time in milliseconds, to the nearest. */
  private long time(XMLStreamReader xml, String said) {
    Matcher clock = CLOCK.matcher(said.strip());
    if (clock.matches()) {
      double seconds =
          3600.0 * Integer.parseInt(clock.group(1))
              + 60.0 * Integer.parseInt(clock.group(2))
              + Integer.parseInt(clock.group(3));
      seconds += clock.group(4) == null ? 0 : Double.parseDouble("0" + clock.group(4));
      seconds += clock.group(5) == null ? 0 : Integer.parseInt(clock.group(5)) / frames;
      return Math.round(1000 * seconds);
    }
    Matcher offset = OFFSET.matcher(said.strip());
    if (!offset.matches()) {
      throw new Refused(
          name
              + ", line "
              + xml.getLocation().getLineNumber()
              + ": “"
              + said
              + "” is no time; write it like 00:00:01.500 or 1.5s.");
    }
    double value = Double.parseDouble(offset.group(1));
    return Math.round(
        switch (offset.group(2)) {
          case "h" -> 3_600_000 * value;
          case "m" -> 60_000 * value;
          case "s" -> 1000 * value;
          case "ms" -> value;
          case "f" -> 1000 * value / frames;
          // Without a rate a tick is a second.
          default -> 1000 * value / (ticks > 0 ? ticks : 1);
        });
  }

  private void close(Paragraph read) {
    List<String> lines =
        Arrays.stream(read.text.toString().split("\n"))
            .map(line -> line.replaceAll(" +", " ").strip())
            .filter(line -> !line.isEmpty())
            .toList();
    if (lines.isEmpty()) {
      return;
    }
    if (read.at.end == Long.MAX_VALUE || read.at.end <= read.at.start) {
      mended.add("line " + read.line + ": it has no end after its beginning; it was left out");
    } else {
      TimedText caption = new TimedText(read.at.start, read.at.end, lines);
      blocks.add(new CaptionReader.Block(caption, read.line));
    }
  }
}
