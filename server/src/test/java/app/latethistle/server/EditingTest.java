package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The trade's edits through the API, with undo back to the very same film. */
class EditingTest {
  private EditedFilm cut;
  private String start;

  @BeforeEach
  void make() {
    cut = EditedFilm.make(RunningServer.shared().api(), 18);
    start = cut.content();
  }

  private long onBeats() {
    return cut.film
        .get("joints")
        .valueStream()
        .filter(joint -> joint.get("tie").asString().equals("BEAT"))
        .count();
  }

  private static Map<String, Object> frame(long frame) {
    return Map.of("offset", 0, "frame", frame);
  }

  private long at(int joint) {
    return cut.joint(joint).get("frame").asLong();
  }

  private long length() {
    return cut.film.get("length").asLong();
  }

  private void undoes(int edits) {
    for (int i = 0; i < edits; i++) {
      cut.undo();
    }
    assertThat(cut.content()).isEqualTo(start);
  }

  private Map<String, Object> piece(int place, long length) {
    Map<String, Object> piece = new HashMap<>(cut.piece(place, 2, length));
    piece.put("run", Map.of("way", "REVERSE", "from", 100, "to", 100, "between", "NEAREST"));
    return piece;
  }

  /** A shot is steadied along the movement of its take, is seen otherwise, and goes with undo. */
  @Test
  void aShotIsSteadied() {
    byte[] before = cut.still(at(1) + 5);
    for (String manner : List.of("SMOOTHED", "LOCKED")) {
      cut.edit("steady-path", Map.of("places", List.of(1), "manner", manner));
      JsonNode path = cut.shot(1).get("path");
      assertThat(path.get("points").size()).isGreaterThan(8);
      assertThat(path.get("points").get(0).get("size").asInt()).isBetween(1000, 1500);
    }
    assertThat(cut.still(at(1) + 5)).isNotEqualTo(before);
    undoes(2);
  }

  /** A still among the takes says which part of a transition comes first. */
  @Test
  void aTransitionGoesByAStillThatWasBroughtIn() throws IOException {
    BufferedImage ramp = new BufferedImage(64, 36, BufferedImage.TYPE_INT_RGB);
    for (int i = 0; i < 64 * 36; i++) {
      int grey = 4 * (i % 64);
      ramp.setRGB(i % 64, i / 64, grey << 16 | grey << 8 | grey);
    }
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    ImageIO.write(ramp, "png", png);
    cut.api.bring(cut.id, "own_wipe.png", png.toByteArray());
    JsonNode material =
        cut.api.until(
            cut.path + "/material",
            m -> stills(m).anyMatch(t -> t.get("state").asString().equals("READY")));
    String picture = stills(material).findFirst().orElseThrow().get("media").asString();
    Map<String, Object> own = new HashMap<>();
    own.put("kind", "LUMA");
    own.put("amount", 8);
    own.put("unit", "FRAMES");
    own.put("lies", "MIDDLE");
    own.put("softness", 10);
    own.put("holds", true);
    own.put("picture", "ab".repeat(32));
    assertThat(
            cut.tryEdit("set-transition", Map.of("joints", List.of(2), "transition", own)).text())
        .contains("still among the takes");
    own.put("picture", picture);
    cut.edit("set-transition", Map.of("joints", List.of(2), "transition", own));
    JsonNode how = cut.joint(2).get("passing").get("how");
    assertThat(how.get("picture").asString()).isEqualTo(picture);
    BufferedImage by = seen(at(2));
    own.remove("picture");
    own.put("kind", "WIPE");
    own.put("angle", 0);
    cut.edit("set-transition", Map.of("joints", List.of(2), "transition", own));
    BufferedImage wipe = seen(at(2));
    double apart = 0;
    for (int i = 0; i < by.getWidth() * by.getHeight(); i++) {
      int x = i % by.getWidth();
      int y = i / by.getWidth();
      apart += Math.abs((by.getRGB(x, y) >> 8 & 0xff) - (wipe.getRGB(x, y) >> 8 & 0xff));
    }
    assertThat(apart / by.getWidth() / by.getHeight()).as("as a wipe to the right").isLessThan(3);
    cut.undo();
    assertThat(cut.api.get(cut.path + "/film.json").text()).contains(picture);
    cut.undo();
  }

  private static Stream<JsonNode> stills(JsonNode material) {
    return material
        .get("shots")
        .valueStream()
        .flatMap(shot -> shot.get("takes").valueStream())
        .filter(take -> take.get("still").asBoolean() && !take.get("media").isNull())
        .filter(take -> take.get("fileName").asString().equals("own_wipe.png"));
  }

  private BufferedImage seen(long frame) throws IOException {
    return ImageIO.read(new ByteArrayInputStream(cut.still(frame)));
  }

  /** A transition is laid, is seen in the preview, is too long, is mended, and goes with undo. */
  @Test
  void transitionsAreLaidAndMended() {
    Map<String, Object> dissolve =
        Map.of(
            "kind",
            "DISSOLVE",
            "amount",
            4,
            "unit",
            "QUARTER_BEATS",
            "lies",
            "MIDDLE",
            "holds",
            false);
    cut.edit("set-transition", Map.of("joints", List.of(2), "transition", dissolve));
    JsonNode passing = cut.joint(2).get("passing");
    assertThat(passing.get("how").get("kind").asString()).isEqualTo("DISSOLVE");
    assertThat(passing.get("start").asLong()).isLessThan(at(2));
    assertThat(passing.get("end").asLong()).isGreaterThan(at(2));
    Api.Answer strip =
        cut.api.get(
            cut.path
                + "/preview/"
                + cut.film.get("revision").asLong()
                + "/joints/2/transition.jpg?kind=WIPE&amount=6&unit=FRAMES&holds=false&angle=0");
    assertThat(strip.status()).isEqualTo(200);
    // Cut again, the shots still dissolve, and there is material for it.
    cut.edit("first-cut", Map.of("everything", false));
    assertThat(cut.joint(2).get("passing").get("how").get("kind").asString()).isEqualTo("DISSOLVE");
    assertThat(cut.film.get("problems")).isEmpty();
    cut.undo();
    Map<String, Object> endless = new HashMap<>(dissolve);
    endless.put("amount", 120);
    cut.edit("set-transition", Map.of("joints", List.of(2), "transition", endless));
    JsonNode problem =
        cut.film
            .get("problems")
            .valueStream()
            .filter(p -> p.get("kind").asString().equals("TRANSITION_CROWDED"))
            .findFirst()
            .orElseThrow();
    assertThat(problem.get("text").asString()).contains("shorter than asked for");
    endless.put("amount", 129);
    assertThat(
            cut.tryEdit("set-transition", Map.of("joints", List.of(2), "transition", endless))
                .text())
        .contains("32 beats");
    assertThat(
            cut.tryEdit("set-transition", Map.of("joints", List.of(0), "transition", dissolve))
                .text())
        .contains("between two shots");
    undoes(2);
  }

  private static Map<String, Object> flash(Object follows) {
    Map<String, Object> value = new HashMap<>();
    value.put("value", 0);
    value.put("follows", follows);
    return Map.of("kind", "FLASH", "values", List.of(value), "bypassed", false);
  }

  /** A shot flashes on its beats, a stretch and the whole film are treated, and all is undone. */
  @Test
  void picturesAreTreated() {
    long beat =
        cut.film
            .get("clock")
            .get("frames")
            .valueStream()
            .mapToLong(JsonNode::asLong)
            .filter(f -> f > at(1) && f < at(2) - 4)
            .findFirst()
            .orElseThrow();
    byte[] plain = cut.still(beat);
    byte[] before = cut.still(beat - 1);
    byte[] later = cut.still(beat + 1);
    Map<String, Object> beats = Map.of("source", "BEATS", "to", 90, "attack", 0, "decay", 100);
    Object id = cut.shot(1).get("id").asString();
    cut.edit("set-treatments", Map.of("items", List.of(id), "treatments", List.of(flash(beats))));
    assertThat(cut.shot(1).get("treatments").size()).isEqualTo(1);
    assertThat(cut.shot(1).get("amounts").get((int) (beat - at(1))).asInt()).isEqualTo(100);
    assertThat(cut.still(beat)).isNotEqualTo(plain);
    assertThat(cut.still(beat - 1)).isEqualTo(before);
    // A bypassed one is kept and does nothing.
    Map<String, Object> out = new HashMap<>(flash(beats));
    out.put("bypassed", true);
    cut.edit("set-treatments", Map.of("items", List.of(id), "treatments", List.of(out)));
    assertThat(cut.still(beat)).isEqualTo(plain);
    cut.edit(
        "lay-treatments",
        Map.of(
            "start",
            frame(beat - 1),
            "end",
            frame(beat + 1),
            "treatments",
            List.of(Map.of("kind", "MIRROR", "bypassed", false))));
    assertThat(cut.film.get("overlays").get(0).get("shot").get("takeId").asLong()).isZero();
    assertThat(cut.still(beat)).isNotEqualTo(plain);
    assertThat(cut.still(beat + 1)).as("past its end").isEqualTo(later);
    cut.edit("set-treatments", Map.of("items", List.of(""), "treatments", List.of(flash(beats))));
    assertThat(cut.film.get("treatments").size()).isEqualTo(1);
    String tile =
        cut.path
            + "/preview/"
            + cut.film.get("revision").asLong()
            + "/frames/"
            + beat
            + "/treatment.jpg?kind=GLOW&item=";
    assertThat(cut.api.get(tile + id).status()).isEqualTo(200);
    assertThat(cut.api.get(tile).status()).isEqualTo(200);
    undoes(4);
    assertThat(cut.still(beat)).isEqualTo(plain);
  }

  /** The song's level is listened to when something follows it. */
  @Test
  void aValueFollowsTheSongsLevel() {
    Object id = cut.shot(1).get("id").asString();
    Map<String, Object> low = Map.of("source", "LOW", "to", 90, "attack", 0, "decay", 50);
    cut.edit("set-treatments", Map.of("items", List.of(id), "treatments", List.of(flash(low))));
    assertThat(
            cut.shot(1).get("amounts").valueStream().mapToInt(JsonNode::asInt).max().orElseThrow())
        .isGreaterThan(30);
    assertThat(cut.still(at(1) + 3)).isNotEmpty();
    undoes(1);
  }

  @Test
  void whatATreatmentCannotBeIsSaid() {
    Object id = cut.shot(1).get("id").asString();
    Map<String, Object> far = Map.of("source", "BEATS", "to", 900, "attack", 0, "decay", 100);
    assertThat(
            cut.tryEdit(
                    "set-treatments",
                    Map.of("items", List.of(id), "treatments", List.of(flash(far))))
                .text())
        .contains("\\\"amount\\\" is from 0 to 100, not 900");
    assertThat(
            cut.tryEdit(
                    "set-treatments",
                    Map.of(
                        "items",
                        List.of(id),
                        "treatments",
                        Collections.nCopies(9, Map.of("kind", "HAZE", "bypassed", false))))
                .text())
        .contains("at most 8 treatments");
    assertThat(
            cut.tryEdit("set-treatments", Map.of("items", List.of(), "treatments", List.of()))
                .text())
        .contains("Choose a shot first");
  }

  /** A focus is found and set, the film is seen in other shapes, and all is undone. */
  @Test
  void theFilmIsSeenInOtherShapesAboutItsFocus() {
    JsonNode shapes = cut.film.get("shapes");
    assertThat(shapes.valueStream().map(s -> s.get("name").asString()))
        .containsExactly("16:9", "9:16", "1:1", "4:5", "21:9");
    assertThat(shapes.get(3).get("width").asInt()).isEqualTo(360);
    assertThat(shapes.get(3).get("height").asInt()).isEqualTo(450);
    byte[] middle = cut.still("@9x16", at(1) + 2);
    Map<String, Object> left =
        Map.of("points", List.of(Map.of("at", 0, "x", 100, "y", 500)), "across", 0, "down", 0);
    cut.edit("set-focus", Map.of("places", List.of(1), "focus", left));
    byte[] about = cut.still("@9x16", at(1) + 2);
    assertThat(about).isNotEqualTo(middle);
    assertThat(size(about)).isEqualTo("360x640");
    assertThat(size(cut.still("@21:9", at(1) + 2))).isEqualTo("640x274");
    // Its own shape is as it was.
    assertThat(cut.still("@16x9", at(1) + 2)).isEqualTo(cut.still(at(1) + 2));
    cut.edit("set-shape-framing", Map.of("places", List.of(1), "shape", "9:16", "fit", "SOFT"));
    assertThat(cut.still("@9x16", at(1) + 2)).isNotEqualTo(about);
    JsonNode upright = cut.shot(1).get("shapes").get(0);
    assertThat(upright.get("shape").asString()).isEqualTo("9:16");
    assertThat(upright.get("said").asString()).isEqualTo("SOFT");
    assertThat(cut.shot(1).get("shapes").get(1).get("said").isNull()).isTrue();
    assertThat(cut.shot(1).get("shapes").get(1).get("fit").asString()).isEqualTo("FILL");
    cut.edit("find-focus", Map.of("places", List.of(0, 1, 2)));
    assertThat(cut.shot(2).get("focus").get("points").size()).isPositive();
    String list =
        cut.api
            .get(cut.path + "/preview/" + cut.film.get("revision").asLong() + "@9x16/picture.m3u8")
            .text();
    String part = list.lines().filter(l -> l.endsWith(".ts")).findFirst().orElseThrow();
    assertThat(
            cut.api
                .get(cut.path + "/preview/" + cut.film.get("revision").asLong() + "@9x16/" + part)
                .status())
        .isEqualTo(200);
    assertThat(cut.api.get(cut.path + "/preview/1@wide/frames/0.jpg").text())
        .contains("two whole numbers");
    undoes(3);
  }

  /** What lies over the cut loses its backing: more of what lies under it is seen. */
  @Test
  void aBackingIsTakenOutOfWhatLiesOverTheCut() {
    cut.edit("lay-over", Map.of("piece", piece(2, 24), "start", frame(0), "end", frame(20)));
    Object name = cut.film.get("overlays").get(0).get("shot").get("id").asString();
    byte[] covered = cut.still(5);
    Map<String, Object> key =
        Map.of("colour", "#203a6a", "tolerance", 30, "softness", 10, "spill", 100, "shadow", 0);
    cut.edit("set-matte", Map.of("item", name, "matte", matte(key)));
    JsonNode keys = cut.film.get("overlays").get(0).get("shot").get("matte").get("keys");
    assertThat(keys.get(0).get("colour").asString()).isEqualTo("#203a6a");
    assertThat(cut.still(5)).isNotEqualTo(covered);
    assertThat(
            cut.tryEdit(
                    "set-matte",
                    Map.of(
                        "item",
                        name,
                        "matte",
                        matte(
                            Map.of(
                                "colour",
                                "blue",
                                "tolerance",
                                30,
                                "softness",
                                10,
                                "spill",
                                100,
                                "shadow",
                                0))))
                .text())
        .contains("#rrggbb");
    assertThat(cut.tryEdit("take-out-colour", Map.of("item", "nothing")).text())
        .contains("not in the film");
    cut.edit("add-mask", Map.of("item", name, "kind", "ELLIPSE"));
    JsonNode masks = cut.film.get("overlays").get(0).get("shot").get("matte").get("masks");
    assertThat(masks.get(0).get("points").size()).isEqualTo(2);
    cut.edit("set-matte", Map.of("item", name, "matte", matte()));
    assertThat(cut.still(5)).isEqualTo(covered);
    cut.edit("take-out-colour", Map.of("item", name, "colour", "#20b040"));
    assertThat(cut.film.get("overlays").get(0).get("shot").get("matte").get("keys").size())
        .isEqualTo(1);
    undoes(5);
  }

  private static Map<String, Object> matte(Object... keys) {
    return Map.of("keys", List.of(keys), "masks", List.of(), "wrap", 20);
  }

  private static String size(byte[] jpeg) {
    try {
      BufferedImage image = ImageIO.read(new ByteArrayInputStream(jpeg));
      return image.getWidth() + "x" + image.getHeight();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** What is offered where a shot has too little for its transition does what it says. */
  @Test
  void aShotTooShortForItsTransitionIsMended() {
    int place = 1;
    long spare =
        cut.shot(place).get("material").asLong()
            - cut.shot(place).get("in").asLong()
            - cut.shot(place).get("used").asLong();
    Map<String, Object> after =
        Map.of(
            "kind", "PUSH", "amount", spare + 5, "unit", "FRAMES", "lies", "START", "holds", false);
    cut.edit("set-transition", Map.of("joints", List.of(place + 1), "transition", after));
    assertThat(cut.joint(place + 1).get("passing").get("endsShort").asLong()).isEqualTo(5);
    cut.edit("mend", Map.of("place", place, "problem", "ENDS_SHORT", "remedy", "SHORTEN"));
    JsonNode passing = cut.joint(place + 1).get("passing");
    assertThat(passing.get("how").get("amount").asLong()).isEqualTo(spare);
    assertThat(passing.get("endsShort").asLong()).isZero();
    undoes(2);
  }

  private static Map<String, Object> view(int at, int size, int right, int turn) {
    return Map.of("at", at, "size", size, "right", right, "down", 0, "turn", turn);
  }

  /** A move is kept inside the take, parted by a split, kept by another take, and undone. */
  @Test
  void theCameraMovesOverATakeAndStaysInside() {
    Map<String, Object> path =
        Map.of(
            "points",
            List.of(view(0, 1000, 4000, 0), view(1000, 1200, 0, 300)),
            "easing",
            "SLOW_BOTH");
    cut.edit("set-path", Map.of("places", List.of(1, 2), "path", path));
    JsonNode first = cut.shot(1).get("path").get("points").get(0);
    assertThat(first.get("right").asInt()).isZero();
    JsonNode last = cut.shot(2).get("path").get("points").get(1);
    assertThat(last.get("size").asInt()).isEqualTo(1200);
    assertThat(cut.shot(1).get("path").get("fills").get("last").asDouble())
        .isGreaterThan(cut.shot(1).get("path").get("fills").get("first").asDouble());
    long middle = (at(1) + at(2)) / 2;
    cut.edit("split", Map.of("place", 1, "to", frame(middle)));
    assertThat(cut.shot(1).get("path").isNull()).isFalse();
    assertThat(cut.shot(2).get("path").get("fills").get("first").asDouble())
        .isGreaterThan(cut.shot(1).get("path").get("fills").get("first").asDouble());
    assertThat(
            cut.api
                .get(
                    cut.path
                        + "/preview/"
                        + cut.film.get("revision").asLong()
                        + "/frames/"
                        + middle
                        + ".jpg")
                .status())
        .isEqualTo(200);
    Map<String, Object> backward =
        Map.of("points", List.of(view(0, 1000, 0, 0), view(0, 1200, 0, 0)), "easing", "EVEN");
    assertThat(cut.tryEdit("set-path", Map.of("places", List.of(1), "path", backward)).text())
        .contains("later than the one before");
    assertThat(cut.tryEdit("propose-path", Map.of("places", List.of(0))).text())
        .contains("set the two frames by hand");
    undoes(2);
  }

  @Test
  void trimsRippleRollAndSlide() {
    long length = length();
    long second = at(2);
    cut.edit("ripple", Map.of("place", 1, "start", false, "to", frame(second - 7)));
    assertThat(length()).isEqualTo(length - 7);
    long in = cut.shot(2).get("in").asLong();
    cut.edit("roll", Map.of("joint", 2, "to", frame(at(2) + 3)));
    assertThat(length()).isEqualTo(length - 7);
    assertThat(cut.shot(2).get("in").asLong()).isEqualTo(in + 3);
    long third = at(3);
    cut.edit("slide", Map.of("place", 2, "to", frame(at(2) - 2)));
    assertThat(at(3)).isEqualTo(third - 2);
    undoes(3);
  }

  @Test
  void aBeatLessKeepsWhatFollowsOnItsBeats() {
    long ties = onBeats();
    int beat = cut.joint(2).get("beat").asInt();
    Map<String, Object> sooner = Map.of("beat", beat - 1, "offset", 0, "frame", 0);
    cut.edit("ripple", Map.of("place", 1, "start", false, "to", sooner));
    assertThat(onBeats()).isEqualTo(ties);
    undoes(1);
  }

  @Test
  void shotsAreSplitTakenOutAndPasted() {
    int shots = cut.film.get("shots").size();
    cut.edit("split", Map.of("place", 1, "to", frame(at(1) + 9)));
    assertThat(cut.film.get("shots").size()).isEqualTo(shots + 1);
    assertThat(cut.shot(2).get("in").asLong()).isEqualTo(cut.shot(1).get("in").asLong() + 9);
    long length = length();
    cut.edit("take-out", Map.of("places", List.of(1, 2), "leaveGap", false));
    assertThat(cut.film.get("shots").size()).isEqualTo(shots - 1);
    assertThat(length()).isLessThan(length);
    cut.edit("take-out", Map.of("places", List.of(2), "leaveGap", true));
    assertThat(cut.shot(2).get("label").asString()).isEqualTo("gap");
    long before = length();
    Map<String, Object> pieces =
        Map.of("joint", 1, "pieces", List.of(piece(0, 24)), "plain", false);
    cut.edit("paste", pieces);
    assertThat(length()).isGreaterThan(before);
    assertThat(cut.shot(1).get("run").get("way").asString()).isEqualTo("REVERSE");
    assertThat(cut.shot(1).get("id").asString()).isNotEqualTo(cut.shot(0).get("id").asString());
    undoes(4);
  }

  @Test
  void aSpeedKeepsTheCutsOrStretchesTheShot() {
    Map<String, Object> slow = Map.of("way", "FORWARD", "from", 50, "to", 50, "between", "BLENDED");
    long length = length();
    long shot = at(2) - at(1);
    cut.edit("set-run", Map.of("places", List.of(1), "run", slow, "stretch", false));
    assertThat(length()).isEqualTo(length);
    cut.undo();
    cut.edit("set-run", Map.of("places", List.of(1), "run", slow, "stretch", true));
    assertThat(at(2) - at(1)).isEqualTo(2 * shot);
    // The slowed shot is drawn.
    String still =
        cut.path + "/preview/" + cut.film.get("revision").asLong() + "/frames/" + (at(1) + 5);
    assertThat(cut.api.get(still + ".jpg").status()).isEqualTo(200);
    undoes(1);
  }

  private static Map<String, Object> at(int at, int size, int x) {
    return Map.of("at", at, "opacity", 80, "size", size, "x", x, "y", 500, "turn", 0);
  }

  @Test
  void shotsLieOverTheCutAndMarkersBesideIt() {
    Map<String, Object> over = Map.of("piece", piece(3, 1), "start", frame(10), "end", frame(40));
    cut.edit("lay-over", over);
    cut.edit("lay-over", over);
    JsonNode overlays = cut.film.get("overlays");
    assertThat(overlays.valueStream().map(o -> o.get("layer").asInt())).containsExactly(1, 2);
    String name = overlays.get(1).get("shot").get("id").asString();
    Map<String, Object> lie = Map.of("points", List.of(at(0, 400, 800), at(1000, 900, 200)));
    cut.edit("change-overlay", Map.of("name", name, "lie", lie, "mixing", "SCREEN"));
    JsonNode lies = cut.film.get("overlays").get(1).get("lie");
    assertThat(lies.get("points").get(1).get("size").asInt()).isEqualTo(900);
    assertThat(cut.film.get("overlays").get(1).get("mixing").asString()).isEqualTo("SCREEN");
    assertThat(cut.still(12)).isNotEqualTo(cut.still(38));
    Map<String, Object> wrong = Map.of("points", List.of(at(0, 9000, 800)));
    assertThat(cut.tryEdit("change-overlay", Map.of("name", name, "lie", wrong)).detail())
        .contains("A size is from 1 to 800 %");
    assertThat(cut.tryEdit("change-overlay", Map.of("name", name, "layer", 1)).detail())
        .contains("layer 1");
    cut.edit("set-marker", Map.of("at", frame(20), "note", " look again "));
    assertThat(cut.film.get("markers").get(0).get("note").asString()).isEqualTo("look again");
    String marker = cut.film.get("markers").get(0).get("name").asString();
    cut.edit("marker-out", Map.of("name", marker));
    cut.edit("overlay-out", Map.of("name", name));
    undoes(6);
    assertThat(cut.film.get("overlays")).isEmpty();
  }

  @Test
  void aLockedShotIsNotMovedByOtherEdits() {
    cut.edit("lock", Map.of("places", List.of(3), "locked", true));
    Api.Answer refused =
        cut.tryEdit("ripple", Map.of("place", 1, "start", false, "to", frame(at(2) - 7)));
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.detail())
        .contains("Shot " + cut.shot(3).get("label").asString() + " is locked");
    cut.edit("roll", Map.of("joint", 2, "to", frame(at(2) + 1)));
    undoes(2);
  }
}
