package app.latethistle.core.interchange;

import app.latethistle.core.look.Cdl;
import java.util.Locale;

/** A colour decision list as the text of a .cdl file (ASC CDL v1.2, annex on XML). */
public final class CdlText {
  private CdlText() {}

  /**
   * The text, with one correction.
   *
   * @param id of the correction
   */
  public static String of(String id, Cdl list) {
    return """
        <?xml version="1.0" encoding="UTF-8"?>
        <ColorDecisionList xmlns="urn:ASC:CDL:v1.2">
          <ColorDecision>
            <ColorCorrection id="%s">
              <SOPNode>
                <Slope>%s</Slope>
                <Offset>%s</Offset>
                <Power>%s</Power>
              </SOPNode>
              <SATNode>
                <Saturation>%s</Saturation>
              </SATNode>
            </ColorCorrection>
          </ColorDecision>
        </ColorDecisionList>
        """
        .formatted(
            id.replace("&", "&amp;").replace("<", "&lt;").replace("\"", "&quot;"),
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
