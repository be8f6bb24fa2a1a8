package app.latethistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Shelf, Takes and Cues as a person uses them before the film is cut. */
class RoomsTest {
  @TempDir Path folder;

  private static Page.GetByRoleOptions named(String name) {
    return new Page.GetByRoleOptions().setName(name).setExact(true);
  }

  @Test
  void materialIsSortedCorrectedAndChosen() throws IOException {
    try (Application application = Application.start();
        Browsers browsers = new Browsers()) {
      Page page = browsers.open(application.url());
      Steps steps = new Steps(page);
      steps.makeProduction("Salt lamps", "15");
      emptyRoomsSayWhatIsNext(page, steps);
      bringInAFolder(page);
      takes(page, steps);
      cues(page, steps);
      shelf(page, steps, application.url());
    }
  }

  private static void emptyRoomsSayWhatIsNext(Page page, Steps steps) {
    steps.room("Score").click();
    steps.button("Go to Takes").click();
    assertThat(page.getByText("No clips yet.")).isVisible();
    steps.room("Cues").click();
    assertThat(page.getByText("No music yet.")).isVisible();
    steps.room("Master").click();
    assertThat(page.getByText("There is no film to render yet.")).isVisible();
    steps.room("Takes").click();
  }

  private void bringInAFolder(Page page) throws IOException {
    Path reel = Files.createDirectory(folder.resolve("reel"));
    copy("shot_010_take1", reel.resolve("shot 1.mp4"));
    copy("shot_020_take1", reel.resolve("shot 2 take 1.mp4"));
    copy("shot_020_take2", reel.resolve("shot 2 take 2.mp4"));
    copy("shot_030_take1", reel.resolve("shot 4.mp4"));
    copy("shot_040_take1", reel.resolve("shot 4 again (2).mp4"));
    page.getByTestId("choose-folder").first().setInputFiles(reel);
    assertThat(page.getByTestId("arrivals")).containsText("5 files brought in");
    assertThat(page.getByText("preparing")).hasCount(0);
  }

  private static void copy(String demo, Path to) throws IOException {
    Files.copy(Browsers.demo(demo)[0], to);
  }

  private static void takes(Page page, Steps steps) {
    Locator rows = page.getByTestId("shots").locator("section");
    assertThat(rows).hasCount(3);
    assertThat(rows.nth(2)).hasAttribute("aria-label", "Shot 004");
    assertThat(page.getByText("Missing: shot 3")).isVisible();

    Locator second = page.getByRole(AriaRole.REGION, named("Shot 002"));
    second.getByLabel("Take 2").dblclick();
    assertThat(second.getByLabel("Take 2, the pick")).isVisible();
    page.reload();
    assertThat(second.getByLabel("Take 2, the pick")).isVisible();

    second.getByText("name it").click();
    page.getByLabel("What is seen").fill("Roofs");
    page.keyboard().press("Enter");
    assertThat(second.getByText("Roofs")).isVisible();

    page.getByRole(AriaRole.REGION, named("Shot 004")).getByLabel("Take 1").first().click();
    page.getByLabel("Shot", new Page.GetByLabelOptions().setExact(true)).fill("3");
    steps.button("Correct").click();
    assertThat(page.getByRole(AriaRole.REGION, named("Shot 003"))).isVisible();
    page.getByLabel("Shot", new Page.GetByLabelOptions().setExact(true)).fill("three");
    steps.button("Correct").click();
    assertThat(page.getByText("'three' is not a shot number")).isVisible();
  }

  private void cues(Page page, Steps steps) throws IOException {
    Path quick = folder.resolve("quick.wav");
    clicks(quick);
    page.getByTestId("choose-files").first().setInputFiles(Browsers.demo("slow")[0]);
    // The song that arrives first is chosen; two brought in at once may overtake each other.
    steps.room("Cues").click();
    Locator first = page.getByRole(AriaRole.REGION, named("Slow bellows"));
    assertThat(first).isVisible();
    page.getByTestId("choose-files").first().setInputFiles(quick);
    Locator other = page.getByRole(AriaRole.REGION, named("Quick"));
    assertThat(first.getByText("92.0 BPM, 4/4")).isVisible();
    assertThat(other.getByText(Pattern.compile("1[234]\\d\\.\\d BPM"))).isVisible();
    assertThat(first.getByText("chosen")).isVisible();
    other.getByRole(AriaRole.BUTTON).click();
    assertThat(other.getByText("chosen")).isVisible();
    assertThat(steps.room("Cues")).containsText(Pattern.compile("1[234]\\d BPM"));
    first.click();
    steps.button("Hear it").click();
    page.waitForFunction("() => document.querySelector('audio').currentTime > 0.3");
    steps.button("Stop").click();
    assertThat(steps.button("Hear it")).isVisible();
    correctTheBeats(page, steps, first);
  }

  private static void correctTheBeats(Page page, Steps steps, Locator song) {
    Locator undo = steps.button("Undo");
    page.keyboard().press("d");
    assertThat(song.getByText("184.0 BPM, 4/4")).isVisible();
    page.keyboard().press("Control+z");
    assertThat(song.getByText("92.0 BPM, 4/4")).isVisible();
    assertThat(undo).hasAttribute("title", "Undo: choose Quick (Ctrl+Z)");

    page.getByLabel("First downbeat a beat later").click();
    undo.hover();
    Locator says = page.getByRole(AriaRole.TOOLTIP);
    assertThat(says).hasText("Undo: move the downbeat (Ctrl+Z)");
    assertThat(page.getByText("0:02.0")).isVisible();
    page.reload();
    assertThat(song).isVisible();
    song.click();
    assertThat(page.getByText("0:02.0")).isVisible();
    page.locator("[data-beat='1']").dblclick();
    assertThat(page.getByText("0:01.3")).isVisible();

    BoundingBox beat = page.locator("[data-beat='9']").boundingBox();
    double y = beat.y + beat.height / 2;
    page.mouse().move(beat.x + beat.width / 2, y);
    page.mouse().down();
    page.mouse().move(beat.x + beat.width / 2 + 6, y);
    page.mouse().up();
    undo.hover();
    assertThat(says).hasText("Undo: move a beat (Ctrl+Z)");
  }

  /** Half a minute of clicks at 132 BPM, as a WAV file made by ffmpeg's own expression source. */
  private static void clicks(Path file) throws IOException {
    String beat = "mod(t\\,60/132)";
    String sound = "aevalsrc=0.7*sin(1200*t*2*PI)*exp(-60*" + beat + "):d=30";
    Process process =
        new ProcessBuilder("ffmpeg", "-v", "error", "-f", "lavfi", "-i", sound, file.toString())
            .redirectErrorStream(true)
            .start();
    byte[] said = process.getInputStream().readAllBytes();
    assertThat(said).isEmpty();
  }

  private static void shelf(Page page, Steps steps, String url) {
    page.navigate(url);
    Locator row = page.getByRole(AriaRole.ARTICLE).first();
    assertThat(row).containsText("aims at 15 s");
    steps.button("Rename").click();
    page.getByLabel("Title").fill("Salt road");
    page.keyboard().press("Enter");
    assertThat(page.getByRole(AriaRole.ARTICLE, named("Salt road"))).isVisible();
    steps.button("Remove").click();
    steps.button("Keep it").click();
    assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
    steps.button("Remove").click();
    page.getByRole(AriaRole.DIALOG)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Remove"))
        .click();
    assertThat(page.getByText("The shelf is empty.")).isVisible();
    Locator unused = page.getByText("are of no production any more");
    assertThat(unused).isVisible();
    steps.button("Clear them now").click();
    assertThat(unused).hasCount(0);
  }
}
