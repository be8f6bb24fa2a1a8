package app.latethistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** From a script to picked takes, with a service that fails half-way through. */
class StoryJourneyTest {
  private static final LocatorAssertions.IsVisibleOptions LONG =
      new LocatorAssertions.IsVisibleOptions().setTimeout(120_000);
  private static final LocatorAssertions.ContainsTextOptions LONG_TEXT =
      new LocatorAssertions.ContainsTextOptions().setTimeout(120_000);

  @Test
  void fromAScriptToPickedTakes() throws IOException {
    try (Application application = Application.start();
        Browsers browsers = new Browsers()) {
      Page page = browsers.open(application.url());
      Steps steps = new Steps(page);
      steps.makeProduction("Lantern road", "15");
      steps.room("Story").click();
      write(page, steps);
      shots(page, steps);
      sheetsAndPrompts(page);
      ask(page, steps);
      judge(page);
      Locator part = page.getByLabel("Part of the story");
      steps.room("Story").click();
      part.getByText("Storyboard").click();
      Download board = page.waitForDownload(() -> page.getByText("As PDF to print").click());
      org.assertj.core.api.Assertions.assertThat(Files.size(board.path())).isGreaterThan(5000);
    }
  }

  private static void write(Page page, Steps steps) {
    steps.button("Three drafts from the stand-in writer").click();
    assertThat(page.getByText("Use this draft")).hasCount(3);
    steps.button("Brief and drafts").click();
    page.getByLabel("Script", new Page.GetByLabelOptions().setExact(true))
        .fill(
            "## The valley\n- A lantern is lit by the water.\n\nMaren (V.O.): The water came at"
                + " night, and it really stayed.\n\n- Snow falls on the pines.\n");
    assertThat(page.getByTestId("spoken")).containsText("spoken 7.0 s of 15 s");
    page.getByLabel("read at, words/min").fill("35");
    page.keyboard().press("Enter");
    assertThat(page.getByTestId("cuts")).containsText("too long");
    page.getByTestId("cuts").getByRole(AriaRole.BUTTON).first().click();
    assertThat(page.getByLabel("Script", new Page.GetByLabelOptions().setExact(true)))
        .not()
        .hasValue(Pattern.compile("really"));
    page.getByLabel("read at, words/min").fill("90");
    page.keyboard().press("Enter");
    assertThat(page.getByTestId("cuts")).hasCount(0);
  }

  private static void shots(Page page, Steps steps) {
    page.getByLabel("Part of the story").getByText("Shots").click();
    steps.button("Propose shots from the script").click();
    Locator rows = page.getByTestId("story-shots").locator("section");
    assertThat(rows).hasCount(3);
    rows.nth(2).click();
    page.getByLabel("Camera move").locator("..").click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("pan right")).click();
    assertThat(rows.nth(2)).containsText("pan right");
    rows.nth(0).click();
    steps.button("Remove").click();
    assertThat(rows).hasCount(2);
    steps.button("Undo").click();
    assertThat(rows).hasCount(3);
    rows.nth(0).click();
    steps.button("Join with next").click();
    assertThat(rows).hasCount(2);
  }

  private static void sheetsAndPrompts(Page page) {
    page.getByLabel("Part of the story").getByText("Sheets").click();
    page.getByLabel("Light", new Page.GetByLabelOptions().setExact(true)).fill("amber dusk");
    page.keyboard().press("Enter");
    page.getByLabel("Part of the story").getByText("Prompts").click();
    Locator prompts = page.getByTestId("prompts").locator("section");
    assertThat(prompts).hasCount(2);
    assertThat(prompts.nth(0)).containsText("Amber dusk");
    assertThat(prompts.nth(1)).containsText("Amber dusk");
    page.keyboard().press("c");
    assertThat(prompts.nth(0).getByLabel("given out")).isChecked();
    assertThat(prompts.nth(1).getByText("Copy, next: C")).isVisible();
  }

  private static void ask(Page page, Steps steps) {
    steps.room("Takes").click();
    assertThat(page.getByText("no take yet")).hasCount(2);
    steps.button("Ledger").click();
    assertThat(page.getByTestId("ledger")).containsText("010");
    steps.button("Ask for takes").click();
    page.getByText("Kestle Motion: clips").click();
    page.getByRole(AriaRole.OPTION)
        .filter(new Locator.FilterOptions().setHasText("Hollowpan"))
        .click();
    steps.button("Edit").click();
    page.getByLabel(Pattern.compile("the stand-in fails every")).fill("2");
    page.keyboard().press("Enter");
    steps.button("Keep the changes").click();
    steps.button("Ask Hollowpan for 2 takes").click();
    Locator requests = page.getByTestId("requests");
    assertThat(requests).containsText("Nothing was charged", LONG_TEXT);
    assertThat(requests).containsText("1 of 2 came", LONG_TEXT);
    steps.button("Ask again").click();
    assertThat(requests).containsText("2 of 2 came", LONG_TEXT);
    assertThat(page.getByText("no take yet")).hasCount(0);
  }

  private static void judge(Page page) {
    Locator row =
        page.getByRole(
            AriaRole.REGION, new Page.GetByRoleOptions().setName("Shot 030").setExact(true));
    Locator take = row.getByLabel("Take 1");
    take.click();
    assertThat(page.getByTestId("facts")).isVisible(LONG);
    page.keyboard().press("3");
    assertThat(row).containsText("face");
    assertThat(row.getByLabel("Take 1, the pick, put aside")).isVisible();
    page.keyboard().press("3");
    page.keyboard().press("r");
    assertThat(row.getByLabel(Pattern.compile("put aside"))).hasCount(0);
  }
}
