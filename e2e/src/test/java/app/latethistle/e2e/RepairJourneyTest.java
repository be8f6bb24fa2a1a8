package app.latethistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A mark covered three ways, a broken film put right from the checks alone, both outputs. */
class RepairJourneyTest {
  private static final LocatorAssertions.HasCountOptions LOOKED =
      new LocatorAssertions.HasCountOptions().setTimeout(90_000);

  @Test
  void aBrokenFilmIsPutRightAndLeaves() throws IOException {
    try (Application application = Application.start();
        Browsers browsers = new Browsers()) {
      Page page = browsers.open(application.url());
      Steps steps = new Steps(page);
      steps.makeProduction("Roofs under water", "8");
      steps.bringIn(Browsers.demo("shot_010", "shot_020", "shot_060", "slow"));
      steps.awaitMeasured();
      steps.firstCut();
      showTheMark(page);
      threeWays(page, steps);
      putRightFromTheChecks(page, steps);
      bothOutputs(page, steps);
    }
  }

  /** The take of 020 with a mark is in the film. */
  private static void showTheMark(Page page) {
    page.locator("[data-place='1']").first().click();
    Locator shot = page.getByRole(AriaRole.REGION, named("Shot 020"));
    assertThat(shot).isVisible();
    page.keyboard().press("t");
    assertThat(mark(page)).containsText("It is seen in 1 place of the film.");
    Accessible.check(page);
  }

  private static Locator mark(Page page) {
    return page.getByRole(AriaRole.REGION, named("The mark"));
  }

  private static Locator within(Locator place, String name) {
    return place.getByRole(
        AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
  }

  /** Framed out, under bars, under a badge: each time nothing of it is seen. */
  private static void threeWays(Page page, Steps steps) {
    Locator mark = mark(page);
    for (String way : new String[] {"In 1 place", "Lay them", "Where needed"}) {
      within(mark, way).click();
      assertThat(mark).containsText("It is not seen in the film.");
      steps.button("Undo").click();
      assertThat(mark).containsText("It is seen in 1 place of the film.");
    }
  }

  /** All that must be put right is, without leaving the room. */
  private static void putRightFromTheChecks(Page page, Steps steps) {
    steps.room("Master").click();
    Locator must = page.getByRole(AriaRole.REGION, named("Must be put right"));
    assertThat(must).containsText("corner mark seen");
    must.getByText(Pattern.compile("^Frame it out, ")).click();
    assertThat(must).not().containsText("corner mark seen");
    Locator missing = must.getByText("State them");
    assertThat(missing).not().hasCount(0);
    for (int left = missing.count(); left > 0; left--) {
      missing.first().click();
      steps.typeWhereAsked("own");
      assertThat(missing).hasCount(left - 1);
    }
    assertThat(page.getByText("Still looking")).hasCount(0, LOOKED);
    assertThat(must).containsText("Nothing.");
    Accessible.check(page);
  }

  /** A preset makes them small; the wide film and the upright one are rendered and read back. */
  private static void bothOutputs(Page page, Steps steps) throws IOException {
    Locator wide = article(page, "Roofs under water");
    Locator upright = article(page, "Roofs under water, upright");
    for (Locator row : new Locator[] {wide, upright}) {
      row.getByLabel(Pattern.compile(", change it$")).click();
      page.getByLabel(Pattern.compile("^lines,")).fill("240");
      page.keyboard().press("Enter");
      steps.button("small").click();
      assertThat(row).containsText("240");
    }
    upright.getByRole(AriaRole.CHECKBOX).click();
    assertThat(upright.getByRole(AriaRole.CHECKBOX)).isChecked();
    steps.button("Render what is ticked").click();
    steps.awaitChecked(wide);
    steps.awaitChecked(upright);
    assertThat(read(page, wide)).contains("codec_name=h264", "width=426", "height=240");
    assertThat(read(page, upright)).contains("codec_name=h264", "width=240", "height=426");
    page.getByRole(AriaRole.BUTTON, named("Add one")).click();
    Locator loop = page.getByRole(AriaRole.REGION, named("Square loop"));
    within(loop, "Add").click();
    assertThat(article(page, "Roofs under water, loop")).containsText("480×480");
  }

  private static Locator article(Page page, String name) {
    return page.getByRole(AriaRole.ARTICLE, named(name));
  }

  /** What ffprobe reads of an output's file. */
  private static String read(Page page, Locator row) throws IOException {
    Download download =
        page.waitForDownload(
            () -> row.getByRole(AriaRole.LINK, new Locator.GetByRoleOptions()).click());
    Path file = download.path();
    Process process =
        new ProcessBuilder("ffprobe", "-v", "error", "-show_streams", file.toString())
            .redirectError(ProcessBuilder.Redirect.INHERIT)
            .start();
    return new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
  }

  private static Page.GetByRoleOptions named(String name) {
    return new Page.GetByRoleOptions().setName(name).setExact(true);
  }
}
