package app.latethistle.core.interchange;

import app.latethistle.core.look.Cdl;
import java.util.Locale;

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
}
