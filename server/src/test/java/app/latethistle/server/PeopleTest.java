package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Titles, focus and thumbnails of a film in which somebody looks out of a picture. */
class PeopleTest {
  /** Where the face is, in thousandths of the picture. */
  private static final int X = 290;

  private static final int Y = 420;

  private final EditedFilm cut =
      EditedFilm.make(RunningServer.shared().api(), 12, Map.of("shot_005_take1.png", somebody()));

  /** A wall and a face, painted. */
  private static byte[] somebody() {
    BufferedImage picture = new BufferedImage(960, 540, BufferedImage.TYPE_INT_RGB);
    Graphics2D to = picture.createGraphics();
    to.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    to.setColor(new Color(0x5a6a70));
    to.fillRect(0, 0, 960, 540);
    double[][] discs = {
      {0, -0.25, 0.84, 0.9, 0x3c281e},
      {0, 0, 0.78, 0.95, 0xe0b08c},
      {-0.32, -0.32, 0.2, 0.06, 0x3c281e},
      {0.32, -0.32, 0.2, 0.06, 0x3c281e},
      {-0.32, -0.12, 0.17, 0.09, 0xf5f5f5},
      {0.32, -0.12, 0.17, 0.09, 0xf5f5f5},
      {-0.32, -0.12, 0.085, 0.085, 0x281e14},
      {0.32, -0.12, 0.085, 0.085, 0x281e14},
      {0, 0.2, 0.09, 0.06, 0x9c7b62},
      {0, 0.5, 0.28, 0.09, 0xaa4646}
    };
    double r = 110;
    for (double[] d : discs) {
      to.setColor(new Color((int) d[4]));
      double x = X * 0.96 + (d[0] - d[2]) * r;
      double y = Y * 0.54 + (d[1] - d[3]) * r;
      to.fill(new Ellipse2D.Double(x, y, 2 * d[2] * r, 2 * d[3] * r));
    }
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    try {
      ImageIO.write(picture, "png", png);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return png.toByteArray();
  }

  @Test
  void aFocusIsFoundOnAFace() {
    cut.edit("find-focus", Map.of("places", List.of(0)));
    JsonNode focus = cut.shot(0).get("focus");
    assertThat(focus.get("points")).hasSize(1);
    assertThat(focus.at("/points/0/x").asInt()).isCloseTo(X, offset(25));
    assertThat(focus.at("/points/0/y").asInt()).isCloseTo(Y, offset(40));
    assertThat(focus.get("across").asInt()).isBetween(150, 400);
  }

  @Test
  void aTitleOverAFaceIsToldAndMovedClear() {
    cut.edit(
        "add-title",
        Map.of(
            "design",
            "Name at the edge",
            "text",
            "Maren",
            "at",
            Map.of("tie", "free", "frame", cut.shot(0).get("start").asLong() + 4)));
    String id = title().get("id").asString();
    put(id, Map.of("x", 700, "y", 800, "width", 300));
    assertThat(sight(id).get("covers").asBoolean()).isFalse();
    put(id, Map.of("x", X, "y", Y, "width", 300));
    JsonNode sight = sight(id);
    assertThat(sight.get("covers").asBoolean()).isTrue();
    assertThat(findings()).contains("lies over a face");
    WordsTest.takeMove(cut, id, sight);
    assertThat(sight(id).get("covers").asBoolean()).isFalse();
    assertThat(findings()).doesNotContain("lies over a face");
  }

  private void put(String id, Map<String, Object> box) {
    cut.edit("change-title", Map.of("title", Map.of("id", id, "box", box)));
  }

  private JsonNode title() {
    return cut.api.get(cut.path + "/film/words").json().get("titles").get(0);
  }

  private JsonNode sight(String id) {
    return cut.api.get(cut.path + "/film/titles/" + id + "/sight").json();
  }

  private String findings() {
    return cut.api
        .until(
            cut.path + "/film/checks?group=PICTURES",
            looked -> looked.get("done").asInt() == looked.get("of").asInt())
        .toString();
  }

  @Test
  void aThumbnailSaysThatItShowsSomebody() {
    JsonNode found = cut.api.get(cut.path + "/film/thumbnails").json();
    long until = cut.shot(0).get("end").asLong();
    assertThat(found.valueStream())
        .anySatisfy(
            one -> {
              assertThat(one.get("frame").asLong()).isLessThan(until);
              assertThat(one.get("faces").asInt()).isEqualTo(1);
            });
    assertThat(found.valueStream())
        .anySatisfy(one -> assertThat(one.get("faces").asInt()).isZero());
  }
}
