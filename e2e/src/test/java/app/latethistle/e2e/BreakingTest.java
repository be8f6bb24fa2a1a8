package app.latethistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;

/** Bad files, a killed server, two windows on one film. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class BreakingTest {
  private Application application;
  private Browsers browsers;

  @TempDir Path folder;

  /** Some seconds of a master on a busy machine. */
  private static final double RENDER_MS = 90_000;

  @BeforeAll
  void start() {
    application = Application.start();
    browsers = new Browsers();
  }

  @AfterAll
  void end() {
    browsers.close();
    application.close();
  }

  private Path file(String name, byte[] bytes) throws IOException {
    return Files.write(folder.resolve(name), bytes);
  }

  @Test
  void breaksThingsAndLosesNothing() throws IOException {
    Page page = browsers.open(application.url());
    Steps steps = new Steps(page);
    steps.makeProduction("Rough water", "20");
    Path good = Browsers.demo("shot_010_take1")[0];
    byte[] bytes = Files.readAllBytes(good);
    steps.bringIn(
        good,
        Browsers.demo("shot_020_take1")[0],
        Browsers.demo("shot_030_take1")[0],
        Browsers.demo("shot_040_take1")[0],
        Browsers.demo("slow")[0],
        file("empty.mp4", new byte[0]),
        file("letter.mp4", "hello".getBytes(java.nio.charset.StandardCharsets.US_ASCII)),
        file(
            "playlist.mp4",
            "#EXTM3U\n/etc/passwd\n".getBytes(java.nio.charset.StandardCharsets.US_ASCII)),
        file("half.mp4", Arrays.copyOf(bytes, bytes.length / 2)));
    Locator refused = page.getByRole(com.microsoft.playwright.options.AriaRole.ALERT).first();
    assertThat(refused).containsText("empty.mp4");
    assertThat(refused).containsText("letter.mp4");
    assertThat(refused).containsText("playlist.mp4");
    assertThat(page.getByText("cut short").first()).isVisible();
    assertThat(page.getByLabel("Shot 040").first()).isVisible();

    steps.firstCut();
    assertThat(steps.foot()).containsText("3 of 3");
    twoWindows(page, steps);
    sevenTabs(page);
    aRoomThatCannotBeRead(page, steps);
    killedInMidRender(page, steps);
  }

  /** The second window has not heard of the first one's edit: both edits stand all the same. */
  private void twoWindows(Page page, Steps steps) {
    Page other = browsers.openDeaf(page.url());
    Steps there = new Steps(other);
    assertThat(there.foot()).isVisible();

    page.keyboard().press("Home");
    page.keyboard().press("s");
    page.keyboard().press("l");
    assertThat(steps.button("locked")).isVisible();

    other.keyboard().press("End");
    other.keyboard().press("s");
    other.keyboard().press("f");
    assertThat(there.button("soft")).hasAttribute("aria-pressed", "true");

    page.keyboard().press("Escape");
    page.keyboard().press("End");
    page.keyboard().press("s");
    assertThat(steps.button("soft")).hasAttribute("aria-pressed", "true");
    page.keyboard().press("Home");
    page.keyboard().press("s");
    assertThat(steps.button("locked")).isVisible();
    other.close();
  }

  /** A browser opens six connections to a server at most; all tabs share one for what goes on. */
  private static void sevenTabs(Page page) {
    List<Page> tabs = new ArrayList<>();
    for (int i = 0; i < 6; i++) {
      Page tab = page.context().newPage();
      tab.navigate(page.url());
      tabs.add(tab);
    }
    for (Page tab : tabs) {
      assertThat(new Steps(tab).foot()).containsText("3 of 3");
    }
    tabs.forEach(Page::close);
    page.bringToFront();
  }

  private static void aRoomThatCannotBeRead(Page page, Steps steps) {
    steps.room("Story").click();
    assertThat(page.getByLabel("Part of the story")).isVisible();
    page.route(
        "**/api/productions/*/story",
        route -> route.fulfill(new Route.FulfillOptions().setStatus(500)));
    page.reload();
    assertThat(page.getByText("The story could not be read.")).isVisible();
    page.unroute("**/api/productions/*/story");
    steps.button("Try again").click();
    assertThat(page.getByLabel("Part of the story")).isVisible();
    steps.room("Score").click();
    assertThat(steps.foot()).containsText("3 of 3");
  }

  private void killedInMidRender(Page page, Steps steps) throws IOException {
    Locator row = steps.order("Survivor");
    assertThat(row)
        .containsText(
            Pattern.compile("(9[7-9]|[1-9]\\d\\d) of \\d+ frames"),
            new LocatorAssertions.ContainsTextOptions().setTimeout(RENDER_MS));
    application.kill();
    Locator gone = page.getByText("Late Thistle does not answer");
    assertThat(gone).isVisible();
    // A room that was not opened yet is there all the same.
    steps.room("Cues").click();
    assertThat(page.getByRole(AriaRole.MAIN)).containsText("Slow bellows");
    steps.room("Master").click();
    application.restart();
    // The page comes back by itself.
    assertThat(gone).hasCount(0);
    steps.awaitChecked(row);
    assertThat(row).containsText("black only where planned");
    steps.room("Score").click();
    assertThat(steps.foot()).containsText("3 of 3");
    assertThat(steps.button("Undo")).isVisible();
  }
}
