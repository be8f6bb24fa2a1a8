package app.latethistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.type.Writer;
import app.latethistle.core.type.WrittenTitle;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.TitleKind;
import app.latethistle.core.words.TitleWords;
import app.latethistle.faces.ShippedFile;
import app.latethistle.media.ShippedFaces;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.awt.Rectangle;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The Words room as an editor uses it, on a film with one line read. */
final class WordsJourney {
  private final Page page;
  private final Path folder;
  private final Locator rooms;

  WordsJourney(Page page, Path folder) {
    this.page = page;
    this.folder = folder;
    rooms = page.getByRole(AriaRole.NAVIGATION);
  }

  void go() throws IOException {
    rooms.getByText("Words", new Locator.GetByTextOptions().setExact(true)).click();
    titled();
    captioned();
    filed();
    sameInkAsTheBrowsers();
    rooms.getByText("Score").click();
  }

  private Locator region(String name) {
    return page.getByRole(
        AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  /** A title is written by keys, placed by mouse and arrows, landed, and made readable. */
  private void titled() {
    assertThat(rooms.getByText("no titles yet")).isVisible();
    assertThat(region("Titles")).containsText("None yet.");
    page.keyboard().press("Home");
    page.keyboard().press("b");
    page.keyboard().press("b");
    page.keyboard().press("n");
    Locator words = page.getByLabel("Words of the new title");
    words.fill("Water road");
    region("Designs").getByText("Soft main title").click();
    assertThat(rooms.getByText("1 title")).isVisible();
    Locator card = region("Title");
    assertThat(card).containsText("lands on");
    Locator text = card.getByLabel("Its words");
    text.fill("Water roads");
    text.press("Enter");
    assertThat(region("Titles")).containsText("Water roads");
    // By mouse and by arrows on the picture.
    page.keyboard().press("Escape");
    page.keyboard().press("t");
    Locator block = page.getByLabel("Water roads; arrows move it");
    BoundingBox before = block.boundingBox();
    page.mouse().move(before.x + before.width / 2, before.y + before.height / 2);
    page.mouse().down();
    page.mouse().move(before.x + before.width / 2, before.y + before.height / 2 + 60);
    page.mouse().up();
    page.waitForCondition(() -> block.boundingBox().y > before.y + 30);
    double dragged = block.boundingBox().y;
    block.focus();
    for (int i = 0; i < 6; i++) {
      page.keyboard().press("Shift+ArrowUp");
    }
    page.waitForCondition(() -> block.boundingBox().y < dragged - 20);
    // It lands on the next moment, and back.
    Locator lands = card.getByText(Pattern.compile("^lands "));
    String says = lands.textContent();
    block.blur();
    page.keyboard().press(".");
    assertThat(lands).not().hasText(says);
    page.keyboard().press(",");
    assertThat(lands).hasText(says);
    // Letters of one of these cannot be read over any picture; a remedy is taken with one click.
    Locator shadow = card.getByLabel("shadow, %");
    shadow.fill("0");
    shadow.press("Enter");
    assertThat(shadow).hasValue("0");
    Locator tooFaint =
        region("Titles").getByText("contrast", new Locator.GetByTextOptions().setExact(true));
    for (String colour : List.of("#10182a", "#f4ecd8", "#808080")) {
      card.getByLabel("Colour of the letters").fill(colour);
      card.getByLabel("Colour of the letters").blur();
      if (comes(tooFaint)) {
        break;
      }
    }
    assertThat(region("Titles")).containsText("contrast");
    assertThat(shadow).hasValue("0");
    card.getByRole(
            AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Plate: ")))
        .click();
    assertThat(region("Titles")).not().containsText("contrast");
  }

  /**
   * Whether something is there within a time in which a title is measured even on a busy machine.
   */
  private static boolean comes(Locator what) {
    try {
      what.waitFor(new Locator.WaitForOptions().setTimeout(10_000));
      return true;
    } catch (TimeoutError e) {
      return false;
    }
  }

  /** A caption is corrected by keys, another language begun and burned in. */
  private void captioned() {
    Locator captions = region("Captions");
    assertThat(captions).containsText("The water came at night,");
    page.keyboard().press("Escape");
    page.keyboard().press("ArrowDown");
    page.keyboard().press("w");
    Locator line = captions.getByLabel("Text of line 1");
    line.fill("The water came at night, and it stayed here.");
    line.press("Enter");
    assertThat(captions).containsText("stayed here.");
    captions.getByLabel("Another language").first().click();
    captions.getByLabel("Language, as in BCP 47").fill("de");
    captions.getByText("Word for word").click();
    assertThat(captions).containsText("Wasser");
    captions.getByLabel("Burned into").getByText("16:9").click();
    assertThat(captions.getByLabel("Burned into").getByText("16:9"))
        .hasAttribute("aria-pressed", "true");
  }

  /** Captions leave in three forms, which readers that are not ours read alike; one comes back. */
  private void filed() throws IOException {
    Locator captions = region("Captions");
    for (String form : List.of("SRT", "VTT", "TTML")) {
      Download download =
          page.waitForDownload(
              () ->
                  captions.getByText(form, new Locator.GetByTextOptions().setExact(true)).click());
      download.saveAs(folder.resolve("captions." + form.toLowerCase(Locale.ROOT)));
    }
    JsonNode read = readByOthers();
    assertThat(read.get("vttErrors")).isEmpty();
    assertThat(read.get("ttmlErrors")).isEmpty();
    assertThat(read.get("vtt")).isNotEmpty();
    assertThat(read.get("ttml")).isEqualTo(read.get("vtt"));
    assertThat(read.get("srt").toString().replace("\\r", "")).isEqualTo(read.get("vtt").toString());
    assertThat(read.get("vtt").toString()).contains("Wasser");
    captions
        .getByLabel("Bring in captions")
        .setInputFiles(
            new FilePayload("broken.srt", "text/plain", "1\nten --> two\nx".getBytes(UTF_8)));
    assertThat(page.getByText(Pattern.compile("broken\\.srt, line 2"))).isVisible();
    captions
        .getByLabel("Bring in captions")
        .setInputFiles(
            new FilePayload(
                "own.srt",
                "text/plain",
                "1\n00:00:01,000 --> 00:00:03,000\nEigene Zeit\n".getBytes(UTF_8)));
    assertThat(captions).containsText("Eigene Zeit");
  }

  private JsonNode readByOthers() throws IOException {
    Process node =
        new ProcessBuilder(
                "node",
                Path.of("..", "web", "checks", "captions.mjs").toString(),
                folder.toString())
            .redirectError(ProcessBuilder.Redirect.INHERIT)
            .start();
    return JsonMapper.shared().readTree(node.getInputStream().readAllBytes());
  }

  /** Our letters against the browser's of the same face and size: the box of their ink. */
  private void sameInkAsTheBrowsers() throws IOException {
    int size = 200;
    String text = "Hamburg Avgo";
    for (String family : List.of("EB Garamond", "Oswald", "Fraunces")) {
      Lettering lettering = Lettering.plain(Lettering.Face.of(family), size, 0xffffff);
      WrittenTitle title =
          WrittenTitle.still(
              new TitleWords(TitleKind.CARD, text, ""), lettering, new Box(500, 500, 1500));
      BufferedImage ours = new Writer(ShippedFaces.all(), 2000, 1000).picture(title, 0);
      Rectangle ink = ink(ours);
      List<?> theirs =
          (List<?>)
              page.evaluate(
                  """
                  async ([data, text, size]) => {
                    const bytes = Uint8Array.from(atob(data), (c) => c.charCodeAt(0));
                    const face = new FontFace('Tried', bytes.buffer);
                    await face.load();
                    document.fonts.add(face);
                    const canvas = document.createElement('canvas');
                    canvas.width = 2000;
                    canvas.height = 1000;
                    const g = canvas.getContext('2d');
                    g.font = `${size}px Tried`;
                    g.fillStyle = '#fff';
                    g.fillText(text, 300, 500);
                    const { data: px } = g.getImageData(0, 0, 2000, 1000);
                    let [l, t, r, b] = [2000, 1000, -1, -1];
                    for (let y = 0; y < 1000; y++)
                      for (let x = 0; x < 2000; x++)
                        if (px[4 * (y * 2000 + x) + 3] > 127) {
                          l = Math.min(l, x);
                          r = Math.max(r, x);
                          t = Math.min(t, y);
                          b = Math.max(b, y);
                        }
                    document.fonts.delete(face);
                    return [r - l + 1, b - t + 1];
                  }
                  """,
                  List.of(file(family), text, size));
      assertThat((double) ink.width)
          .as("%s, width", family)
          .isBetween(number(theirs.get(0)) - 1, number(theirs.get(0)) + 1);
      assertThat((double) ink.height)
          .as("%s, height", family)
          .isBetween(number(theirs.get(1)) - 1, number(theirs.get(1)) + 1);
    }
  }

  private static double number(Object value) {
    return ((Number) value).doubleValue();
  }

  private static String file(String family) throws IOException {
    ShippedFile latin =
        ShippedFile.all().stream()
            .filter(f -> f.family().equals(family) && f.script().equals("latin"))
            .filter(f -> f.weight() == 400 && !f.italic())
            .findFirst()
            .orElseThrow();
    try (InputStream bytes = latin.open()) {
      return Base64.getEncoder().encodeToString(bytes.readAllBytes());
    }
  }

  private static Rectangle ink(BufferedImage picture) {
    Rectangle ink = new Rectangle(-1, -1);
    for (int y = 0; y < picture.getHeight(); y++) {
      for (int x = 0; x < picture.getWidth(); x++) {
        if (picture.getRGB(x, y) >>> 24 > 127) {
          ink.add(new Rectangle(x, y, 1, 1));
        }
      }
    }
    return ink;
  }
}
