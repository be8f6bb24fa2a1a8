package app.latethistle.core.interchange;

import app.latethistle.core.Refused;
import app.latethistle.core.look.Cdl;
import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import javax.xml.parsers.DocumentBuilder;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;
import org.xml.sax.SAXException;
import org.xml.sax.SAXParseException;

/** A colour decision list as XML (ASC CDL v1.2). */
public final class CdlText {
  private CdlText() {}

  /**
   * The text of a .cdl file, with one correction.
   *
   * @param id of the correction
   */
  public static String decision(String id, Cdl list) {
    return """
        <?xml version="1.0" encoding="UTF-8"?>
        <ColorDecisionList xmlns="urn:ASC:CDL:v1.2">
          <ColorDecision>
        %s  </ColorDecision>
        </ColorDecisionList>
        """
        .formatted(element(id, "", list).indent(4));
  }

  /**
   * The text of a .cc file, which is one correction.
   *
   * @param id of the correction
   */
  public static String correction(String id, Cdl list) {
    return """
        <?xml version="1.0" encoding="UTF-8"?>
        %s"""
        .formatted(element(id, " xmlns=\"urn:ASC:CDL:v1.2\"", list));
  }

  private static String element(String id, String space, Cdl list) {
    return """
        <ColorCorrection id="%s"%s>
          <SOPNode>
            <Slope>%s</Slope>
            <Offset>%s</Offset>
            <Power>%s</Power>
          </SOPNode>
          <SATNode>
            <Saturation>%s</Saturation>
          </SATNode>
        </ColorCorrection>
        """
        .formatted(
            id.replace("&", "&amp;").replace("<", "&lt;").replace("\"", "&quot;"),
            space,
            three(list.slope()),
            three(list.offset()),
            three(list.power()),
            one(list.saturation()));
  }

  private static String three(Cdl.Triple t) {
    return one(t.red()) + " " + one(t.green()) + " " + one(t.blue());
  }

  private static String one(double value) {
    return String.format(Locale.ROOT, "%.6f", value);
  }

  /** A correction of a file. */
  public record Named(String id, Cdl list) {}

  /**
   * Reads the corrections of a .cc, .ccc or .cdl file; what they do not say is as it was.
   *
   * @throws IllegalArgumentException if it has none, naming what is wrong
   */
  public static List<Named> parse(String text) {
    NodeList found;
    try {
      DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
      // A list of colours needs no outside, and an entity could grow without end.
      factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
      factory.setNamespaceAware(true);
      DocumentBuilder builder = factory.newDocumentBuilder();
      builder.setErrorHandler(null);
      found =
          builder
              .parse(new InputSource(new StringReader(text)))
              .getElementsByTagNameNS("*", "ColorCorrection");
    } catch (SAXParseException e) {
      throw new Refused(
          "Line " + e.getLineNumber() + " of the list: this is not the XML of a colour list.");
    } catch (SAXException | IOException | ParserConfigurationException e) {
      throw new Refused("This is not the XML of a colour list.");
    }
    List<Named> all = new ArrayList<>();
    for (int i = 0; i < found.getLength(); i++) {
      all.add(named((Element) found.item(i)));
    }
    if (all.isEmpty()) {
      throw new Refused("The file has no ColorCorrection in it.");
    }
    return all;
  }

  private static Named named(Element correction) {
    String id = correction.getAttribute("id");
    double[] saturation = numbers(correction, id, "Saturation", 1, 1);
    return new Named(
        id,
        new Cdl(
            triple(numbers(correction, id, "Slope", 3, 1)),
            triple(numbers(correction, id, "Offset", 3, 0)),
            triple(numbers(correction, id, "Power", 3, 1)),
            saturation[0]));
  }

  private static Cdl.Triple triple(double[] n) {
    return new Cdl.Triple(n[0], n[1], n[2]);
  }

  /** The numbers of an element below a correction; as usual if there is none. */
  private static double[] numbers(
      Element correction, String id, String name, int count, double usual) {
    NodeList found = correction.getElementsByTagNameNS("*", name);
    double[] numbers = new double[count];
    Arrays.fill(numbers, usual);
    if (found.getLength() == 0) {
      return numbers;
    }
    String text = found.item(0).getTextContent().strip();
    String[] words = text.split("\\s+");
    try {
      if (words.length == count) {
        for (int i = 0; i < count; i++) {
          numbers[i] = Double.parseDouble(words[i]);
        }
        return numbers;
      }
    } catch (NumberFormatException e) {
      // Said below.
    }
    throw new Refused(
        name + " of \"" + id + "\" has to be " + count + " numbers, not \"" + text + "\".");
  }
}
