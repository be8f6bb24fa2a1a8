package app.latethistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** From an empty shelf to a downloaded master, in the browser. */
class JourneyTest {
  private static final double FPS = 24;

  @Test
  void fromAnEmptyShelfToADownloadedMaster() throws IOException {
    try (Application application = Application.start();
        Browsers browsers = new Browsers()) {
      Page page = browsers.open(application.url());
      Steps steps = new Steps(page);
      assertThat(page.getByText("The shelf is empty.")).isVisible();
      Accessible.check(page);
      steps.makeProduction("Water road", "20");

      steps.bringIn(
          Browsers.demo(
              "shot_010", "shot_020", "shot_030", "shot_040", "shot_050", "shot_060", "slow"));
      assertThat(page.getByRole(AriaRole.REGION, named("Shot 020")).getByLabel("Take 2"))
          .isVisible();
      Accessible.check(page);
      steps.firstCut();
      assertThat(steps.foot()).containsText(Pattern.compile("Cuts on a beat 5 of 5"));

      Accessible.check(page);
      watch(page);
      editByKeyboard(page, steps);
      editByMouse(page, steps);
      songAndFade(page, steps);

      page.reload();
      assertThat(steps.foot()).isVisible();
      assertThat(steps.button("Undo")).isVisible();

      everyRoomIsAccessible(page, steps);

      int frames = filmFrames(steps);
      Locator row = steps.order("Water road, first");
      steps.awaitChecked(row);
      Accessible.check(page);
      assertThat(row).containsText(frames + " frames");
      Download download =
          page.waitForDownload(
              () -> row.getByRole(AriaRole.LINK, new Locator.GetByRoleOptions()).click());
      assertThat(download.suggestedFilename()).isEqualTo("Water road, first.mp4");
      check(download.path(), frames);
      rightsAreStated(page, steps);
      LeavingJourney leaving = new LeavingJourney(page, steps);
      leaving.watchedOnAPhone();
      leaving.packedAndBroughtIn("Water road", 6);
    }
  }

  /** What nobody has said is stated on the sheet, and there is one thing less to put right. */
  private static void rightsAreStated(Page page, Steps steps) {
    Locator must = page.getByRole(AriaRole.REGION, named("Must be put right"));
    Locator missing = must.getByText("State them");
    assertThat(missing).not().hasCount(0);
    int before = missing.count();
    missing.first().click();
    assertThat(page.getByRole(AriaRole.REGION, named("Release sheet"))).isVisible();
    steps.typeWhereAsked("own");
    assertThat(missing).hasCount(before - 1);
    page.getByLabel("Title", new Page.GetByLabelOptions().setExact(true)).fill("Water road");
    page.keyboard().press("Enter");
    steps.button("Hand to the desk").click();
    assertThat(page.getByText("The desk did not take it.")).isVisible();
    Accessible.check(page);
  }

  private static Page.GetByRoleOptions named(String name) {
    return new Page.GetByRoleOptions().setName(name).setExact(true);
  }

  private static void everyRoomIsAccessible(Page page, Steps steps) {
    page.keyboard().press("s");
    assertThat(page.getByText(Pattern.compile("f used, from"))).isVisible();
    Accessible.check(page);
    steps.room("Cues").click();
    assertThat(page.getByText("92.0 BPM, 4/4")).isVisible();
    Accessible.check(page);
    steps.room("Story").click();
    assertThat(page.getByLabel("Part of the story")).isVisible();
    Accessible.check(page);
    steps.room("Score").click();
    assertThat(steps.foot()).isVisible();
  }

  private static String timecode(Page page) {
    return page.getByTestId("timecode").textContent();
  }

  private static void watch(Page page) {
    assertThat(page.getByTestId("timecode")).hasText("00:00:00");
    page.keyboard().press("ArrowRight");
    assertThat(page.getByTestId("timecode")).hasText("00:00:01");
    page.keyboard().press("Home");
    page.keyboard().press("Space");
    page.waitForFunction(
        "() => { const v = document.querySelector('video'); return v.currentTime > 1.5; }");
    page.keyboard().press("Space");
    assertThat(page.getByLabel("Play", new Page.GetByLabelOptions().setExact(true))).isVisible();
    String stopped = timecode(page);
    assertThat(stopped).isGreaterThan("00:01:00");
    page.keyboard().press("Home");
    assertThat(page.getByTestId("timecode")).hasText("00:00:00");
    page.keyboard().press("Shift+Space");
    // It plays this bar and the next and stops by itself.
    assertThat(page.getByLabel("Stop", new Page.GetByLabelOptions().setExact(true))).isVisible();
    assertThat(page.getByLabel("Play", new Page.GetByLabelOptions().setExact(true))).isVisible();
  }

  private static void editByKeyboard(Page page, Steps steps) {
    page.keyboard().press("Home");
    page.keyboard().press("s");
    page.keyboard().press("n");
    assertThat(page.getByRole(AriaRole.REGION, named("Shot 020"))).isVisible();
    String before = steps.cut("In");
    page.keyboard().press(".");
    page.keyboard().press(".");
    page.keyboard().press(",");
    assertThat(page.getByText(before, new Page.GetByTextOptions().setExact(true))).hasCount(0);
    page.keyboard().press("0");
    steps.awaitText(steps.foot(), Pattern.compile(".*1 free.*"));
    page.keyboard().press("1");
    steps.awaitText(steps.foot(), Pattern.compile(".*0 free.*"));
    page.keyboard().press("m");
    Locator material = page.getByText(Pattern.compile("f used, from"));
    String used = material.textContent();
    page.keyboard().press("Shift+ArrowRight");
    assertThat(material).not().hasText(used);
    page.keyboard().press("m");
    page.keyboard().press("t");
    assertThat(page.getByText("take 2 of 2")).isVisible();
    page.keyboard().press("f");
    assertThat(steps.button("soft")).hasAttribute("aria-pressed", "true");
    page.keyboard().press("l");
    assertThat(steps.button("locked")).isVisible();
    page.keyboard().press("l");
    assertThat(steps.button("lock")).isVisible();
    page.keyboard().press("]");
    page.keyboard().press("Delete");
    // The next shot is selected; the film's card tells what is left out.
    page.keyboard().press("Escape");
    assertThat(page.getByText("1 shot left out")).isVisible();
    steps.button("Bring back").click();
    assertThat(page.getByText("1 shot left out")).hasCount(0);
    for (int i = 0; i < 5; i++) {
      page.keyboard().press("Control+z");
    }
    // The last of the five has landed when the framing is what undo would take back.
    steps.button("Undo").hover();
    assertThat(page.getByRole(AriaRole.TOOLTIP)).containsText("change framing");
    page.mouse().move(640, 700);
    page.keyboard().press("?");
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("redo");
    page.keyboard().press("Escape");
    assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
  }

  private static void editByMouse(Page page, Steps steps) {
    Locator undo = steps.button("Undo");
    // A cut's head is left of the number of the shot that it begins, above the pictures.
    BoundingBox number = page.locator("[data-place='3']").first().boundingBox();
    double y = number.y - 14;
    double x = number.x - 9;
    page.mouse().move(x, y);
    page.mouse().down();
    page.mouse().move(x + 15, y);
    page.mouse().move(x + 24, y);
    page.mouse().up();
    undo.hover();
    assertThat(page.getByRole(AriaRole.TOOLTIP)).hasText("Undo: move a cut (Ctrl+Z)");

    Locator first = page.locator("[data-place='0']").first();
    BoundingBox from = page.locator("[data-place='2']").first().boundingBox();
    BoundingBox to = first.boundingBox();
    page.mouse().move(from.x + 30, from.y + 40);
    page.mouse().down();
    page.mouse().move(to.x + 70, to.y + 40);
    page.mouse().move(to.x + 50, to.y + 40);
    page.mouse().up();
    undo.hover();
    assertThat(page.getByRole(AriaRole.TOOLTIP)).hasText("Undo: reorder shots (Ctrl+Z)");
    page.mouse().move(640, 700);
  }

  private static void songAndFade(Page page, Steps steps) {
    page.keyboard().press("Escape");
    page.getByLabel("fades over, f").fill("12");
    page.keyboard().press("Enter");
    assertThat(page.getByLabel("fades over, f")).hasValue("12");
    steps.button("Undo").hover();
    assertThat(page.getByRole(AriaRole.TOOLTIP)).containsText("fade");
    steps.button("Cut again").click();
    steps.button("Take the calm cut").click();
    assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
    assertThat(steps.foot()).containsText(Pattern.compile("Cuts on a beat \\d of 5"));
    comparedVersion(page, steps);
  }

  /** Names the film, changes it, sees what differs, and goes back. */
  private static void comparedVersion(Page page, Steps steps) {
    steps.button("Versions").click();
    page.getByLabel("Name of this version").fill("calm");
    page.keyboard().press("Enter");
    Locator calm = page.getByRole(AriaRole.REGION, named("calm"));
    assertThat(calm).containsText("as the film is now");
    steps.button("Close").click();
    page.keyboard().press("Escape");
    page.getByLabel("fades over, f").fill("20");
    page.keyboard().press("Enter");
    page.keyboard().press("Escape");
    page.keyboard().press("Home");
    page.keyboard().press("s");
    page.keyboard().press("n");
    page.keyboard().press("]");
    steps.button("Versions").click();
    assertThat(calm).containsText("020 begins");
    calm.getByRole(AriaRole.BUTTON).filter(new Locator.FilterOptions().setHasText("back")).click();
    assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
    steps.button("Undo").hover();
    assertThat(page.getByRole(AriaRole.TOOLTIP)).containsText("go back to calm");
  }

  /** The film's length in frames, from the timecode in the foot. */
  private static int filmFrames(Steps steps) {
    String[] parts =
        steps.foot().textContent().replaceAll("(?s).*Length\\D*([\\d:]{8}).*", "$1").split(":");
    return (Integer.parseInt(parts[0]) * 60 + Integer.parseInt(parts[1])) * 24
        + Integer.parseInt(parts[2]);
  }

  /** Held against ffprobe, which counts what is in the file. */
  private static void check(Path file, int frames) throws IOException {
    Process process =
        new ProcessBuilder(
                "ffprobe", "-v", "error", "-count_frames", "-show_streams", file.toString())
            .redirectError(ProcessBuilder.Redirect.INHERIT)
            .start();
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(said)
        .contains("codec_name=h264", "profile=High", "pix_fmt=yuv420p", "color_space=bt709")
        .contains("width=1920", "height=1080", "nb_read_frames=" + frames)
        .contains("codec_name=aac", "sample_rate=48000");
    double longest = 0;
    for (String line : said.split("\n")) {
      if (line.startsWith("duration=")) {
        longest = Math.max(longest, Double.parseDouble(line.substring(9)));
      }
    }
    assertThat(longest).isCloseTo(frames / FPS, within(0.03));
  }
}
